package zestymarten.core.testplan;

import java.util.HashMap;
import java.util.Map;
import java.util.function.Predicate;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.network.Groups;

/** What hangs together by wires, by what is bonded to the frame, and by some of the parts. Cost: linear, once. */
final class PartGroups {
    private final Map<Terminal, Integer> number = new HashMap<>();
    private final Groups groups;

    private PartGroups(Assembly assembly) {
        assembly.terminals().forEach(each -> number.put(each, number.size()));
        groups = new Groups(number.size());
    }

    static PartGroups of(Assembly assembly, Predicate<Component> parts) {
        PartGroups made = new PartGroups(assembly);
        assembly.conductors().forEach(wire -> made.join(wire.from(), wire.to()));
        assembly.bonded().forEach(each -> made.join(each, Terminal.FRAME));
        assembly.components().stream().filter(parts).forEach(part -> made.join(part.a(), part.b()));
        return made;
    }

    private void join(Terminal one, Terminal other) {
        groups.join(number.getOrDefault(one, 0), number.getOrDefault(other, 0));
    }

    /** A number that all terminals share which hang together. */
    int of(Terminal terminal) {
        return groups.of(number.getOrDefault(terminal, 0));
    }
}
