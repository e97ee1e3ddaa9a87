package zestymarten.core.assembly;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Problem;

/**
 * Reads an assembly in the open format {@code zesty-marten/assembly}, version 1. Pins that conductors, components or bonds
 * name are added to their connectors in order of first use; connectors likewise, so that a wire list alone is enough.
 */
public final class AssemblyReader {
    private final JsonMembers root;
    private final List<Problem> problems;
    private final Map<String, LinkedHashSet<String>> pins = new LinkedHashMap<>();
    private final Map<String, String> names = new LinkedHashMap<>();
    private final Map<String, CavityLayout> faces = new LinkedHashMap<>();
    private final Map<String, Access> reaches = new LinkedHashMap<>();

    private AssemblyReader(JsonMembers root, List<Problem> problems) {
        this.root = root;
        this.problems = problems;
    }

    /** The assembly, or nothing if there is any problem; all problems are reported with the path of their member. */
    public static Optional<Assembly> read(JsonMembers root, List<Problem> problems) {
        int before = problems.size();
        Optional<Assembly> assembly = new AssemblyReader(root, problems).assembly();
        return problems.size() == before ? assembly : Optional.empty();
    }

    /** The same from a text that was taken in before, by whatever version: what it says is not refused any more for its length. */
    public static Optional<Assembly> readStored(String json, List<Problem> problems) {
        return JsonMembers.readStored(json, problems).flatMap(root -> read(root, problems));
    }

    /** The same from a text. */
    public static Optional<Assembly> read(String json, List<Problem> problems) {
        return JsonMembers.read(json, problems).flatMap(root -> read(root, problems));
    }

    private Optional<Assembly> assembly() {
        if (!root.needed("format").equals("zesty-marten/assembly")) {
            root.problem("format", Message.of("assembly_reader.expected_zesty_marten_assembly"));
        }
        if (root.number("version").orElse(0) != 1) {
            root.problem("version", Message.of("assembly_reader.expected_only_version_there"));
        }
        String name = root.needed("name");
        String kind = root.text("kind").orElse("harness");
        Optional<AssemblyKind> known = AssemblyKind.of(kind);
        if (known.isEmpty()) {
            root.problem("kind", Message.of("assembly_reader.not_accepted_expected_harness", kind));
        }
        String note = root.text("note").orElse("");
        root.objects("connectors").forEach(this::connector);
        List<Joint> joints = new ArrayList<>();
        root.objects("joints").forEach(each -> joint(each).ifPresent(joints::add));
        List<Conductor> conductors = conductors();
        List<Component> components = new ArrayList<>();
        root.objects("components").forEach(each -> component(each).ifPresent(components::add));
        List<SwitchState> states = states();
        Set<Terminal> bonded = new HashSet<>();
        root.object("frame").ifPresent(frame -> {
            for (String each : frame.texts("bonded")) {
                terminal(frame, "bonded", each).ifPresent(bonded::add);
            }
            frame.done();
        });
        Allowances allowances =
                root.object("limits").map(AssemblyReader::allowances).orElse(Allowances.NONE);
        root.done();
        if (!problems.isEmpty()) {
            return Optional.empty();
        }
        return made(new Parts(
                name,
                known.orElse(AssemblyKind.HARNESS),
                note,
                joints,
                conductors,
                components,
                states,
                bonded,
                allowances));
    }

    private record Parts(
            String name,
            AssemblyKind kind,
            String note,
            List<Joint> joints,
            List<Conductor> conductors,
            List<Component> components,
            List<SwitchState> states,
            Set<Terminal> bonded,
            Allowances allowances) {}

    private static Allowances allowances(JsonMembers limits) {
        Allowances allowances = new Allowances(
                allowance(limits, "max_ohm"),
                allowance(limits, "heat_w"),
                allowance(limits, "drop_v"),
                allowance(limits, "round_ohm"));
        limits.done();
        return allowances;
    }

    private static OptionalDouble allowance(JsonMembers limits, String name) {
        OptionalDouble given = limits.number(name);
        if (given.isPresent() && !Allowances.isFigure(given.getAsDouble())) {
            limits.problem(
                    name,
                    Message.of(
                            "assembly_reader.not_accepted_expected_figure", Message.figure(given.getAsDouble(), "")));
            return OptionalDouble.empty();
        }
        return given;
    }

