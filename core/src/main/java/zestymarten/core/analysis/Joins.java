package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.judge.Expectation;
import zestymarten.core.network.Path;

/**
 * Which observations show two terminals to be one point of the unit.
 *
 * <p>Method: a way through counts, unless an open contact alone lies between, which is then at fault itself. Where nets hang
 * together by parts, a short between two such clusters is read at every pair of their nets; only the readings that cannot
 * have come through the parts count: the lowest, and those lower than the lowest and half of what the parts would add.
 * Cost: n log n in the observations.
 */
final class Joins {
    private static final double SHARE_OF_PARTS = 0.5;

    private final Design design;
    private final List<Observation> direct = new ArrayList<>();

    private record Clusters(int one, int other) {}

    private Joins(Design design) {
        this.design = design;
    }

    static List<Observation> direct(Design design, List<Observation> observations) {
        Joins joins = new Joins(design);
        joins.sort(observations);
        return List.copyOf(joins.direct);
    }

    private void sort(List<Observation> observations) {
        boolean parts = !design.assembly().components().isEmpty();
        Map<Clusters, List<Observation>> across = new LinkedHashMap<>();
        for (Observation each : observations) {
            if (!each.joins() || design.isContactStuck(each)) {
                continue;
            }
            if (parts && each.expectation() instanceof Expectation.Apart) {
                int a = design.cluster(each.a(), each.state());
                int b = design.cluster(each.b(), each.state());
                across.computeIfAbsent(new Clusters(Math.min(a, b), Math.max(a, b)), any -> new ArrayList<>())
                        .add(each);
            } else {
                direct.add(each);
            }
        }
        across.values().forEach(this::lowest);
    }

    private void lowest(List<Observation> readings) {
        List<Observation> ordered =
                readings.stream().sorted(Comparator.comparingDouble(Joins::ohm)).toList();
        List<Observation> kept = new ArrayList<>();
        for (Observation each : ordered) {
            if (kept.isEmpty() || kept.stream().allMatch(one -> isAnother(each, one))) {
                kept.add(each);
            }
        }
        direct.addAll(kept);
    }

    private static double ohm(Observation each) {
        return each.judgement().correctedOhm().orElse(Double.MAX_VALUE);
    }

    /** Whether a reading cannot be another one's short seen through parts. */
    private boolean isAnother(Observation each, Observation kept) {
        boolean straightNets = design.same(each.a(), kept.a()) && design.same(each.b(), kept.b());
        boolean crossNets = design.same(each.a(), kept.b()) && design.same(each.b(), kept.a());
        double crosswise = through(each.a(), kept.b(), each) + through(each.b(), kept.a(), each);
        double straight = through(each.a(), kept.a(), each) + through(each.b(), kept.b(), each);
        double added = Math.min(straight, crosswise);
        return straightNets || crossNets || ohm(each) < ohm(kept) + added * SHARE_OF_PARTS;
    }

    /** The least ohms between two terminals; infinite where there is no way through. */
    private double through(Terminal a, Terminal b, Observation each) {
        return design.path(a, b, each.state(), List.of()).fold(Joins::low, () -> Double.POSITIVE_INFINITY);
    }

    private static double low(Path.Ohmic way) {
        return way.low().value();
    }
}
