package zestymarten.core.assembly;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;

/** Reads connectors, and takes in the pins that anything else names, in order of first use. */
final class ConnectorReader {
    private final Map<String, LinkedHashSet<String>> pins = new LinkedHashMap<>();
    private final Map<String, String> names = new LinkedHashMap<>();
    private final Map<String, CavityLayout> faces = new LinkedHashMap<>();
    private final Map<String, Access> reaches = new LinkedHashMap<>();

    /** What was read so far. */
    List<Connector> read() {
        List<Connector> connectors = new ArrayList<>();
        pins.forEach((id, used) -> {
            CavityLayout face = faces.getOrDefault(id, CavityLayout.line(Math.max(1, used.size())));
            connectors.add(new Connector(
                    id, names.getOrDefault(id, ""), face, List.copyOf(used), reaches.getOrDefault(id, Access.AT_HAND)));
        });
        return connectors;
    }

    void connector(JsonMembers each) {
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
                            default -> throw new NotAccepted("connector_reader.accepted_expected_grid", shape);
                        });
            } catch (NotAccepted e) {
                face.problem("", e.what());
                return Optional.empty();
            }
        });
    }

    /** A terminal by its name; its pin is added to its connector if that does not have it yet. */
    Optional<Terminal> terminal(JsonMembers where, String member, String name) {
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

    /** A value that cannot be wrong, or the problem that it would be. */
    static <T> Optional<T> made(JsonMembers where, Supplier<T> maker) {
        try {
            return Optional.of(maker.get());
        } catch (NotAccepted e) {
            where.problem("", e.what());
            return Optional.empty();
        }
    }
}
