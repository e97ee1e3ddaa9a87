package zestymarten.core.plan;

import java.util.OptionalDouble;

/**
 * How a run goes about its unit.
 *
 * @param method by which opens and shorts are looked for; any but the insulation test, which comes after
 * @param inPlace whether the wiring is in its machine or building, so that it has to be proved dead and unplugged first
 * @param quick whether it is ohms alone: no look by eye, no proof of the frame contact, nothing moved, no last check
 * @param testV volts DC of the insulation test, above 0 and at most {@value #MOST_V}; empty for none
 */
public record Approach(Method method, boolean inPlace, boolean quick, OptionalDouble testV) {
    /** Ohms alone, both ends on the bench. */
    public static final Approach QUICK = new Approach(Method.BOTH_ENDS, false, true, OptionalDouble.empty());

    /** The highest test voltage of an insulation test, in volts DC. */
    public static final double MOST_V = 5000;

    public Approach {
        if (method == Method.INSULATION) {
            throw new IllegalArgumentException("Insulation is tested after continuity, not instead of it.");
        }
        if (testV.isPresent() && !(testV.getAsDouble() > 0 && testV.getAsDouble() <= MOST_V)) {
            throw new IllegalArgumentException("Test voltage (" + testV.getAsDouble()
                    + " V) must be above 0 V and at most " + (int) MOST_V + " V.");
        }
    }
}
