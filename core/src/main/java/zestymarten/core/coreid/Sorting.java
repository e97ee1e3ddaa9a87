package zestymarten.core.coreid;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;

/**
 * One bundle being sorted in a round trip, as far as it has come: by groups or by the chain of pairs.
 *
 * @param cores that are sorted; with a return that is needed one more than the bundle has, the last one
 * @param linkedHere what to link before the trip
 * @param linkedThere what to link there; empty until it is known what was found there, or where a chain is broken
 * @param there for each core here, by its place from 0, the core there; 0 where it is not identified; empty until all is found
 * @param whole whether every core is identified and none is at fault
 * @param says what it means, a sentence each, and what is to be done next where something is left
 */
public record Sorting(
        IdentificationMethod.MethodKind kind,
        int cores,
        GroupCodes linkedHere,
        Optional<GroupCodes> linkedThere,
        List<Integer> there,
        boolean whole,
        List<Message> says) {
    public Sorting {
        there = List.copyOf(there);
        says = List.copyOf(says);
    }

    /** How many cores are sorted: a return is counted where the bundle alone has no scheme. */
    public static int counted(IdentificationMethod.MethodKind kind, int cores, boolean hasReturn) {
        return kind == IdentificationMethod.MethodKind.GROUPS
                        && hasReturn
                        && GroupScheme.of(cores).isEmpty()
                ? cores + 1
                : cores;
    }

    /**
     * The sorting as far as it has come.
     *
     * @param kind groups or pair chain
     * @param cores counted, see {@link #counted}
     * @throws IllegalArgumentException where that method cannot sort so many
     */
    public static Sorting of(
            IdentificationMethod.MethodKind kind,
            int cores,
            Optional<GroupCodes> foundThere,
            Optional<GroupCodes> foundHere) {
        return switch (kind) {
            case GROUPS -> groups(cores, foundThere, foundHere);
            case PAIR_CHAIN -> chain(cores, foundThere, foundHere);
            case TAGS, PAIR_AND_EARTH, ONE_BY_ONE ->
                throw new IllegalArgumentException("Only groups and the pair chain are sorted by groups.");
        };
    }

    private static Sorting groups(int cores, Optional<GroupCodes> foundThere, Optional<GroupCodes> foundHere) {
        GroupScheme scheme = GroupScheme.of(cores).orElseThrow(() -> new NotAccepted("sorting.not_by_sizes", cores));
        GroupCodes linkedHere = scheme.linkedHere();
        Optional<GroupCodes> linkedThere = foundThere.map(scheme::linkedThere);
        if (foundThere.isEmpty() || linkedThere.isEmpty() || foundHere.isEmpty()) {
            List<Message> says = foundThere
                    .filter(found -> !found.sizes().equals(linkedHere.sizes()))
                    .map(found -> List.of(Message.of("sorting.groups_found_there_do")))
                    .orElse(List.of());
            return new Sorting(
                    IdentificationMethod.MethodKind.GROUPS, cores, linkedHere, linkedThere, List.of(), false, says);
        }
        CoreMatching matched = CoreMatching.of(linkedHere, foundThere.get(), linkedThere.get(), foundHere.get());
        return new Sorting(
                IdentificationMethod.MethodKind.GROUPS,
                cores,
                linkedHere,
                linkedThere,
                matched.sure(),
                matched.isComplete(),
                says(matched, linkedHere, linkedThere.get()));
    }

    private static List<Message> says(CoreMatching matched, GroupCodes linkedHere, GroupCodes linkedThere) {
        List<CoreMatching.MatchingExplanation> ways = matched.explanations();
        if (ways.isEmpty()) {
            return List.of(Message.of("sorting.these_groups_fit_neither"));
        }
        if (matched.isComplete()) {
            return complete(matched, linkedHere, linkedThere);
        }
        List<Message> says = new ArrayList<>();
        broken(ways, matched.sure()).ifPresent(says::add);
        shorted(ways).ifPresent(says::add);
        if (ways.stream().anyMatch(each -> each.fault().isEmpty())) {
            says.add(Message.of("sorting.may_also_be_sound"));
        }
        long open = matched.sure().stream().filter(each -> each == 0).count();
        if (open > 0) {
            says.add(Message.of(
                    "sorting.cores_not_identified_yet", open, matched.sure().size()));
        }
        return says;
    }

    /** A core that is linked to nothing at either end showed continuity to nothing: an open one would look the same. */
    private static List<Message> complete(CoreMatching matched, GroupCodes linkedHere, GroupCodes linkedThere) {
        for (int core = 1; core <= matched.sure().size(); core++) {
            int there = matched.sure().get(core - 1);
            if (linkedHere.of(core).size() == 1 && linkedThere.of(there).size() == 1) {
                return List.of(
                        Message.of("sorting.every_core_identified_none"),
                        Message.of("sorting.core_here_there_was", core, there));
            }
        }
        return List.of(Message.of("sorting.every_core_identified_none_2"));
    }

    private static Optional<Message> broken(List<CoreMatching.MatchingExplanation> ways, List<Integer> sure) {
        Set<Integer> here = new LinkedHashSet<>();
        Set<Integer> there = new LinkedHashSet<>();
        ways.forEach(way -> way.fault().ifPresent(fault -> {
            if (fault instanceof CoreMatching.CoreFault.CoreBroken broken) {
                here.add(broken.here());
                there.add(broken.there());
            }
        }));
        if (here.isEmpty()) {
            return Optional.empty();
        }
        if (here.size() == 1 && there.size() == 1) {
            return Optional.of(Message.of("sorting.core_here_open_other", list(here), list(there)));
        }
        int known = 0;
        while (known < sure.size() && sure.get(known) == 0) {
            known++;
        }
        Message confirm = known < sure.size()
                ? Message.of(
                        "sorting.find_out_link_there", there.iterator().next(), sure.get(known), list(here), known + 1)
                : Message.NONE;
        return Optional.of(Message.of("sorting.core_open_here_one", list(here), list(there), confirm));
    }

    private static Optional<Message> shorted(List<CoreMatching.MatchingExplanation> ways) {
        Set<Integer> all = new LinkedHashSet<>();
        ways.forEach(way -> way.fault().ifPresent(fault -> {
            if (fault instanceof CoreMatching.CoreFault.CoresShorted pair) {
                all.addAll(pair.here());
            }
        }));
        if (all.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(
                all.size() == 2
                        ? Message.of("sorting.cores_here_touch_each", list(all))
                        : Message.of("sorting.two_cores_here_touch", list(all)));
    }

    private static String list(Set<Integer> cores) {
        return cores.stream().sorted().map(String::valueOf).collect(Collectors.joining(", "));
    }

    private static Sorting chain(int cores, Optional<GroupCodes> foundThere, Optional<GroupCodes> foundHere) {
        GroupCodes linkedHere = PairChain.linkedHere(cores);
        Optional<GroupCodes> linkedThere = foundThere.flatMap(PairChain::linkedThere);
        if (foundThere.isPresent() && linkedThere.isEmpty()) {
            return new Sorting(
                    IdentificationMethod.MethodKind.PAIR_CHAIN,
                    cores,
                    linkedHere,
                    Optional.empty(),
                    List.of(),
                    false,
                    List.of(Message.of("sorting.there_should_be_one")));
        }
        if (foundHere.isEmpty() || linkedThere.isEmpty()) {
            return new Sorting(
                    IdentificationMethod.MethodKind.PAIR_CHAIN,
                    cores,
                    linkedHere,
                    linkedThere,
                    List.of(),
                    false,
                    List.of());
        }
        List<Integer> sorted = PairChain.sorted(foundThere.orElseThrow(), foundHere.get());
        boolean whole = !sorted.contains(0);
        return new Sorting(
                IdentificationMethod.MethodKind.PAIR_CHAIN,
                cores,
                linkedHere,
                linkedThere,
                sorted,
                whole,
                List.of(
                        whole
                                ? Message.of("sorting.every_core_identified_none_2")
                                : Message.of("sorting.chain_stops_core_after")));
    }
}
