package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Partition;
import zestymarten.core.judge.Expectation;
import zestymarten.core.network.Path;

/**
 * Which observations show two terminals to be one point of the unit.
 *
 * <p>Method: a way through counts, unless it is that of a stuck contact, which is then at fault itself. Where there
 * are parts, a short beside one is read from the part's other side too: so the readings are taken from the lowest up, and
 * one that the parts between the groups made so far explain joins nothing. Cost: n log n in the observations, and a small
 * solve for each that lies between two groups with parts.
 */
final class Joins {
    /** Parts explain a reading of at least this share of their least ohms. */
    private static final double SHARE_OF_PARTS = 0.5;

    private final Design design;
    private final Partition groups;
    private final Set<Terminal> partEnds = new HashSet<>();
    private final List<Partition.Joined> direct = new ArrayList<>();
    private final Set<Component> stuck;
    private Set<Integer> groupsWithParts = Set.of();
    private AsWired asWired;

    private Joins(Design design, Set<Component> stuck) {
        this.design = design;
        this.stuck = stuck;
        groups = Partition.of(design.assembly().terminals(), List.of());
        design.assembly().components().forEach(part -> partEnds.addAll(List.of(part.a(), part.b())));
        asWired = new AsWired(design, groups, stuck);
        regroup();
    }

    /**
     * The pairs that are one point.
     *
     * @param stuck contacts that were seen to conduct where they should not
     */
    static List<Partition.Joined> direct(Design design, List<Observation> observations, Set<Component> stuck) {
        List<Observation> through = observations.stream()
                .filter(each -> each.joins() && !isThrough(design, each, stuck))
                .toList();
        if (design.assembly().components().isEmpty()) {
            return through.stream().map(Joins::pair).toList();
        }
        Joins joins = new Joins(design, stuck);
        through.stream().sorted(Comparator.comparingDouble(Joins::ohm)).forEach(joins::take);
        return List.copyOf(joins.direct);
    }

    /** Whether a way through is a stuck contact's own. */
    static boolean isThrough(Design design, Observation each, Set<Component> stuck) {
        return !stuck.isEmpty()
                && each.expectation() instanceof Expectation.Apart
                && design.partsBetween(each.a(), each.b()).stream().anyMatch(stuck::contains);
    }

    /**
     * Contacts that conduct in a state in which they should not: a way through was read at their own two terminals, or,
     * where nobody read there, everywhere else between the two nets.
     */
    static Set<Component> stuck(Design design, List<Observation> observations) {
        Map<Component, List<Observation>> beside = new LinkedHashMap<>();
        for (Observation each : observations) {
            if (!each.tied() && each.expectation() instanceof Expectation.Apart) {
                design.partsBetween(each.a(), each.b()).stream()
                        .filter(part -> part.kind().isContact())
                        .forEach(part -> beside.computeIfAbsent(part, any -> new ArrayList<>())
                                .add(each));
            }
        }
        Set<Component> stuck = new LinkedHashSet<>();
        beside.forEach((part, readings) -> {
            Set<Terminal> own = Set.of(part.a(), part.b());
            List<Observation> exactly = readings.stream()
                    .filter(each -> own.equals(Set.of(each.a(), each.b())))
                    .toList();
            if ((exactly.isEmpty() ? readings : exactly).stream().allMatch(Observation::joins)) {
                stuck.add(part);
            }
        });
        return stuck;
    }

    private static Partition.Joined pair(Observation each) {
        return new Partition.Joined(each.a(), each.b());
    }

    /** A tone has no figure and comes last. */
    private static double ohm(Observation each) {
        return each.judgement().correctedOhm().orElse(Double.MAX_VALUE);
    }

    private void take(Observation each) {
        int a = groups.group(each.a());
        int b = groups.group(each.b());
        boolean parts = groupsWithParts.contains(a) || groupsWithParts.contains(b);
        if (a == b || (parts && isExplained(each))) {
            return;
        }
        groups.join(pair(each));
        direct.add(pair(each));
        if (parts) {
            regroup();
        }
    }

    private boolean isExplained(Observation each) {
        return asWired.between(each.a(), each.b(), each.state()) instanceof Path.Ohmic way
                && ohm(each) >= way.low().value() * SHARE_OF_PARTS;
    }

    private void regroup() {
        groupsWithParts = new HashSet<>();
        partEnds.forEach(end -> groupsWithParts.add(groups.group(end)));
        asWired = new AsWired(design, groups, stuck);
    }
}
