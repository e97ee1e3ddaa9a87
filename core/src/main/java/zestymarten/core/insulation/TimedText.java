package zestymarten.core.insulation;

import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A reading under voltage as typed, with the time under voltage behind an {@code @}: {@code 320M@15}, {@code >2G @ 10 min}.
 *
 * @param reading what stands before the {@code @}, or everything where there is none
 * @param seconds under voltage, above 0 and at most a day; empty where no time is given
 */
public record TimedText(String reading, OptionalDouble seconds) {
    private static final Pattern TIMED =
            Pattern.compile("(.*?)\\s*@\\s*([0-9]{1,5}(?:[.,][0-9]{1,2})?)\\s*(s|min|m)?\\s*");
    private static final double MINUTE = 60;
    private static final double DAY = 86_400;

    /** Takes a text apart. A time that makes no sense stays part of the reading, which is then refused. */
    public static TimedText of(String typed) {
        Matcher parts = TIMED.matcher(typed);
        if (!parts.matches()) {
            return new TimedText(typed, OptionalDouble.empty());
        }
        boolean minutes = parts.group(3) != null && parts.group(3).startsWith("m");
        double seconds = Double.parseDouble(parts.group(2).replace(',', '.')) * (minutes ? MINUTE : 1);
        return seconds > 0 && seconds <= DAY
                ? new TimedText(parts.group(1), OptionalDouble.of(seconds))
                : new TimedText(typed, OptionalDouble.empty());
    }
}
