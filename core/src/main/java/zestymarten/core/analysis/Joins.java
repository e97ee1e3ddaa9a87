package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Partition;
import zestymarten.core.network.Path;

/**
 * Which observations show two terminals to be one point of the unit, and which a path through parts explains.
 *
 * <p>Method: where there are parts, a joint beside one is read from the part's other side too: so the readings are taken
 * from the lowest up, and one that the parts between the groups made so far explain joins nothing: its two groups are apart
 * as far as wires go. Cost: n log n in the observations, and a small solve for each that lies between two groups with
 * parts.
 */
final class Joins {
    /** Parts explain a reading of at least this share of their lowest resistance. */
    private static final double SHARE_OF_PARTS = 0.5;

    private final Design design;
    private final Partition groups;
    private final Set<Terminal> partEnds = new HashSet<>();
    private final List<Partition.JoinedPair> direct = new ArrayList<>();
    private final List<Observation> throughParts = new ArrayList<>();
    private Set<Integer> groupsWithParts = Set.of();
    private AsWired asWired;

    private Joins(Design design) {
        this.design = design;
        groups = Partition.of(design.assembly().terminals(), List.of());
        design.assembly().components().forEach(part -> partEnds.addAll(List.of(part.a(), part.b())));
        asWired = new AsWired(design, groups);
        regroup();
    }

    /** Takes the readings of a unit. */
    static Joins of(Design design, List<Observation> observations) {
        Joins joins = new Joins(design);
        observations.stream()
                .filter(Observation::joins)
                .sorted(Comparator.comparingDouble(Observation::ohm))
                .forEach(joins::take);
        return joins;
    }

    /** The pairs that are one point. */
    List<Partition.JoinedPair> direct() {
        return List.copyOf(direct);
    }

    /** The observations that parts explain. */
    List<Observation> throughParts() {
        return List.copyOf(throughParts);
    }

    private void take(Observation each) {
        int a = groups.group(each.a());
        int b = groups.group(each.b());
        boolean parts = groupsWithParts.contains(a) && groupsWithParts.contains(b);
        if (a == b) {
            return;
        }
        if (parts && isExplained(each)) {
            throughParts.add(each);
            return;
        }
        Partition.JoinedPair pair = new Partition.JoinedPair(each.a(), each.b());
        groups.join(pair);
        direct.add(pair);
        if (groupsWithParts.contains(a) || groupsWithParts.contains(b)) {
            regroup();
        }
    }

    private boolean isExplained(Observation each) {
        return asWired.between(each.a(), each.b(), each.state()) instanceof Path.Ohmic way
                && each.ohm() >= way.low().value() * SHARE_OF_PARTS;
    }

    private void regroup() {
        groupsWithParts = new HashSet<>();
        partEnds.forEach(end -> groupsWithParts.add(groups.group(end)));
        asWired = new AsWired(design, groups);
    }
}
