package zestymarten.core.assembly;

import java.util.List;
import java.util.OptionalDouble;
import zestymarten.core.quantity.NotAccepted;

/**
 * What a workshop allows the wires of an assembly where neither the maker nor a standard says: each above 0.
 *
 * @param maxOhm the figure of the assembly for each of its wires
 * @param heatW the most heat in a wire's terminations at its current, in watts
 * @param dropV the most voltage that may be lost on a wire at its current
 * @param roundOhm the round figure for a wire of which nothing is known; 1 ohm if there is none
 */
public record Allowances(OptionalDouble maxOhm, OptionalDouble heatW, OptionalDouble dropV, OptionalDouble roundOhm) {
    /** No figures but those of makers and standards, and the usual round one. */
    public static final Allowances NONE = new Allowances(
            OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty());

    /** The largest figure that any of them may be. */
    public static final double MAX = 1e6;

    /** @throws IllegalArgumentException if a figure is not above 0 and at most {@value #MAX} */
    public Allowances {
        for (OptionalDouble each : List.of(maxOhm, heatW, dropV, roundOhm)) {
            if (each.isPresent() && !isFigure(each.getAsDouble())) {
                throw new NotAccepted("allowances.allowance_above_most", each.getAsDouble());
            }
        }
    }

    /** Whether a figure can be allowed. */
    public static boolean isFigure(double value) {
        return value > 0 && value <= MAX;
    }
}
