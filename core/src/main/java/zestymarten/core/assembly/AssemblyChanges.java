package zestymarten.core.assembly;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/** What differs between two designs, row by row: which were added, removed, changed. Rows are told apart by their names. */
public record AssemblyChanges(List<RowChange> lines) {
    /** What became of a row. */
    public enum ChangeSort {
        ADDED,
        REMOVED,
        CHANGED
    }

    /**
     * One row.
     *
     * @param kind of what: wire, part, joint, position, connector
     * @param before as it was, in the words of {@link #after}; empty for one that was added
     * @param after as it is; empty for one that was removed
     */
    public record RowChange(ChangeSort sort, String kind, String name, String before, String after) {}

    public AssemblyChanges {
        lines = List.copyOf(lines);
    }

    /** From one design to the other, in the order of the first, what was added last. Cost: linear in both. */
    public static AssemblyChanges between(Assembly before, Assembly after) {
        List<RowChange> lines = new ArrayList<>();
        compare(lines, "wire", before.conductors(), after.conductors(), Conductor::id, AssemblyChanges::words);
        compare(lines, "part", before.components(), after.components(), Component::id, AssemblyChanges::words);
        compare(
                lines,
                "joint",
                before.joints(),
                after.joints(),
                each -> each.terminal().name(),
                AssemblyChanges::words);
        compare(lines, "position", before.states(), after.states(), SwitchState::id, AssemblyChanges::words);
        compare(lines, "connector", before.connectors(), after.connectors(), Connector::id, AssemblyChanges::words);
        return new AssemblyChanges(lines);
    }

    private static <T> void compare(
            List<RowChange> lines,
            String kind,
            List<T> before,
            List<T> after,
            Function<T, String> name,
            Function<T, String> words) {
        Map<String, T> old = byName(before, name);
        Map<String, T> now = byName(after, name);
        Set<String> all = new LinkedHashSet<>(old.keySet());
        all.addAll(now.keySet());
        for (String each : all) {
            T was = old.get(each);
            T is = now.get(each);
            if (was == null && is != null) {
                lines.add(new RowChange(ChangeSort.ADDED, kind, each, "", words.apply(is)));
            } else if (is == null && was != null) {
                lines.add(new RowChange(ChangeSort.REMOVED, kind, each, words.apply(was), ""));
            } else if (was != null && is != null && !was.equals(is)) {
                lines.add(new RowChange(ChangeSort.CHANGED, kind, each, words.apply(was), words.apply(is)));
            }
        }
    }

    private static <T> Map<String, T> byName(List<T> all, Function<T, String> name) {
        Map<String, T> named = new LinkedHashMap<>();
        all.forEach(each -> named.putIfAbsent(name.apply(each), each));
        return named;
    }

    private static String words(Conductor wire) {
        StringBuilder words = new StringBuilder(wire.from() + " to " + wire.to());
        wire.colour().ifPresent(each -> words.append(", ").append(each.text()));
        wire.function().ifPresent(each -> words.append(", ").append(each));
        wire.lengthM().ifPresent(each -> words.append(", ").append(each).append(" m"));
        wire.areaMm2().ifPresent(each -> words.append(", ").append(each).append(" mm²"));
        words.append(", ")
                .append(wire.metal().code())
                .append(", class ")
                .append(wire.strandClass().code());
        wire.current().ifPresent(each -> words.append(", ").append(each).append(" A"));
        wire.maxOhm().ifPresent(each -> words.append(", max ").append(each).append(" Ω"));
        wire.minOhm().ifPresent(each -> words.append(", min ").append(each).append(" Ω"));
        wire.zone().ifPresent(each -> words.append(", ").append(each));
        wire.note().ifPresent(each -> words.append(", “").append(each).append('”'));
        return words + (wire.spare() ? ", spare" : "");
    }

    private static String words(Component part) {
        StringBuilder words =
                new StringBuilder(part.kind().code().replace('_', ' ') + ", " + part.a() + " to " + part.b());
        part.ohm().ifPresent(each -> words.append(", ").append(each).append(" Ω"));
        part.tolerance()
                .ifPresent(each -> words.append(" ± ").append(each * 100).append(" %"));
        part.maxOhm().ifPresent(each -> words.append(", max ").append(each).append(" Ω"));
        part.r25Ohm().ifPresent(each -> words.append(", ").append(each).append(" Ω at 25 °C"));
        part.betaK().ifPresent(each -> words.append(", beta ").append(each).append(" K"));
        part.forwardV().ifPresent(each -> words.append(", ").append(each).append(" V forward"));
        return words.toString();
    }

    private static String words(Joint joint) {
        String most = joint.maxOhm().isPresent() ? ", max " + joint.maxOhm().getAsDouble() + " Ω" : "";
        return joint.kind() + (joint.probe() ? ", reached by a probe" : "") + most;
    }

    private static String words(SwitchState state) {
        return state.closed().isEmpty()
                ? "nothing closed"
                : "closed: " + state.closed().stream().sorted().collect(Collectors.joining(", "));
    }

    private static String words(Connector connector) {
        return (connector.name().isEmpty() ? "" : connector.name() + ", ")
                + connector.face().text() + ", " + connector.pins().size() + " pins"
                + (connector.reach().place().isEmpty()
                        ? ""
                        : ", " + connector.reach().place());
    }
}
