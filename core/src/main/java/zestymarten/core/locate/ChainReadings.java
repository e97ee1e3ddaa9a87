package zestymarten.core.locate;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.DoubleUnaryOperator;
import zestymarten.core.quantity.NotAccepted;

/**
 * What readings from the first point of a chain to others say of its stretches.
 *
 * <p>Rules: between two points that were read lies the difference of their readings. More than the stretches there may have
 * together puts a fault between them; each such segment is named, not only the first. A segment of several stretches that is
 * within its limit can still hide one that is not, by what the others leave. A reading that is lower than one nearer by, beyond
 * the meter's doubt, or joined beyond an open, contradicts. Cost: linear in the stretches.
 *
 * @param segments between the points that were read, in their order; the last may end at the far end without a reading
 * @param contradictions pairs of stretches at whose ends the readings cannot both be right
 * @param shares how likely the fault is in each stretch after the readings; they add up to 1
 */
public record ChainReadings(
        Chain chain, List<Segment> segments, List<Contradiction> contradictions, List<Double> shares) {
    /** What a bad stretch among those of a segment that is within its limit is likely beside one in a segment that is not. */
    private static final double HIDDEN = 0.05;

    private static final double CERTAIN = 1e6;

    public ChainReadings {
        segments = List.copyOf(segments);
        contradictions = List.copyOf(contradictions);
        shares = List.copyOf(shares);
    }

    /** How a segment stands. */
    public enum ChainState {
        /** Its end was not read, or lies behind an open. */
        UNKNOWN,
        /** Not more than its stretches may have together. */
        WITHIN,
        /** More than that, or open. */
        TOO_MUCH
    }

    /**
     * Stretches between two points that were read.
     *
     * @param first and {@code last} stretch, counted from 0
     * @param ohm between its ends; infinite where it is open, empty where it is not known
     * @param maxOhm that its stretches may have together
     */
    public record Segment(int first, int last, Optional<Double> ohm, double maxOhm, ChainState state) {
        public boolean isOne() {
            return first == last;
        }
    }

    /** Readings at the ends of two stretches, the nearer one first, that cannot both be right. */
    public record Contradiction(int nearer, int farther) {}

    /**
     * What readings say.
     *
     * @param ohms corrected readings by the stretch at whose end they were taken, counted from 0; infinite for no continuity
     * @param doubtOhm half the interval of a reading of such a resistance
     * @throws IllegalArgumentException for a reading behind the last stretch or below 0
     */
    public static ChainReadings of(Chain chain, Map<Integer, Double> ohms, DoubleUnaryOperator doubtOhm) {
        SortedMap<Integer, Double> ordered = new TreeMap<>(ohms);
        ordered.forEach((at, ohm) -> {
            if (at < 0 || at >= chain.stretches().size() || !(ohm >= 0)) {
                throw new NotAccepted(
                        "chain_readings.reading_stretch_below",
                        NotAccepted.given(ohm, "Ω"),
                        at,
                        chain.stretches().size());
            }
        });
        List<Segment> segments = new ArrayList<>();
        List<Contradiction> contradictions = new ArrayList<>();
        double before = 0;
        int first = 0;
        for (Map.Entry<Integer, Double> each : ordered.entrySet()) {
            int last = each.getKey();
            double ohm = each.getValue();
            if (first > 0 && (Double.isInfinite(before) ? !Double.isInfinite(ohm) : isLower(ohm, before, doubtOhm))) {
                contradictions.add(new Contradiction(first - 1, last));
            }
            segments.add(segment(chain, first, last, difference(before, ohm)));
            before = ohm;
            first = last + 1;
        }
        int end = chain.stretches().size() - 1;
        if (first <= end) {
            segments.add(segment(chain, first, end, Optional.empty()));
        }
        return new ChainReadings(chain, segments, contradictions, shares(chain, segments));
    }

    private static boolean isLower(double ohm, double before, DoubleUnaryOperator doubtOhm) {
        return ohm < before - doubtOhm.applyAsDouble(before);
    }

    private static Optional<Double> difference(double before, double ohm) {
        return Double.isInfinite(before) ? Optional.empty() : Optional.of(Math.max(0, ohm - before));
    }

    private static Segment segment(Chain chain, int first, int last, Optional<Double> ohm) {
        double maximum = chain.stretches().subList(first, last + 1).stream()
                .mapToDouble(Chain.ChainStretch::maxOhm)
                .sum();
        ChainState state = ohm.map(each -> each > maximum * (1 + 1e-9) ? ChainState.TOO_MUCH : ChainState.WITHIN)
                .orElse(ChainState.UNKNOWN);
        return new Segment(first, last, ohm, maximum, state);
    }

    /** By the likelihoods of the chain: nearly all of it where there is too much, none in a stretch that was read and is good. */
    private static List<Double> shares(Chain chain, List<Segment> segments) {
        List<Double> weights = new ArrayList<>();
        for (Segment segment : segments) {
            double weight = switch (segment.state()) {
                case TOO_MUCH -> CERTAIN;
                case UNKNOWN -> 1;
                case WITHIN -> segment.isOne() ? 0 : HIDDEN;
            };
            for (int i = segment.first(); i <= segment.last(); i++) {
                weights.add(weight * chain.stretches().get(i).likelihood());
            }
        }
        double all = weights.stream().mapToDouble(each -> each).sum();
        return weights.stream().map(each -> all > 0 ? each / all : 0).toList();
    }

    /** The segments with too much, in their order. */
    public List<Segment> tooMuch() {
        return segments.stream()
                .filter(each -> each.state() == ChainState.TOO_MUCH)
                .toList();
    }

    /** Whether every stretch was read by itself and none has too much. */
    public boolean isGood() {
        return contradictions.isEmpty()
                && segments.stream().allMatch(each -> each.state() == ChainState.WITHIN && each.isOne());
    }

    /**
     * What one stretch of a segment that is within its limit could have by itself, the others having none, beyond what it may:
     * the one with the least limit. Empty where none could.
     */
    public Optional<Integer> mayHide(Segment segment) {
        if (segment.state() != ChainState.WITHIN || segment.isOne()) {
            return Optional.empty();
        }
        Optional<Integer> minimum = Optional.empty();
        for (int i = segment.first(); i <= segment.last(); i++) {
            double maximum = chain.stretches().get(i).maxOhm();
            if (segment.ohm().orElse(0.0) > maximum
                    && (minimum.isEmpty()
                            || maximum < chain.stretches().get(minimum.get()).maxOhm())) {
                minimum = Optional.of(i);
            }
        }
        return minimum;
    }

    /**
     * The stretch at whose end to probe next: again where readings contradict, else within a segment that has too much, else
     * where nothing was read, else where something may hide; empty where nothing is left to find.
     */
    public Optional<Integer> next(Chain.ChainWay way) {
        if (!contradictions.isEmpty()) {
            return Optional.of(contradictions.get(0).nearer());
        }
        Optional<Integer> found = segments.stream()
                .filter(each -> each.state() == ChainState.TOO_MUCH && !each.isOne())
                .findFirst()
                .flatMap(each -> within(each, way));
        if (found.isPresent() || !tooMuch().isEmpty()) {
            return found;
        }
        Optional<Segment> unread = segments.stream()
                .filter(each -> each.state() == ChainState.UNKNOWN)
                .findFirst();
        if (unread.isPresent()) {
            return unread.get().isOne() ? Optional.of(unread.get().last()) : within(unread.get(), way);
        }
        return segments.stream()
                .filter(each -> mayHide(each).isPresent())
                .findFirst()
                .flatMap(each -> within(each, way));
    }

    private Optional<Integer> within(Segment segment, Chain.ChainWay way) {
        return chain.next(new Chain.BetweenPoints(segment.first(), segment.last()), way);
    }
}
