package zestymarten.core.circuit;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MessageArgument;

/**
 * A reading beside what the drawn circuit should read there.
 *
 * <p>"Substantially the same" is asked of each reading against its own expected value: where sections differ, points of a good
 * ring do not read alike. A common factor of the lengths, within a tenth, is taken out first. Within 5 % and 0.02 ohm it is good,
 * within twice that it is watched: rule of thumb, named as such.
 *
 * @param expectedOhm with the lengths as drawn, times their common factor
 * @param toleranceOhm how far off it may be and still be good
 */
public record CircuitComparison(
        Spot spot, double expectedOhm, double toleranceOhm, ComparisonState state, OptionalDouble readOhm) {
    /** What the rule of thumb says. */
    public static final Message SOURCE = Message.of("circuit_comparison.lengths_sections_by_iec");

    /** What the rule of thumb says where nobody knows the lengths. */
    public static final Message UNKNOWN_SOURCE = Message.of("circuit_comparison.lengths_by_readings_sections");

    private static final double SHARE = 0.05;
    private static final double UNKNOWN_SHARE = 0.1;
    private static final double MIN_OHM = 0.02;
    private static final double FACTOR = 0.1;

    /** How a reading compares. */
    public enum ComparisonState {
        NOT_TESTED("not-tested"),
        PASS("pass"),
        MARGINAL("marginal"),
        FAIL("fail");

        private final String code;

        ComparisonState(String code) {
            this.code = code;
        }

        /** By which styles and saved sheets know it. */
        public String code() {
            return code;
        }
    }

    /** All readings of the dead tests, taken or not, in their order. */
    public static List<CircuitComparison> all(Circuit drawn, CircuitReadings readings) {
        Circuit circuit = Lengths.sized(drawn, readings);
        CircuitPrediction predicted = new CircuitPrediction(circuit);
        double factor = factor(predicted, readings);
        List<CircuitComparison> all = new ArrayList<>();
        for (Spot spot : RecognisedPattern.steps(circuit)) {
            double share = circuit.lengths() == Lengths.DRAWN ? SHARE : UNKNOWN_SHARE;
            all.add(of(spot, predicted.good(spot).orElseThrow() * factor, share, readings));
        }
        return all;
    }

    private static CircuitComparison of(Spot spot, double expected, double share, CircuitReadings readings) {
        double tolerance = share * expected + MIN_OHM;
        if (!readings.has(spot)) {
            return new CircuitComparison(spot, expected, tolerance, ComparisonState.NOT_TESTED, OptionalDouble.empty());
        }
        OptionalDouble read = readings.ohm(spot);
        double off = read.isPresent() ? Math.abs(read.getAsDouble() - expected) : Double.POSITIVE_INFINITY;
        ComparisonState state = off <= tolerance
                ? ComparisonState.PASS
                : off <= 2 * tolerance ? ComparisonState.MARGINAL : ComparisonState.FAIL;
        return new CircuitComparison(spot, expected, tolerance, state, read);
    }

    /** The median of read over expected, kept within a tenth of 1. */
    private static double factor(CircuitPrediction predicted, CircuitReadings readings) {
        List<Double> ratios = readings.ohms().entrySet().stream()
                .filter(each -> each.getValue().isPresent()
                        && predicted.good(each.getKey()).orElse(0) > 0)
                .map(each -> each.getValue().getAsDouble()
                        / predicted.good(each.getKey()).getAsDouble())
                .sorted()
                .toList();
        double median = ratios.isEmpty() ? 1 : ratios.get(ratios.size() / 2);
        return Math.abs(median - 1) <= FACTOR ? median : 1;
    }

    /** Such as {@code 0.22 Ω}; {@code no path}; empty when it was not read. */
    public MessageArgument readText() {
        if (state == ComparisonState.NOT_TESTED) {
            return Message.NONE;
        }
        return readOhm.isPresent()
                ? Message.figure(readOhm.getAsDouble(), "Ω")
                : Message.of("circuit_comparison.no_continuity");
    }

    /** Such as {@code 0.224 Ω}. */
    public MessageArgument expectedText() {
        return Message.figure(Math.round(expectedOhm * 1000) / 1000.0, "Ω");
    }
}
