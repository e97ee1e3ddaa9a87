package zestymarten.core.analysis;

import java.util.BitSet;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Which observed groups were seen to be apart.
 *
 * <p>Method: a row of bits for each group. Cost: a measurement that parts a linked set of k groups from one of m costs
 * (k + m) n / 64, so that a measurement of all groups in two halves costs little more than one of two wires.
 */
final class Separations {
    private final Map<Integer, BitSet> apart = new HashMap<>();

    /** Notes that none of the one groups is joined to any of the others. */
    void add(Collection<Integer> one, Collection<Integer> other) {
        mark(one, bits(other));
        mark(other, bits(one));
    }

    private void mark(Collection<Integer> groups, BitSet others) {
        groups.forEach(
                group -> apart.computeIfAbsent(group, any -> new BitSet()).or(others));
    }

    private static BitSet bits(Collection<Integer> groups) {
        BitSet bits = new BitSet();
        groups.forEach(bits::set);
        return bits;
    }

    boolean parted(int one, int other) {
        BitSet row = apart.get(one);
        return row != null && row.get(other);
    }

    /** Of the given groups, those above {@code group} that were not parted from it, ascending. */
    List<Integer> notParted(int group, BitSet among) {
        BitSet left = new BitSet();
        left.or(among);
        left.clear(0, group + 1);
        BitSet row = apart.get(group);
        if (row != null) {
            left.andNot(row);
        }
        return left.stream().boxed().toList();
    }
}
