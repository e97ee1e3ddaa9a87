package zestymarten.core.quantity;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Set;

/** Prints a quantity with a space, its unit and an engineering prefix, to four significant figures at most. */
public final class EngineeringFormat {
    private static final String[] PREFIXES = {"p", "n", "μ", "m", "", "k", "M", "G", "T"};
    private static final int UNPREFIXED = 4;
    private static final int FIGURES = 4;
    /** What is calculated has no more than three. */
    private static final int CALCULATED = 3;

    /** Below this many ohms a technician reads fractions of an ohm more easily than milliohms: 0.64 Ω, but 7.8 mΩ. */
    private static final double PLAIN_FROM = 0.05;

    /** Units that are never read with a prefix. */
    private static final Set<String> UNPREFIXED_UNITS =
            Set.of("%", "°C", "°F", "mm²", "K", "min", "ft", "AWG", "kcmil");

    private EngineeringFormat() {}

    /**
     * {@code 0.64 Ω}, {@code 15.8 kΩ}, {@code 7.8 mΩ}, {@code 0 Ω}. Rounded half up to four significant figures,
     * trailing zeros left out. Values below a pico unit print as zero. A bare figure, and one in a unit that takes no prefix,
     * prints as {@link #figure} does.
     */
    public static String text(double value, String unit) {
        if (!Double.isFinite(value)) {
            throw new IllegalArgumentException("Value (" + value + ") must be finite to be printed in " + unit + ".");
        }
        if (unit.isEmpty()) {
            return figure(value);
        }
        if (UNPREFIXED_UNITS.contains(unit)) {
            BigDecimal shown = BigDecimal.valueOf(value).round(new MathContext(FIGURES, RoundingMode.HALF_UP));
            return (shown.signum() == 0 ? "0" : shown.stripTrailingZeros().toPlainString()) + " " + unit;
        }
        double size = Math.abs(value);
        if (size < 1e-12) {
            return "0 " + unit;
        }
        BigDecimal rounded = BigDecimal.valueOf(value).round(new MathContext(FIGURES, RoundingMode.HALF_UP));
        int step = step(rounded.abs().doubleValue());
        BigDecimal scaled = rounded.movePointLeft(3 * (step - UNPREFIXED)).stripTrailingZeros();
        return scaled.toPlainString() + " " + PREFIXES[step] + unit;
    }

    /**
     * How the figures of one column are printed: all in one unit, with three significant figures, trailing zeros left out.
     *
     * @param step the place of the prefix, from pico
     */
    public record FigureColumn(int step, String unit) {
        /** A figure of the column, such as {@code 0.0155 Ω}. */
        public String text(double value) {
            BigDecimal rounded = BigDecimal.valueOf(value).round(new MathContext(CALCULATED, RoundingMode.HALF_UP));
            BigDecimal scaled = rounded.movePointLeft(3 * (step - UNPREFIXED)).stripTrailingZeros();
            return (scaled.signum() == 0 ? "0" : scaled.toPlainString()) + " " + PREFIXES[step] + unit;
        }
    }

    /** The column whose largest figure is given: its unit is chosen from that one and never switched row by row. */
    public static FigureColumn column(double largest, String unit) {
        return new FigureColumn(largest < 1e-12 ? UNPREFIXED : step(largest), unit);
    }

    private static int step(double size) {
        if (size >= PLAIN_FROM && size < 1000) {
            return UNPREFIXED;
        }
        int step = (int) Math.floor(Math.log10(size) / 3 + 1e-12) + UNPREFIXED;
        return Math.max(0, Math.min(PREFIXES.length - 1, step));
    }

    /** A bare figure for a column whose heading carries the unit: at most six significant figures, no exponent. */
    public static String figure(double value) {
        BigDecimal rounded = BigDecimal.valueOf(value).round(new MathContext(6, RoundingMode.HALF_UP));
        return rounded.signum() == 0 ? "0" : rounded.stripTrailingZeros().toPlainString();
    }
}
