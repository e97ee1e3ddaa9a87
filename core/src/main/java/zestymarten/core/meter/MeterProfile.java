package zestymarten.core.meter;

import java.util.List;

/**
 * What is known of a meter on its ohm ranges.
 *
 * @param name what it is called in the workshop, not blank
 * @param accuracy fraction of the reading, 0 to 1
 * @param resolutionOhm one count of the lowest range in ohms, above 0
 * @param toneBelowOhm below about this its tone sounds, above 0
 * @param oneIsOverRange whether a bare 1 is its over-range mark
 * @param topOhm the highest reading it can show, above {@code toneBelowOhm}
 * @param rangesOhm tops of the ranges that are turned by hand, ascending, none for a meter that finds its range by itself
 */
public record MeterProfile(
        String name,
        double accuracy,
        double resolutionOhm,
        double toneBelowOhm,
        boolean oneIsOverRange,
        double topOhm,
        List<Double> rangesOhm) {
    /** A reading should not stand at the very top of its range. */
    private static final double ROOM = 1.5;

    /** A meter that finds its range by itself. */
    public MeterProfile(
            String name,
            double accuracy,
            double resolutionOhm,
            double toneBelowOhm,
            boolean oneIsOverRange,
            double topOhm) {
        this(name, accuracy, resolutionOhm, toneBelowOhm, oneIsOverRange, topOhm, List.of());
    }

    public MeterProfile {
        rangesOhm = rangesOhm.stream().sorted().distinct().toList();
        if (name.isBlank()) {
            throw new IllegalArgumentException("A meter must have a name.");
        }
        require(accuracy >= 0 && accuracy < 1, "accuracy", accuracy, "from 0 to below 1 (0.01 is 1 %)");
        require(resolutionOhm > 0 && resolutionOhm <= 100, "resolution", resolutionOhm, "above 0 and at most 100 ohm");
        require(
                toneBelowOhm > 0 && toneBelowOhm <= 10_000,
                "tone threshold",
                toneBelowOhm,
                "above 0 and at most 10 kilohm");
        require(
                topOhm > toneBelowOhm && topOhm <= 1e13,
                "top of the range",
                topOhm,
                "above the tone threshold and at most 10^13 ohm");
        for (double range : rangesOhm) {
            require(
                    range > 0 && range <= topOhm,
                    "range",
                    range,
                    "above 0 and at most the highest reading, " + topOhm + " ohm");
        }
    }

    /** Whether the technician turns the range, so that over-range says no more than "more than this range". */
    public boolean hasRanges() {
        return !rangesOhm.isEmpty();
    }

    /**
     * The lowest range on which a reading can be told: above what may be there, and above what is known not to be there.
     *
     * @param highOhm the most that a good unit reads; infinite where it should be open
     * @param beyondOhm the ranges up to here have shown over-range already, 0 for none
     */
    public double rangeFor(double highOhm, double beyondOhm) {
        return rangesOhm.stream()
                .filter(each -> each > beyondOhm && each > highOhm * ROOM)
                .findFirst()
                .orElse(topOhm);
    }

    private static void require(boolean holds, String what, double value, String range) {
        if (!holds) {
            throw new IllegalArgumentException("Meter: " + what + " (" + value + ") must be " + range + ".");
        }
    }
}
