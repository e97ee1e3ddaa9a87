package zestymarten.core.coreid;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import zestymarten.core.quantity.NotAccepted;

/**
 * Which core here is which core there, from what was linked at either end and what was found at the other.
 *
 * <p>Method: a core has two groups, the linked one and the found one; here and there these must be the same pairs. Cores are separated
 * by the sizes of their groups, then again and again by who is in them, until nothing more is distinguished. If the sizes
 * do not add up, every single broken core and every short between two is tried in the same way. Cost: cores times rounds for each
 * explanation tried; only those whose sizes add up are. Order: by fault, then by core. Holds for: one fault at a time.
 *
 * @param explanations every way to explain it, one where it is sure; none where more than one core is at fault
 */
public record CoreMatching(List<MatchingExplanation> explanations) {
    public CoreMatching {
        explanations = List.copyOf(explanations);
    }

    /**
     * One way to explain it.
     *
     * @param there for each core here, by its place from 0, the core there; 0 where it cannot be identified, or is broken
     * @param fault what is wrong with a core; empty for nothing
     */
    public record MatchingExplanation(List<Integer> there, Optional<CoreFault> fault) {
        public MatchingExplanation {
            there = List.copyOf(there);
        }
    }

    /** What is wrong with cores, by their numbers here and there; those that cannot be distinguished are all named. */
    public sealed interface CoreFault {
        /** A core is open. */
        record CoreBroken(int here, int there) implements CoreFault {}

        /** Two of these cores touch each other. */
        record CoresShorted(List<Integer> here) implements CoreFault {
            public CoresShorted {
                here = List.copyOf(here);
            }
        }
    }

    /** Explains what was linked here, found there, linked there and found here. */
    public static CoreMatching of(
            GroupCodes linkedHere, GroupCodes foundThere, GroupCodes linkedThere, GroupCodes foundHere) {
        int cores = linkedHere.cores();
        if (List.of(foundThere, linkedThere, foundHere).stream().anyMatch(each -> each.cores() != cores)) {
            throw new NotAccepted("core_matching.all_four_groups", cores);
        }
        Tries tries = new Tries(linkedHere, foundThere, linkedThere, foundHere);
        tries.good();
        if (tries.found.isEmpty()) {
            tries.broken();
            tries.shorted();
        }
        return new CoreMatching(tries.found);
    }

    /** The core there of each core here in which all explanations agree; 0 where they do not. */
    public List<Integer> sure() {
        if (explanations.isEmpty()) {
            return List.of();
        }
        List<Integer> sure = new ArrayList<>(explanations.get(0).there());
        for (MatchingExplanation each : explanations) {
            for (int i = 0; i < sure.size(); i++) {
                if (!sure.get(i).equals(each.there().get(i))) {
                    sure.set(i, 0);
                }
            }
        }
        return List.copyOf(sure);
    }

    /** Whether every core is identified, and none is at fault. */
    public boolean isComplete() {
        return explanations.size() == 1
                && explanations.get(0).fault().isEmpty()
                && !explanations.get(0).there().contains(0);
    }

    /** The explanations that fit, as they are tried. */
    private static final class Tries {
        private final GroupCodes linkedHere;
        private final GroupCodes foundThere;
        private final GroupCodes linkedThere;
        private final GroupCodes foundHere;
        private final List<MatchingExplanation> found = new ArrayList<>();

        Tries(GroupCodes linkedHere, GroupCodes foundThere, GroupCodes linkedThere, GroupCodes foundHere) {
            this.linkedHere = linkedHere;
            this.foundThere = foundThere;
            this.linkedThere = linkedThere;
            this.foundHere = foundHere;
        }

        void good() {
            matched(linkedHere, linkedThere).ifPresent(there -> add(there, Optional.empty()));
        }

        /** A broken core is found alone at both ends. */
        void broken() {
            for (int here : alone(foundHere)) {
                GroupCodes open = linkedHere.without(here);
                if (!open.sizes().equals(foundThere.sizes())) {
                    continue;
                }
                for (int there : alone(foundThere)) {
                    GroupCodes openThere = linkedThere.without(there);
                    if (openThere.sizes().equals(foundHere.sizes())) {
                        matched(open, openThere)
                                .filter(each -> each[here] == there || each[here] == 0)
                                .ifPresent(each -> {
                                    each[here] = 0;
                                    add(each, Optional.of(new CoreFault.CoreBroken(here, there)));
                                });
                    }
                }
            }
        }

        private static List<Integer> alone(GroupCodes groups) {
            return groups.groups().stream()
                    .filter(group -> group.size() == 1)
                    .map(group -> group.get(0))
                    .toList();
        }

