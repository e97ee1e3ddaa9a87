package zestymarten.core.coreid;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zestymarten.core.quantity.NotAccepted;

/**
 * The chain of pairs, for any odd number of cores, without a return.
 *
 * <p>Method: here one core stays single and the others are linked in pairs; there the single is found and linked to one of a pair, its
 * other one to one of the next pair, and so on, one left over; here the pairs are unlinked and the chain is followed from the
 * single: a core there leads to its partner here, and that one to the next. Cost: linear in the cores.
 */
public final class PairChain {
    private PairChain() {}

    /** What to link here: core 1 single, 2 and 3, 4 and 5 ...; refused for an even number or fewer than 3. */
    public static GroupCodes linkedHere(int cores) {
        if (cores < 3 || cores % 2 == 0) {
            throw new NotAccepted("pair_chain.chain_pairs_needs", cores);
        }
        List<List<Integer>> groups = new ArrayList<>(List.of(List.of(1)));
        for (int core = 2; core < cores; core += 2) {
            groups.add(List.of(core, core + 1));
        }
        return new GroupCodes(groups);
    }

    /** What to link there, from what was found there; empty where that is not one single and pairs, so that a core is at fault. */
    public static Optional<GroupCodes> linkedThere(GroupCodes foundThere) {
        if (!isChain(foundThere)) {
            return Optional.empty();
        }
        List<List<Integer>> pairs =
                foundThere.groups().stream().filter(each -> each.size() == 2).toList();
        int loose = single(foundThere);
        List<List<Integer>> groups = new ArrayList<>();
        for (List<Integer> pair : pairs) {
            groups.add(List.of(loose, pair.get(0)));
            loose = pair.get(1);
        }
        groups.add(List.of(loose));
        return Optional.of(new GroupCodes(groups));
    }

    private static boolean isChain(GroupCodes groups) {
        long singles = groups.groups().stream().filter(each -> each.size() == 1).count();
        return singles == 1 && groups.groups().stream().allMatch(each -> each.size() <= 2);
    }

    private static int single(GroupCodes groups) {
        return groups.groups().stream()
                .filter(each -> each.size() == 1)
                .map(each -> each.get(0))
                .findFirst()
                .orElseThrow();
    }

    /** For each core here, by its place from 0, the core there; as far as the chain can be followed, then 0. */
    public static List<Integer> sorted(GroupCodes foundThere, GroupCodes foundHere) {
        int cores = foundThere.cores();
        GroupCodes linkedHere = linkedHere(cores);
        GroupCodes linkedThere = linkedThere(foundThere).orElseThrow();
        int[] there = new int[cores + 1];
        int here = 1;
        int far = single(foundThere);
        there[here] = far;
        for (int i = 0; i < (cores - 1) / 2; i++) {
            int nextHere = other(foundHere, here);
            int nextFar = other(linkedThere, far);
            if (nextHere == 0 || nextFar == 0 || there[nextHere] != 0) {
                break;
            }
            there[nextHere] = nextFar;
            here = other(linkedHere, nextHere);
            far = other(foundThere, nextFar);
            if (here == 0 || far == 0 || there[here] != 0) {
                break;
            }
            there[here] = far;
        }
        List<Integer> sorted = new ArrayList<>();
        for (int core = 1; core <= cores; core++) {
            sorted.add(there[core]);
        }
        return sorted;
    }

    /** The other one of a pair; 0 where it is none. */
    private static int other(GroupCodes groups, int core) {
        List<Integer> group = groups.of(core);
        if (group.size() != 2) {
            return 0;
        }
        return group.get(0) == core ? group.get(1) : group.get(0);
    }
}
