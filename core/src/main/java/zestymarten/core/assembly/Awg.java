package zestymarten.core.assembly;

import java.util.Optional;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** American wire gauge: {@code d = 0.127 mm x 92^((36 - n) / 39)} (ASTM B258), gauges 4/0 (n = -3) to 40. */
public final class Awg {
    private static final Pattern WRITTEN =
            Pattern.compile("(?:awg ?)?(?:([1-4])/0|(\\d{1,2})) ?(?:awg)?", Pattern.CASE_INSENSITIVE);
    private static final int THINNEST = 40;
    private static final int THICKEST = -3;

    private Awg() {}

    /** The gauge number of a text such as {@code 20}, {@code AWG 20} or {@code 4/0}; empty if it is none. */
    public static OptionalInt parse(String text) {
        Matcher matcher = WRITTEN.matcher(text.strip());
        if (!matcher.matches()) {
            return OptionalInt.empty();
        }
        int gauge =
                matcher.group(1) != null ? 1 - Integer.parseInt(matcher.group(1)) : Integer.parseInt(matcher.group(2));
        return gauge <= THINNEST ? OptionalInt.of(gauge) : OptionalInt.empty();
    }

    /** Diameter in mm of a solid wire of that gauge. */
    public static double diameterMm(int gauge) {
        return 0.127 * Math.pow(92, (36 - gauge) / 39.0);
    }

    /**
     * The gauge whose section is nearest by ratio, such as {@code 18} or {@code 2/0}; empty where that is further than half a
     * gauge from any.
     *
     * @param mm2 above 0
     */
    public static Optional<String> nearest(double mm2) {
        double exact = 36 - 39 * Math.log(Math.sqrt(4 * mm2 / Math.PI) / 0.127) / Math.log(92);
        long gauge = Math.round(exact);
        if (gauge < THICKEST || gauge > THINNEST) {
            return Optional.empty();
        }
        return Optional.of(gauge > 0 ? Long.toString(gauge) : (1 - gauge) + "/0");
    }

    /** Cross-section in mm² of a solid wire of that gauge. */
    public static double areaMm2(int gauge) {
        double diameter = diameterMm(gauge);
        return Math.PI * diameter * diameter / 4;
    }
}
