package zestymarten.core.quantity;

import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import zestymarten.core.quantity.MeterReading.Unit;

/**
 * Understands what a technician types from a meter's display.
 *
 * <p>Accepts decimal point and decimal comma, prefixes from p to T (milli {@code m} and mega {@code M} are never
 * folded), a prefix or {@code R} in the place of the point ({@code 15k8}, {@code 0R68}, {@code R33}), the over-range
 * marks, {@code >} and {@code <}, tone and silence, and readings that jump. The result does not depend on the locale of
 * the machine. Cost: linear in the text, which is at most {@value #MAX_LENGTH} characters.
 */
public final class ReadingParser {
    /** The longest text that is looked at. */
    public static final int MAX_LENGTH = 40;

    private static final Message EXPECTED = Message.of("reading_parser.type_what_meter_shows");
    private static final Set<String> TONE = Set.of("b", "beep", "beeps", "tone", "buzz");
    private static final Set<String> SILENT = Set.of("n", "no", "-", "none", "silent", "no tone", "no beep");
    private static final Set<String> JUMPS = Set.of("jumps", "jump", "unstable", "~");
    private static final Pattern OVER_RANGE = Pattern.compile(
            "(?:[o0]\\.?l\\.?|\\.[o0]l|inf(?:inity)?|∞|over(?:[- ]?range)?|open) ?([kmg]?(?:ω|ohms?)?)\\.?");
    private static final Pattern RAISED = Pattern.compile(".*[\\u00b2\\u00b3\\u00b9\\u2070-\\u209c].*");
    private static final Pattern ONE = Pattern.compile("1 ?[.,]? ?[kKMGm]? ?(?:Ω|ohms?|Ohms?|OHM)?\\.?");
    private static final Pattern SPAN = Pattern.compile("~? ?(.+?) ?(?:\\.\\.\\.?|…) ?(.+)");
    private static final Pattern FIGURE = Pattern.compile(
            "\\+?(\\d+(?:[.,]\\d*)?|[.,]\\d+)(?:[eE]([+-]?\\d{1,2}))? ?([pnumkKMGT]?) ?(Ω|ohms?|Ohms?|OHM|R|V|A)?\\.?");
    private static final Pattern NEGATIVE = Pattern.compile("-(.*[0-9].*)");
    private static final Map<String, String> SPELT =
            Map.of("milliohm", "mΩ", "kilohm", "kΩ", "kiloohm", "kΩ", "megohm", "MΩ", "megaohm", "MΩ", "gigaohm", "GΩ");
    private static final Pattern INFIX = Pattern.compile("(\\d*)([RpnumkKMGT])(\\d+) ?(Ω|ohms?|Ohms?|V|A)?");
    private static final String PREFIXES = "pnum kMGT";

    private final boolean oneIsOverRange;

    /** @param oneIsOverRange whether this meter shows a bare 1 when the reading exceeds the range */
    public ReadingParser(boolean oneIsOverRange) {
        this.oneIsOverRange = oneIsOverRange;
    }

    /** Understands one text. Never throws: what makes no sense comes back as {@link MeterReading.Refused}. */
    public MeterReading understand(String typed) {
        if (typed.length() > MAX_LENGTH) {
            return new MeterReading.Refused(
                    Message.of("reading_parser.read_characters_reading_has", typed.length(), MAX_LENGTH, EXPECTED));
        }
        if (RAISED.matcher(typed).matches()) {
            return new MeterReading.Refused(
                    Message.of("reading_parser.raised_or_lowered_digit", typed.strip(), EXPECTED));
        }
        String text = spelt(normalise(typed));
        if (text.isEmpty()) {
            return new MeterReading.Refused(Message.of("reading_parser.nothing_was_typed", EXPECTED));
        }
        String lower = text.toLowerCase(Locale.ROOT);
        if (TONE.contains(lower)) {
            return new MeterReading.Tone();
        }
        if (SILENT.contains(lower)) {
            return new MeterReading.Silent();
        }
        if (JUMPS.contains(lower)) {
            return new MeterReading.Unstable(List.of());
        }
        return measured(typed, text, lower);
    }

    private MeterReading measured(String typed, String text, String lower) {
        Matcher over = OVER_RANGE.matcher(lower);
        if (over.matches()) {
            return overRange(typed, text, over.group(1));
        }
        boolean marked =
                text.equals("1 .") || (oneIsOverRange && ONE.matcher(text).matches());
        if (marked) {
            return new MeterReading.Ambiguous(
                    List.of(one(text), new MeterReading.OverRange()), Message.of("reading_parser.does_meter_show_one"));
        }
        Matcher span = SPAN.matcher(text);
        if (span.matches()) {
            return span(typed, span.group(1), span.group(2));
        }
        if (text.startsWith("~")) {
            MeterReading inner = understand(text.substring(1));
            return isLevel(inner) ? new MeterReading.Unstable(List.of(inner)) : refuse(typed);
        }
        if (text.startsWith(">") || text.startsWith("<")) {
            return bound(typed, text);
        }
        return figure(typed, text);
    }

