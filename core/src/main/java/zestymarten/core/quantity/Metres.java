package zestymarten.core.quantity;

import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Lengths as typed: metres, or with their unit: m, cm, mm, km, ft, in, yd. */
public final class Metres {
    /** What is expected, for messages. */
    public static final Message EXPECTED = Message.of("metres.length_such_as_or");

    private static final Pattern WRITTEN =
            Pattern.compile("(\\d+(?:[.,]\\d*)?|[.,]\\d+)\\s*(m|cm|mm|km|ft|feet|foot|'|in|inch|inches|\"|yd)?");
    private static final double FOOT = 0.3048;
    private static final Map<String, Double> UNITS = Map.ofEntries(
            Map.entry("m", 1.0),
            Map.entry("cm", 0.01),
            Map.entry("mm", 0.001),
            Map.entry("km", 1000.0),
            Map.entry("ft", FOOT),
            Map.entry("feet", FOOT),
            Map.entry("foot", FOOT),
            Map.entry("'", FOOT),
            Map.entry("in", FOOT / 12),
            Map.entry("inch", FOOT / 12),
            Map.entry("inches", FOOT / 12),
            Map.entry("\"", FOOT / 12),
            Map.entry("yd", 3 * FOOT));

    private Metres() {}

    /** The length in metres that a text says, 0 or above; empty if it says none. */
    public static OptionalDouble of(String typed) {
        Matcher written = WRITTEN.matcher(typed.strip().toLowerCase(Locale.ROOT));
        if (!written.matches()) {
            return OptionalDouble.empty();
        }
        double figure = Double.parseDouble(written.group(1).replace(',', '.'));
        return OptionalDouble.of(figure * (written.group(2) == null ? 1 : UNITS.getOrDefault(written.group(2), 1.0)));
    }
}
