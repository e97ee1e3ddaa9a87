package zestymarten.core.limit;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import zestymarten.core.quantity.Ohms;

/**
 * What a workshop allows where neither the maker nor a standard says: each above 0.
 *
 * @param assemblyOhm the figure of the assembly for each of its wires
 * @param heatW the most heat in a wire's terminations, in watts
 * @param dropV the most voltage that may be lost on a wire
 * @param learnt what good units of the same type read, by conductor
 * @param roundOhm the round figure; {@link Limits#ROUND_FIGURE} if there is none
 */
public record Allowances(
        OptionalDouble assemblyOhm,
        OptionalDouble heatW,
        OptionalDouble dropV,
        Map<String, Learnt> learnt,
        OptionalDouble roundOhm) {
    /** No figures but those of makers and standards, and the usual round one. */
    public static final Allowances NONE = new Allowances(
            OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty(), Map.of(), OptionalDouble.empty());

    public Allowances {
        learnt = Map.copyOf(learnt);
        for (OptionalDouble each : List.of(assemblyOhm, heatW, dropV, roundOhm)) {
            if (each.isPresent() && !(each.getAsDouble() > 0 && each.getAsDouble() <= 1e6)) {
                throw new IllegalArgumentException(
                        "An allowance (" + each.getAsDouble() + ") must be above 0 and at most a million.");
            }
        }
    }

    /** The same with what good units have taught. */
    public Allowances withLearnt(Map<String, Learnt> taught) {
        return new Allowances(assemblyOhm, heatW, dropV, taught, roundOhm);
    }

    /**
     * What several good units read at one conductor, reckoned to 20 °C.
     *
     * @param units how many, at least 3
     * @param meanOhm their mean
     * @param spreadOhm their standard deviation
     */
    public record Learnt(int units, Ohms meanOhm, Ohms spreadOhm) {
        private static final int LEAST = 3;
        private static final double SPREADS = 3;
        private static final double LEAST_SHARE = 0.1;

        public Learnt {
            if (units < LEAST) {
                throw new IllegalArgumentException(
                        "A limit is learnt from at least " + LEAST + " good units, not " + units + ".");
            }
        }

        /** From the readings of good units, corrected for the leads. */
        public static Learnt of(List<Ohms> readings) {
            double mean = readings.stream().mapToDouble(Ohms::value).average().orElse(0);
            double squares = readings.stream()
                    .mapToDouble(each -> (each.value() - mean) * (each.value() - mean))
                    .sum();
            double spread = readings.size() < 2 ? 0 : Math.sqrt(squares / (readings.size() - 1));
            return new Learnt(readings.size(), Ohms.of(mean), Ohms.of(spread));
        }

        /** Three standard deviations above the mean, but at least a tenth above it. */
        public Ohms most() {
            return Ohms.of(meanOhm.value() + Math.max(SPREADS * spreadOhm.value(), LEAST_SHARE * meanOhm.value()));
        }
    }
}