        /** A short joins the groups of both its cores at either end. */
        void shorted() {
            for (int[] pair : pairs(linkedHere, foundThere)) {
                GroupCodes joined = linkedHere.joined(pair[0], pair[1]);
                for (int[] other : pairs(linkedThere, foundHere)) {
                    if (pair[0] == pair[1] && other[0] == other[1]) {
                        continue; // neither end would show it
                    }
                    matched(joined, linkedThere.joined(other[0], other[1]))
                            .ifPresent(each -> shorted(each, pair, other));
                }
            }
        }

        private void shorted(int[] there, int[] pair, int[] other) {
            Set<Integer> here = new LinkedHashSet<>();
            int[] linked = linkedHere.numbers();
            int[] far = linkedThere.numbers();
            for (int core = 1; core < there.length; core++) {
                boolean nearFits = linked[core] == pair[0] || linked[core] == pair[1];
                boolean farFits = there[core] == 0 || far[there[core]] == other[0] || far[there[core]] == other[1];
                if (nearFits && farFits) {
                    here.add(core);
                }
            }
            if (here.size() >= 2) {
                add(there, Optional.of(new CoreFault.CoresShorted(List.copyOf(here))));
            }
        }

        /** Pairs of groups that, joined, have the sizes found; the same twice for none joined. */
        private static List<int[]> pairs(GroupCodes linked, GroupCodes found) {
            List<int[]> pairs = new ArrayList<>();
            if (linked.sizes().equals(found.sizes())) {
                for (int i = 0; i < linked.groups().size(); i++) {
                    if (linked.groups().get(i).size() > 1) {
                        pairs.add(new int[] {i, i});
                    }
                }
            }
            for (int i = 0; i < linked.groups().size(); i++) {
                for (int j = 0; j < i; j++) {
                    if (linked.joined(i, j).sizes().equals(found.sizes())) {
                        pairs.add(new int[] {j, i});
                    }
                }
            }
            return pairs;
        }

        private void add(int[] there, Optional<CoreFault> fault) {
            MatchingExplanation explanation =
                    new MatchingExplanation(Arrays.stream(there).skip(1).boxed().toList(), fault);
            if (!found.contains(explanation)) {
                found.add(explanation);
            }
        }

        /** The core there of each core here, 0 where several fit; empty where the pairs of groups are not the same. */
        private Optional<int[]> matched(GroupCodes linked, GroupCodes linkedOther) {
            int cores = linked.cores();
            if (!linked.sizes().equals(foundThere.sizes())
                    || !linkedOther.sizes().equals(foundHere.sizes())) {
                return Optional.empty();
            }
            int[][] groups = {linked.numbers(), foundHere.numbers(), foundThere.numbers(), linkedOther.numbers()};
            int[] here = new int[cores + 1];
            int[] there = new int[cores + 1];
            int certain = 1;
            while (true) {
                Map<List<Object>, Integer> names = new HashMap<>();
                here = refined(here, groups[0], groups[1], names);
                there = refined(there, groups[2], groups[3], names);
                int now = names.size();
                if (!Arrays.equals(sorted(here), sorted(there))) {
                    return Optional.empty();
                }
                if (now == certain) {
                    return Optional.of(paired(here, there));
                }
                certain = now;
            }
        }

        private static int[] sorted(int[] colours) {
            int[] copy = Arrays.copyOfRange(colours, 1, colours.length);
            Arrays.sort(copy);
            return copy;
        }

        /** Each core's colour anew, from its own and those of the members of both its groups. */
        private static int[] refined(int[] colours, int[] one, int[] other, Map<List<Object>, Integer> names) {
            Map<Integer, List<Integer>> inOne = members(colours, one);
            Map<Integer, List<Integer>> inOther = members(colours, other);
            int[] fresh = new int[colours.length];
            for (int core = 1; core < colours.length; core++) {
                List<Object> key = List.of(
                        colours[core],
                        inOne.getOrDefault(one[core], List.of()),
                        inOther.getOrDefault(other[core], List.of()));
                Integer known = names.get(key);
                if (known == null) {
                    known = names.size();
                    names.put(key, known);
                }
                fresh[core] = known;
            }
            return fresh;
        }

        private static Map<Integer, List<Integer>> members(int[] colours, int[] group) {
            Map<Integer, List<Integer>> members = new HashMap<>();
            for (int core = 1; core < colours.length; core++) {
                members.computeIfAbsent(group[core], any -> new ArrayList<>()).add(colours[core]);
            }
            members.values().forEach(each -> each.sort(null));
            return members;
        }

        private static int[] paired(int[] here, int[] there) {
            Map<Integer, OptionalInt> byColour = new HashMap<>();
            for (int core = 1; core < there.length; core++) {
                int colour = there[core];
                byColour.put(colour, byColour.containsKey(colour) ? OptionalInt.empty() : OptionalInt.of(core));
            }
            int[] paired = new int[here.length];
            for (int core = 1; core < here.length; core++) {
                paired[core] =
                        byColour.getOrDefault(here[core], OptionalInt.empty()).orElse(0);
            }
            return paired;
        }
    }
}
