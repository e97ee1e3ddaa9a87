package zestymarten.core.limit;

import java.util.OptionalDouble;
import zestymarten.core.quantity.Bounds;

/**
 * How a run tests whether insulation withstands a voltage.
 *
 * @param volts rms where it alternates, above 0 and at most {@value #MAX_V}
 * @param hertz of an alternating voltage, above 0; empty for DC
 * @param faradPerMetre capacitance of a wire to all others and the frame, by which its charging current is predicted; empty
 *     where that is not known
 * @param maxA the most leakage, in amperes, above 0
 * @param seconds how long it is held, above 0
 */
public record WithstandRule(
        double volts, OptionalDouble hertz, OptionalDouble faradPerMetre, double maxA, double seconds) {
    /** The highest voltage. */
    public static final double MAX_V = 20_000;

    private static final double MAX_HZ = 400;
    private static final double MAX_A = 1;
    private static final double HOUR = 3600;

    public WithstandRule {
        Bounds.aboveZero("withstand_rule.what_voltage", volts, MAX_V, "V");
        Bounds.aboveZero("withstand_rule.what_frequency", hertz.orElse(1), MAX_HZ, "Hz");
        Bounds.aboveZero("withstand_rule.what_capacitance", faradPerMetre.orElse(1e-12), 1, "F");
        Bounds.aboveZero("withstand_rule.what_leakage", maxA, MAX_A, "A");
        Bounds.aboveZero("withstand_rule.what_time", seconds, HOUR, "s");
    }

    public boolean alternates() {
        return hertz.isPresent();
    }
}
