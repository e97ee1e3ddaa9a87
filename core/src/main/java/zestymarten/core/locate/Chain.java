package zestymarten.core.locate;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zestymarten.core.quantity.Message;

/**
 * A chain of stretches between points that can be probed, with one stretch somewhere that is not what it should be; ohms are
 * read from its first point to any other.
 *
 * <p>Method: a probe at point k reads the sum of the first k stretches; more than what they may have together puts the culprit
 * before it, else behind. Halving probes the point that leaves as much likelihood on either side as can be; with unlike reach it
 * weighs that by the price. Cost: linear in the points.
 *
 * @param stretches in their order from the first point
 */
public record Chain(List<ChainStretch> stretches) {
    /**
     * From one point to the next.
     *
     * @param name of the stretch, or of the joint in it
     * @param point where it ends and a probe can be put
     * @param likelihood that the fault is in it, relative to the others, from 0
     * @param maxOhm what it may have
     * @param seconds to reach its end with a probe, above 0
     */
    public record ChainStretch(String name, String point, double likelihood, double maxOhm, double seconds) {
        public ChainStretch {
            if (!(likelihood >= 0 && maxOhm >= 0 && seconds > 0)) {
                throw new IllegalArgumentException(
                        "Stretch '" + name + "': likelihood (" + likelihood + ") and resistance (" + maxOhm
                                + ") must not be below 0, and the time to reach it (" + seconds + " s) above 0.");
            }
        }
    }

    /** Which point comes next. */
    public enum ChainWay {
        /** From the far end back. */
        FARTHEST,
        /** From the near end on. */
        NEAREST,
        /** Where the likelihood is halved. */
        HALVING,
        /** Where the likelihood that is decided is largest for its time. */
        WEIGHED;

        public Message words() {
            return Message.of(this);
        }
    }

    public Chain {
        stretches = List.copyOf(stretches);
        if (stretches.isEmpty()) {
            throw new IllegalArgumentException("A chain has one stretch at least.");
        }
    }

    /**
     * The culprit is known to be from one stretch to another, both included.
     *
     * @param first and last, counted from 0
     */
    public record BetweenPoints(int first, int last) {
        public boolean isFound() {
            return first == last;
        }
    }

    /** Before anything was probed but the whole. */
    public BetweenPoints all() {
        return new BetweenPoints(0, stretches.size() - 1);
    }

    /** What is known after a reading of such a resistance from the first point to the end of a stretch. */
    public BetweenPoints after(BetweenPoints known, int stretch, double ohm) {
        boolean before = ohm > maxOhm(stretch);
        return before
                ? new BetweenPoints(known.first(), Math.min(known.last(), stretch))
                : new BetweenPoints(Math.max(known.first(), stretch + 1), known.last());
    }

    /** What all stretches up to one may have together, in ohms. */
    public double maxOhm(int stretch) {
        return stretches.subList(0, stretch + 1).stream()
                .mapToDouble(ChainStretch::maxOhm)
                .sum();
    }

    /** The stretch at whose end to probe next; empty once the culprit is found. */
    public Optional<Integer> next(BetweenPoints known, ChainWay way) {
        if (known.isFound() || known.first() > known.last()) {
            return Optional.empty();
        }
        return switch (way) {
            case FARTHEST -> Optional.of(known.last() - 1);
            case NEAREST -> Optional.of(known.first());
            case HALVING -> best(known, false);
            case WEIGHED -> best(known, true);
        };
    }

    private Optional<Integer> best(BetweenPoints known, boolean weighed) {
        double all = likelihood(known.first(), known.last());
        int best = known.first();
        double maximum = -1;
        for (int i = known.first(); i < known.last(); i++) {
            double before = all > 0 && weighed
                    ? likelihood(known.first(), i) / all
                    : (i - known.first() + 1.0) / (known.last() - known.first() + 1);
            double worth = entropy(before) / (weighed ? stretches.get(i).seconds() : 1);
            if (worth > maximum + 1e-12) {
                maximum = worth;
                best = i;
            }
        }
        return Optional.of(best);
    }

    private double likelihood(int first, int last) {
        return stretches.subList(first, last + 1).stream()
                .mapToDouble(ChainStretch::likelihood)
                .sum();
    }

    private static double entropy(double share) {
        return share <= 0 || share >= 1 ? 0 : -share * Math.log(share) - (1 - share) * Math.log(1 - share);
    }

    /** How many probes a way takes on the average, the fault being where it is likely to be. */
    public double expectedProbes(ChainWay way) {
        double all = likelihood(0, stretches.size() - 1);
        double expected = 0;
        for (int culprit = 0; culprit < stretches.size(); culprit++) {
            double share = all > 0 ? stretches.get(culprit).likelihood() / all : 1.0 / stretches.size();
            expected += share * probes(way, culprit).size();
        }
        return expected;
    }

    /** The stretches at whose ends a way probes until it has found a culprit, in their order. */
    public List<Integer> probes(ChainWay way, int culprit) {
        List<Integer> probed = new ArrayList<>();
        BetweenPoints known = all();
        for (Optional<Integer> next = next(known, way); next.isPresent(); next = next(known, way)) {
            int at = next.get();
            probed.add(at);
            known = culprit <= at
                    ? new BetweenPoints(known.first(), Math.min(known.last(), at))
                    : new BetweenPoints(Math.max(known.first(), at + 1), known.last());
        }
        return probed;
    }
}