    /** The 1 with its prefix as a figure. */
    private static MeterReading one(String text) {
        MeterReading plain = new ReadingParser(false).understand(text.replace("1 .", "1"));
        return plain instanceof MeterReading.Value ? plain : MeterReading.Value.ohms(1);
    }

    /** Over-range of a range that the meter names: only that of megohms and more says that there is no path. */
    private static MeterReading overRange(String typed, String text, String unit) {
        boolean highest = unit.isEmpty() || text.contains("M") || unit.startsWith("g");
        return highest
                ? new MeterReading.OverRange()
                : new MeterReading.Refused(Message.of("reading_parser.over_range_low_range", typed.strip()));
    }

    /** Units that are written out, as their symbols. */
    private static String spelt(String text) {
        String lower = text.toLowerCase(Locale.ROOT);
        for (Map.Entry<String, String> each : SPELT.entrySet()) {
            int at = lower.indexOf(each.getKey());
            if (at > 0) {
                int end = at + each.getKey().length();
                boolean plural = lower.startsWith("s", end);
                return text.substring(0, at) + each.getValue() + text.substring(plural ? end + 1 : end);
            }
        }
        return text;
    }

    private MeterReading span(String typed, String from, String to) {
        ReadingParser plain = new ReadingParser(false);
        MeterReading low = plain.understand(from);
        MeterReading high = plain.understand(to);
        return isLevel(low) && isLevel(high) ? new MeterReading.Unstable(List.of(low, high)) : refuse(typed);
    }

    private static boolean isLevel(MeterReading understood) {
        return understood instanceof MeterReading.Value || understood instanceof MeterReading.OverRange;
    }

    private MeterReading bound(String typed, String text) {
        MeterReading inner = figure(typed, text.substring(1).strip().replaceFirst("^= ?", ""));
        if (!(inner instanceof MeterReading.Value value)) {
            return inner;
        }
        return text.charAt(0) == '>'
                ? new MeterReading.Above(value.value(), value.unit())
                : new MeterReading.Below(value.value(), value.unit());
    }

    private MeterReading figure(String typed, String text) {
        Matcher negative = NEGATIVE.matcher(text);
        if (negative.matches()) {
            return negative(typed, negative.group(1));
        }
        Matcher figure = FIGURE.matcher(text);
        if (figure.matches()) {
            int exponent = figure.group(2) == null ? 0 : Integer.parseInt(figure.group(2));
            return value(typed, figure.group(1).replace(',', '.'), exponent + power(figure.group(3)), figure.group(4));
        }
        Matcher infix = INFIX.matcher(text);
        if (infix.matches()) {
            String digits = (infix.group(1).isEmpty() ? "0" : infix.group(1)) + "." + infix.group(3);
            return value(typed, digits, power(infix.group(2)), infix.group(4));
        }
        return refuse(typed);
    }

    /** A voltage or a current may be negative; a resistance only by a rounded zero. */
    private MeterReading negative(String typed, String rest) {
        MeterReading plain = new ReadingParser(false).figure(typed, rest.strip());
        if (plain instanceof MeterReading.Value value && (value.unit() != Unit.OHM || value.value() == 0)) {
            return new MeterReading.Value(-value.value(), value.unit());
        }
        return plain instanceof MeterReading.Value
                ? new MeterReading.Refused(Message.of("reading_parser.resistance_cannot_be_negative", typed.strip()))
                : refuse(typed);
    }

    private static MeterReading value(String typed, String digits, int exponent, @Nullable String unit) {
        double value = Double.parseDouble(digits + "e" + exponent);
        if (!(value <= Ohms.MAX)) {
            return refuse(typed);
        }
        Unit known = "V".equals(unit) ? Unit.VOLT : "A".equals(unit) ? Unit.AMPERE : Unit.OHM;
        return new MeterReading.Value(value, known);
    }

    /** Power of ten of a prefix letter; R and no letter stand for the unit itself. */
    private static int power(String prefix) {
        if (prefix.isEmpty() || prefix.equals("R")) {
            return 0;
        }
        String letter = prefix.equals("K") ? "k" : prefix;
        return 3 * (PREFIXES.indexOf(letter) - PREFIXES.indexOf(' '));
    }

    private static MeterReading refuse(String typed) {
        return new MeterReading.Refused(Message.of("reading_parser.no_reading", typed.strip(), EXPECTED));
    }

    /** Full-width digits, the ohm and micro signs of other code points, odd spaces: one form for each. */
    private static String normalise(String typed) {
        return Normalizer.normalize(typed, Normalizer.Form.NFKC)
                .replace('−', '-')
                .replace('–', '-')
                .replace('μ', 'u')
                .replace("≥", ">=")
                .replace("≤", "<=")
                .replaceAll("\\s+", " ")
                .strip();
    }
}
