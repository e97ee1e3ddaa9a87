package zestymarten.core.finding;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.network.Groups;

/**
 * Which terminals were seen to be joined: groups that are closed transitively. A terminal that nothing joined is a group
 * of its own.
 */
public final class Partition {
    private final Map<Terminal, Integer> number = new HashMap<>();
    private final List<Terminal> terminals;
    private final Groups groups;

    private Partition(List<Terminal> terminals) {
        this.terminals = terminals.stream().distinct().toList();
        this.terminals.forEach(terminal -> number.put(terminal, number.size()));
        groups = new Groups(number.size());
    }

    /** Two terminals that were seen to be one point. */
    public record JoinedPair(Terminal a, Terminal b) {}

    /**
     * The groups that the joined pairs make of the terminals.
     *
     * @param terminals every terminal of the unit
     * @throws IllegalArgumentException if a pair names a terminal that is not among them
     */
    public static Partition of(List<Terminal> terminals, Collection<JoinedPair> joined) {
        Partition partition = new Partition(terminals);
        joined.forEach(partition::join);
        return partition;
    }

    /** Makes one group of the groups of two terminals. */
    public void join(JoinedPair pair) {
        groups.join(number(pair.a()), number(pair.b()));
    }

    private int number(Terminal terminal) {
        Integer found = number.get(terminal);
        if (found == null) {
            throw new IllegalArgumentException("Terminal " + terminal + " is not part of this unit.");
        }
        return found;
    }

    /** The group of a terminal: the same number for all that are joined to it. */
    public int group(Terminal terminal) {
        return groups.of(number(terminal));
    }

    /** The first terminal of a terminal's group, in the order in which the terminals were given. */
    public Terminal first(Terminal terminal) {
        return terminals.get(group(terminal));
    }

    public boolean joins(Terminal a, Terminal b) {
        return group(a) == group(b);
    }
}
