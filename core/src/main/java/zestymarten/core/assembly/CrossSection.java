package zestymarten.core.assembly;

import java.util.Locale;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zestymarten.core.quantity.Message;

/**
 * Cross-sections as typed: mm², a gauge said as such ({@code 14 AWG}, {@code #14}), or thousands of circular mils ({@code 250
 * kcmil}). A bare figure is mm².
 */
public final class CrossSection {
    /** What is expected, for messages. */
    public static final Message EXPECTED = Message.of("cross_section.section_mm_such_as");

    private static final Pattern MM2 = Pattern.compile("(\\d+(?:[.,]\\d*)?|[.,]\\d+)\\s*(?:mm²|mm2|mm\\^2|sq ?mm)?");
    private static final Pattern KCMIL = Pattern.compile("(\\d+(?:[.,]\\d*)?)\\s*(?:kcmil|mcm)");
    /** A circle of a thousandth of an inch has so many mm² a thousand times. */
    private static final double MM2_A_KCMIL = 0.506707479;

    private CrossSection() {}

    /** The section in mm² that a text says, 0 or above; empty if it says none. */
    public static OptionalDouble mm2(String typed) {
        String text = typed.strip().toLowerCase(Locale.ROOT);
        Matcher plain = MM2.matcher(text);
        if (plain.matches()) {
            return OptionalDouble.of(number(plain.group(1)));
        }
        Matcher mils = KCMIL.matcher(text);
        if (mils.matches()) {
            return OptionalDouble.of(number(mils.group(1)) * MM2_A_KCMIL);
        }
        boolean gauged = text.contains("awg") || text.startsWith("#");
        OptionalInt gauge = gauged ? Awg.parse(text.replace("#", "")) : OptionalInt.empty();
        return gauge.isPresent() ? OptionalDouble.of(Awg.areaMm2(gauge.getAsInt())) : OptionalDouble.empty();
    }

    private static double number(String figure) {
        return Double.parseDouble(figure.replace(',', '.'));
    }
}