    private Optional<Assembly> made(Parts parts) {
        try {
            List<Connector> connectors = new ArrayList<>();
            pins.forEach((id, used) -> {
                CavityLayout face = faces.getOrDefault(id, CavityLayout.line(Math.max(1, used.size())));
                connectors.add(new Connector(
                        id,
                        names.getOrDefault(id, ""),
                        face,
                        List.copyOf(used),
                        reaches.getOrDefault(id, Access.AT_HAND)));
            });
            return Optional.of(new Assembly(
                    parts.name(),
                    parts.kind(),
                    parts.note(),
                    connectors,
                    parts.joints(),
                    parts.conductors(),
                    parts.components(),
                    parts.states(),
                    parts.bonded(),
                    parts.allowances()));
        } catch (IllegalArgumentException e) {
            problems.add(new Problem("", Message.verbatim(String.valueOf(e.getMessage()))));
            return Optional.empty();
        }
    }

    private void connector(JsonMembers each) {
        String id = each.needed("id");
        if (!id.isEmpty() && (id.indexOf('.') >= 0 || !Terminal.isName(id) || pins.containsKey(id))) {
            each.problem("id", Message.of("assembly_reader.not_accepted_expected_reference", id));
        }
        names.put(id, each.text("name").orElse(""));
        reach(each).ifPresent(reach -> reaches.put(id, reach));
        face(each).ifPresent(face -> faces.put(id, face));
        LinkedHashSet<String> own = pins.computeIfAbsent(id, any -> new LinkedHashSet<>());
        for (String pin : each.texts("pins")) {
            if (!Terminal.isName(id + "." + pin) || !own.add(pin)) {
                each.problem("pins", Message.of("assembly_reader.not_accepted_expected_letters", pin));
            }
        }
        each.done();
    }

    private static Optional<Access> reach(JsonMembers connector) {
        String place = connector.text("place").orElse("");
        Optional<Access.Probing> probing = choice(connector, "probing", Access.Probing.values(), Access.Probing::code);
        Optional<String> matesWith = connector.text("mates_with");
        Optional<JsonMembers> access = connector.object("access");
        double minutes =
                access.map(members -> members.number("minutes").orElse(0)).orElse(0.0);
        Optional<Access.Harm> harm =
                access.flatMap(members -> choice(members, "harm", Access.Harm.values(), Access.Harm::code));
        access.ifPresent(JsonMembers::done);
        return made(
                access.orElse(connector),
                () -> new Access(place, probing, matesWith, minutes, harm.orElse(Access.Harm.NONE)));
    }

    private static <T> Optional<T> choice(JsonMembers members, String name, T[] known, Function<T, String> code) {
        Optional<String> read = members.text(name);
        Optional<T> found = read.flatMap(text -> Arrays.stream(known)
                .filter(each -> code.apply(each).equals(text))
                .findFirst());
        if (read.isPresent() && found.isEmpty()) {
            members.problem(
                    name,
                    Message.of(
                            "assembly_reader.not_accepted_expected_one",
                            read.get(),
                            Arrays.stream(known).map(code).sorted().collect(Collectors.joining(", "))));
        }
        return found;
    }

    private static Optional<CavityLayout> face(JsonMembers connector) {
        return connector.object("face").flatMap(face -> {
            String shape = face.needed("shape");
            int rows = (int) face.number("rows").orElse(1);
            int columns =
                    (int) face.number("columns").orElse(face.number("positions").orElse(1));
            face.done();
            try {
                return Optional.of(
                        switch (shape) {
                            case "grid" -> CavityLayout.grid(rows, columns);
                            case "ring" -> CavityLayout.ring(columns);
                            case "line", "outlet" -> CavityLayout.line(columns);
                            default ->
                                throw new IllegalArgumentException(
                                        "“" + shape + "” is not accepted; expected grid, ring, line or outlet.");
                        });
            } catch (IllegalArgumentException e) {
                face.problem("", Message.verbatim(String.valueOf(e.getMessage())));
                return Optional.empty();
            }
        });
    }

    private Optional<Joint> joint(JsonMembers each) {
        String id = each.needed("id");
        String kind = each.text("kind").orElse("splice");
        each.text("place");
        boolean probe = each.flag("probe");
        OptionalDouble most = each.number("max_ohm");
        each.done();
        return made(each, () -> new Joint(Terminal.of(id), kind, probe, most));
    }

    private List<Conductor> conductors() {
        List<JsonMembers> all = root.objects("conductors");
        if (all.size() > Assembly.MOST_CONDUCTORS) {
            root.problem(
                    "conductors", Message.of("assembly_reader.there_most_taken", all.size(), Assembly.MOST_CONDUCTORS));
            return List.of();
        }
        List<Conductor> conductors = new ArrayList<>();
        all.forEach(each -> conductor(each, "W" + (conductors.size() + 1)).ifPresent(conductors::add));
        return conductors;
    }

