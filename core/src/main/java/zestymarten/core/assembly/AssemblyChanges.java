package zestymarten.core.assembly;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MessageArgument;

/** What differs between two designs, row by row: which were added, removed, changed. Rows are distinguished by their names. */
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
    public record RowChange(ChangeSort sort, String kind, String name, Message before, Message after) {}

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
            Function<T, Message> words) {
        Map<String, T> old = byName(before, name);
        Map<String, T> now = byName(after, name);
        Set<String> all = new LinkedHashSet<>(old.keySet());
        all.addAll(now.keySet());
        for (String each : all) {
            T was = old.get(each);
            T is = now.get(each);
            if (was == null && is != null) {
                lines.add(new RowChange(ChangeSort.ADDED, kind, each, Message.NONE, words.apply(is)));
            } else if (is == null && was != null) {
                lines.add(new RowChange(ChangeSort.REMOVED, kind, each, words.apply(was), Message.NONE));
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

    private static Message words(Conductor wire) {
        List<Object> words = new ArrayList<>();
        words.add(Message.of("assembly_changes.ends", wire.from(), wire.to()));
        wire.colour().ifPresent(each -> words.add(each.text()));
        wire.function().ifPresent(words::add);
        wire.lengthM().ifPresent(each -> words.add(Message.figure(each, "m")));
        wire.areaMm2().ifPresent(each -> words.add(Message.figure(each, "mm²")));
        words.add(wire.metal().code());
        words.add(Message.of("assembly_changes.class", wire.strandClass().code()));
        wire.current().ifPresent(each -> words.add(Message.figure(each, "A")));
        wire.maxOhm().ifPresent(each -> words.add(Message.of("assembly_changes.max", ohms(each))));
        wire.minOhm().ifPresent(each -> words.add(Message.of("assembly_changes.min", ohms(each))));
        wire.zone().ifPresent(words::add);
        wire.note().ifPresent(each -> words.add(Message.of("assembly_changes.note", each)));
        if (wire.spare()) {
            words.add(Message.of("assembly_changes.spare"));
        }
        return row(words);
    }

    private static Message words(Component part) {
        List<Object> words = new ArrayList<>();
        words.add(part.kind());
        words.add(Message.of("assembly_changes.ends", part.a(), part.b()));
        part.ohm().ifPresent(each -> words.add(ohms(each)));
        part.tolerance()
                .ifPresent(
                        each -> words.add(Message.of("assembly_changes.tolerance", Message.figure(each * 100, "%"))));
        part.maxOhm().ifPresent(each -> words.add(Message.of("assembly_changes.max", ohms(each))));
        part.r25Ohm().ifPresent(each -> words.add(Message.of("assembly_changes.at_25", ohms(each))));
        part.betaK().ifPresent(each -> words.add(Message.of("assembly_changes.beta", Message.figure(each, "K"))));
        part.forwardV().ifPresent(each -> words.add(Message.of("assembly_changes.forward", Message.figure(each, "V"))));
        return row(words);
    }

    private static Message words(Joint joint) {
        List<Object> words = new ArrayList<>();
        words.add(joint.kind());
        if (joint.probe()) {
            words.add(Message.of("assembly_changes.reached_by_probe"));
        }
        joint.maxOhm().ifPresent(each -> words.add(Message.of("assembly_changes.max", ohms(each))));
        return row(words);
    }

    private static Message row(List<Object> words) {
        return Message.of("message.verbatim", Message.list(MessageArgument.Listing.Link.COMMA, words));
    }

    private static MessageArgument ohms(double value) {
        return Message.figure(value, "Ω");
    }

    private static Message words(SwitchState state) {
        return state.closed().isEmpty()
                ? Message.of("assembly_changes.nothing_closed")
                : Message.of(
                        "assembly_changes.closed",
                        state.closed().stream().sorted().collect(Collectors.joining(", ")));
    }

    private static Message words(Connector connector) {
        return Message.of(
                "assembly_changes.pins",
                connector.name().isEmpty(),
                connector.name(),
                connector.face().text(),
                connector.pins().size(),
                connector.reach().place().isEmpty(),
                connector.reach().place());
    }
}
