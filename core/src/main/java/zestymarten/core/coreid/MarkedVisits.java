package zestymarten.core.coreid;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import zestymarten.core.quantity.NotAccepted;

/**
 * Sorting by visits, as it is practised where there is a return: at each visit there one core goes to the return, by pair and
 * earth two more are linked together, and here they are found.
 *
 * <p>Method: one by one, visit k puts core k there to the return. By pair and earth the one to the return is the first of the
 * pair of the visit before, so that its other one is known too. Where every visit found its core, the last one is known by what
 * is left, and shown by nothing: see {@link #unproved}. Cost: linear.
 *
 * @param visits in their order
 */
public record MarkedVisits(int cores, List<Visit> visits) {
    public MarkedVisits {
        visits = List.copyOf(visits);
    }

    /**
     * What is arranged there at a visit.
     *
     * @param toReturn the core there that goes to the return
     * @param together two that are linked together; none or two
     */
    public record Visit(int toReturn, List<Integer> together) {
        public Visit {
            together = List.copyOf(together);
        }
    }

    /**
     * What was found here at a visit.
     *
     * @param toReturn the core here that rings to the return; empty where none does: it is open
     * @param together the two here that ring together, in any order; none where none do
     */
    public record MarkedCore(Optional<Integer> toReturn, List<Integer> together) {
        public MarkedCore {
            together = List.copyOf(together);
        }
    }

    /** The visits of a method for so many cores, from 2. */
    public static MarkedVisits of(IdentificationMethod.MethodKind kind, int cores) {
        if (cores < 2) {
            throw new NotAccepted("marked_visits.two_cores_least", cores);
        }
        List<Visit> visits = new ArrayList<>();
        if (kind == IdentificationMethod.MethodKind.PAIR_AND_EARTH) {
            visits.add(visit(1, 2, cores));
            for (int core = 2; core < cores; core += 2) {
                visits.add(visit(core, core + 2, cores));
            }
        } else {
            for (int core = 1; core < cores; core++) {
                visits.add(new Visit(core, List.of()));
            }
        }
        return new MarkedVisits(cores, visits);
    }

    private static Visit visit(int toReturn, int first, int cores) {
        return new Visit(toReturn, first < cores ? List.of(first, first + 1) : List.of());
    }

    /**
     * For each core here, by its place from 0, the core there; 0 where it is not identified.
     *
     * @param found at the visits so far, in their order
     */
    public List<Integer> sorted(List<MarkedCore> found) {
        int[] there = new int[cores + 1];
        for (int i = 0; i < Math.min(found.size(), visits.size()); i++) {
            Visit visit = visits.get(i);
            int here = found.get(i).toReturn().orElse(0);
            put(there, here, visit.toReturn());
            if (i > 0 && visits.get(i - 1).together().contains(visit.toReturn())) {
                int other = other(visits.get(i - 1).together(), visit.toReturn());
                put(there, other(found.get(i - 1).together(), here), other);
            }
        }
        boolean all = found.size() >= visits.size()
                && found.stream().allMatch(each -> each.toReturn().isPresent());
        if (all) {
            last(there);
        }
        List<Integer> sorted = new ArrayList<>();
        for (int core = 1; core <= cores; core++) {
            sorted.add(there[core]);
        }
        return sorted;
    }

    /** The cores there that no visit shows: known by what is left alone, an open one would look the same. */
    public List<Integer> unproved() {
        return IntStream.rangeClosed(1, cores)
                .filter(core -> visits.stream()
                        .noneMatch(each ->
                                each.toReturn() == core || each.together().contains(core)))
                .boxed()
                .toList();
    }

    private void put(int[] there, int here, int core) {
        if (here >= 1 && here <= cores && there[here] == 0) {
            there[here] = core;
        }
    }

    /** The other one of a pair; 0 where the core is not in it. */
    private static int other(List<Integer> pair, int core) {
        if (pair.size() != 2 || !pair.contains(core)) {
            return 0;
        }
        return pair.get(0) == core ? pair.get(1) : pair.get(0);
    }

    /** One left here and one left there belong to each other. */
    private void last(int[] there) {
        List<Integer> left = new ArrayList<>();
        boolean[] taken = new boolean[cores + 1];
        for (int core = 1; core <= cores; core++) {
            taken[there[core]] = true;
            if (there[core] == 0) {
                left.add(core);
            }
        }
        for (int core = 1; core <= cores && left.size() == 1; core++) {
            if (!taken[core]) {
                there[left.get(0)] = core;
                return;
            }
        }
    }
}