    private Optional<Conductor> conductor(JsonMembers each, String fallback) {
        String id = each.text("id").orElse(fallback);
        Optional<Terminal> from = terminal(each, "from", each.needed("from"));
        Optional<Terminal> to = terminal(each, "to", each.needed("to"));
        Optional<Colour> colour =
                each.text("colour").filter(text -> !text.isBlank()).map(Colour::of);
        Optional<String> function = each.text("function").filter(text -> !text.isBlank());
        OptionalDouble length = each.number("length_m");
        OptionalDouble area = each.number("area_mm2");
        String metal = each.text("metal").orElse("copper");
        Optional<Metal> madeOf = Metal.of(metal);
        if (madeOf.isEmpty()) {
            each.problem(
                    "metal",
                    Message.of("assembly_reader.not_accepted_expected_one", metal, String.join(", ", Metal.codes())));
        }
        String strands = each.code("class").orElse("5");
        Optional<StrandClass> strandClass = StrandClass.of(strands);
        if (strandClass.isEmpty()) {
            each.problem("class", Message.of("assembly_reader.not_accepted_expected_or", strands));
        }
        Optional<String> zone = each.text("zone");
        OptionalDouble current = each.number("current_a");
        boolean spare = each.flag("spare");
        OptionalDouble most = each.number("max_ohm");
        OptionalDouble least = each.number("min_ohm");
        Optional<String> note = each.text("note");
        each.done();
        if (from.isEmpty() || to.isEmpty() || madeOf.isEmpty() || strandClass.isEmpty()) {
            return Optional.empty();
        }
        return made(
                each,
                () -> new Conductor(
                        id,
                        from.get(),
                        to.get(),
                        colour,
                        function,
                        length,
                        area,
                        madeOf.get(),
                        strandClass.get(),
                        zone,
                        current,
                        spare,
                        most,
                        least,
                        note));
    }

    private Optional<Component> component(JsonMembers each) {
        String id = each.needed("id");
        String code = each.needed("kind");
        Optional<Component.ComponentKind> kind = Component.ComponentKind.of(code);
        if (kind.isEmpty() && !code.isEmpty()) {
            each.problem("kind", Message.of("assembly_reader.no_kind_component", code));
        }
        Optional<Terminal> a = terminal(each, "a", each.needed("a"));
        Optional<Terminal> b = terminal(each, "b", each.needed("b"));
        OptionalDouble most = each.number("max_ohm");
        OptionalDouble ohm = each.number("ohm");
        OptionalDouble tolerance = each.number("tolerance");
        OptionalDouble r25 = each.number("r25_ohm");
        OptionalDouble beta = each.number("beta_k");
        OptionalDouble forward = each.number("forward_v");
        each.done();
        if (kind.isEmpty() || a.isEmpty() || b.isEmpty()) {
            return Optional.empty();
        }
        return made(
                each, () -> new Component(id, kind.get(), a.get(), b.get(), most, ohm, tolerance, r25, beta, forward));
    }

    private List<SwitchState> states() {
        List<SwitchState> states = new ArrayList<>();
        for (JsonMembers each : root.objects("states")) {
            String id = each.needed("id");
            List<String> closed = each.texts("closed");
            each.done();
            made(each, () -> new SwitchState(id, Set.copyOf(new HashSet<>(closed))))
                    .ifPresent(states::add);
        }
        return states;
    }

    private interface Maker<T> {
        T make();
    }

    /** A value that cannot be wrong, or the problem that it would be. */
    private static <T> Optional<T> made(JsonMembers where, Maker<T> maker) {
        try {
            return Optional.of(maker.make());
        } catch (IllegalArgumentException e) {
            where.problem("", Message.verbatim(String.valueOf(e.getMessage())));
            return Optional.empty();
        }
    }

    /** A terminal by its name; its pin is added to its connector if that does not have it yet. */
    private Optional<Terminal> terminal(JsonMembers where, String member, String name) {
        if (name.isEmpty()) {
            return Optional.empty();
        }
        if (!Terminal.isName(name)) {
            where.problem(member, Message.of("assembly_reader.not_accepted_expected", name, Terminal.FORM));
            return Optional.empty();
        }
        Terminal terminal = Terminal.of(name);
        if (terminal.isPin()) {
            pins.computeIfAbsent(terminal.connector(), any -> new LinkedHashSet<>())
                    .add(terminal.pin());
        }
        return Optional.of(terminal);
    }
}
