package zestymarten.core.assembly;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.quantity.Problem;

/**
 * Reads an assembly in the open format {@code zesty-marten/assembly}, version 1. Pins that conductors, components or bonds
 * name are added to their connectors in order of first use; connectors likewise, so that a wire list alone is enough.
 */
public final class AssemblyReader {
    private final JsonMembers root;
    private final List<Problem> problems;
    private final ConnectorReader connectors = new ConnectorReader();

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
        root.objects("connectors").forEach(connectors::connector);
        List<Joint> joints = new ArrayList<>();
        root.objects("joints").forEach(each -> joint(each).ifPresent(joints::add));
        List<Conductor> conductors = conductors();
        List<Component> components = new ArrayList<>();
        root.objects("components").forEach(each -> component(each).ifPresent(components::add));
        List<SwitchState> states = states();
        Set<Terminal> bonded = new HashSet<>();
        root.object("frame").ifPresent(frame -> {
            for (String each : frame.texts("bonded")) {
                connectors.terminal(frame, "bonded", each).ifPresent(bonded::add);
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
            return Optional.of(new Assembly(
                    parts.name(),
                    parts.kind(),
                    parts.note(),
                    connectors.read(),
                    parts.joints(),
                    parts.conductors(),
                    parts.components(),
                    parts.states(),
                    parts.bonded(),
                    parts.allowances()));
        } catch (NotAccepted e) {
            problems.add(new Problem("", e.what()));
            return Optional.empty();
        }
    }

    private Optional<Joint> joint(JsonMembers each) {
        String id = each.needed("id");
        String kind = each.text("kind").orElse("splice");
        each.text("place");
        boolean probe = each.flag("probe");
        OptionalDouble maximum = each.number("max_ohm");
        each.done();
        return ConnectorReader.made(each, () -> new Joint(Terminal.of(id), kind, probe, maximum));
    }

    private List<Conductor> conductors() {
        List<JsonMembers> all = root.objects("conductors");
        if (all.size() > Assembly.MAX_CONDUCTORS) {
            root.problem(
                    "conductors", Message.of("assembly_reader.there_most_taken", all.size(), Assembly.MAX_CONDUCTORS));
            return List.of();
        }
        List<Conductor> conductors = new ArrayList<>();
        all.forEach(each -> conductor(each, "W" + (conductors.size() + 1)).ifPresent(conductors::add));
        return conductors;
    }

    private Optional<Conductor> conductor(JsonMembers each, String fallback) {
        String id = each.text("id").orElse(fallback);
        Optional<Terminal> from = connectors.terminal(each, "from", each.needed("from"));
        Optional<Terminal> to = connectors.terminal(each, "to", each.needed("to"));
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
        OptionalDouble maximum = each.number("max_ohm");
        OptionalDouble minimum = each.number("min_ohm");
        Optional<String> note = each.text("note");
        each.done();
        if (from.isEmpty() || to.isEmpty() || madeOf.isEmpty() || strandClass.isEmpty()) {
            return Optional.empty();
        }
        return ConnectorReader.made(
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
                        maximum,
                        minimum,
                        note));
    }

    private Optional<Component> component(JsonMembers each) {
        String id = each.needed("id");
        String code = each.needed("kind");
        Optional<Component.ComponentKind> kind = Component.ComponentKind.of(code);
        if (kind.isEmpty() && !code.isEmpty()) {
            each.problem("kind", Message.of("assembly_reader.no_kind_component", code));
        }
        Optional<Terminal> a = connectors.terminal(each, "a", each.needed("a"));
        Optional<Terminal> b = connectors.terminal(each, "b", each.needed("b"));
        OptionalDouble maximum = each.number("max_ohm");
        OptionalDouble ohm = each.number("ohm");
        OptionalDouble tolerance = each.number("tolerance");
        OptionalDouble r25 = each.number("r25_ohm");
        OptionalDouble beta = each.number("beta_k");
        OptionalDouble forward = each.number("forward_v");
        each.done();
        if (kind.isEmpty() || a.isEmpty() || b.isEmpty()) {
            return Optional.empty();
        }
        return ConnectorReader.made(
                each,
                () -> new Component(id, kind.get(), a.get(), b.get(), maximum, ohm, tolerance, r25, beta, forward));
    }

    private List<SwitchState> states() {
        List<SwitchState> states = new ArrayList<>();
        for (JsonMembers each : root.objects("states")) {
            String id = each.needed("id");
            List<String> closed = each.texts("closed");
            each.done();
            ConnectorReader.made(each, () -> new SwitchState(id, Set.copyOf(new HashSet<>(closed))))
                    .ifPresent(states::add);
        }
        return states;
    }
}
