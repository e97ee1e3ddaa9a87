package zestymarten.core.meter;

import java.util.List;
import zestymarten.core.quantity.MessageArgument;
import zestymarten.core.quantity.NotAccepted;

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
            throw new NotAccepted("meter_profile.meter_have_name");
        }
        require(
                accuracy >= 0 && accuracy < 1,
                "meter_profile.accuracy_out_of_range",
                NotAccepted.given(100 * accuracy, "%"));
        require(
                resolutionOhm > 0 && resolutionOhm <= 100,
                "meter_profile.resolution_out_of_range",
                resistance(resolutionOhm));
        require(
                toneBelowOhm > 0 && toneBelowOhm <= 10_000,
                "meter_profile.tone_out_of_range",
                resistance(toneBelowOhm));
        require(topOhm > toneBelowOhm && topOhm <= 1e13, "meter_profile.top_out_of_range", resistance(topOhm));
        for (double range : rangesOhm) {
            require(
                    range > 0 && range <= topOhm,
                    "meter_profile.range_out_of_range",
                    resistance(range),
                    resistance(topOhm));
        }
    }

    private static MessageArgument resistance(double figure) {
        return NotAccepted.given(figure, "Ω");
    }

    /** Whether the technician turns the range, so that over-range says no more than "more than this range". */
    public boolean hasRanges() {
        return !rangesOhm.isEmpty();
    }

    /**
     * The lowest range that can show a reading: above what may be there, and above what is known not to be there.
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

    private static void require(boolean holds, String code, Object... arguments) {
        if (!holds) {
            throw new NotAccepted(code, arguments);
        }
    }
}
