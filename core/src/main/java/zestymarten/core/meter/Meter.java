package zestymarten.core.meter;

/**
 * What is known of a meter on its ohm ranges.
 *
 * @param name what it is called in the workshop, not blank
 * @param accuracy fraction of the reading, 0 to 1
 * @param resolutionOhm one count of the lowest range in ohms, above 0
 * @param toneBelowOhm below about this its tone sounds, above 0
 * @param oneIsOverRange whether a bare 1 is its over-range mark
 * @param topOhm the highest reading it can show, above {@code toneBelowOhm}
 */
public record Meter(
        String name,
        double accuracy,
        double resolutionOhm,
        double toneBelowOhm,
        boolean oneIsOverRange,
        double topOhm) {

    public Meter {
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
    }

    private static void require(boolean holds, String what, double value, String range) {
        if (!holds) {
            throw new IllegalArgumentException("Meter: " + what + " (" + value + ") must be " + range + ".");
        }
    }
}
