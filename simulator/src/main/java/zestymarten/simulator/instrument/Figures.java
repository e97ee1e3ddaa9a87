package zestymarten.simulator.instrument;

import java.util.Locale;

/** How instruments write figures. Source: SCPI-99, volume 1, section 7.2. */
final class Figures {
    /** What stands for more than the range. */
    static final double OVER_RANGE = 9.9e37;

    private Figures() {}

    static String written(double value) {
        return String.format(Locale.ROOT, "%+.6E", value);
    }
}
