package zestymarten.core.circuit;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.DoubleFunction;

/**
 * How well a pattern fits readings, all lengths taken to be off by a common factor near 1 that fits best.
 *
 * <p>Method: normal errors of {@value #LENGTHS} of the ohms for the lengths between points, and of {@value #CONTACT_OHM} ohm for
 * probes and the meter's last digit; a small chance that a reading is simply wrong, so that one bad touch does not decide.
 * Cost: linear in the readings.
 *
 * @param factor by which the lengths are off
 * @param log natural logarithm of the likelihood, up to a constant
 */
record Fit(Pattern pattern, double factor, double log) {
    private static final double LENGTHS = 0.015;
    private static final double CONTACT_OHM = 0.006;
    /** Lengths are drawn by eye: their common factor is within a tenth of 1. */
    private static final double FACTOR = 0.05;

    private static final int ROUGH = 8;
    private static final double FINE = 0.03;
    private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;
    private static final double WRONG = 1e-3;
    /** Whoever finds no way through touches again before writing it down. */
    private static final double OPEN_OR_NOT = -12;

    static Fit of(Predicted predicted, Pattern pattern, Readings readings) {
        int size = readings.ohms().size();
        List<OptionalDouble> expected = new ArrayList<>(size);
        List<OptionalDouble> read = List.copyOf(readings.ohms().values());
        readings.ohms().keySet().forEach(spot -> expected.add(predicted.of(pattern, spot)));
        double factor = factor(expected, read);
        double sum = -sq((factor - 1) / FACTOR) / 2;
        for (int i = 0; i < size; i++) {
            sum += log(expected.get(i), read.get(i), factor);
        }
        return new Fit(pattern, factor, sum);
    }

    /** The fit of a family of patterns at its best value within a range: the best of a few, then golden section, on logarithms. */
    static Fit best(Predicted predicted, Readings readings, double from, double to, DoubleFunction<Pattern> pattern) {
        DoubleFunction<Fit> at = log -> of(predicted, pattern.apply(Math.exp(log)), readings);
        double step = (Math.log(to) - Math.log(from)) / ROUGH;
        double middle = Math.log(from) + step / 2;
        Fit best = at.apply(middle);
        for (int i = 1; i < ROUGH; i++) {
            double value = Math.log(from) + (i + 0.5) * step;
            Fit fit = at.apply(value);
            if (fit.log > best.log) {
                best = fit;
                middle = value;
            }
        }
        Fit fine = golden(at, middle - step, middle + step);
        return fine.log > best.log ? fine : best;
    }

    private static Fit golden(DoubleFunction<Fit> at, double from, double to) {
        double low = from;
        double high = to;
        double left = high - GOLDEN * (high - low);
        double right = low + GOLDEN * (high - low);
        Fit atLeft = at.apply(left);
        Fit atRight = at.apply(right);
        while (high - low > FINE) {
            if (atLeft.log > atRight.log) {
                high = right;
                right = left;
                atRight = atLeft;
                left = high - GOLDEN * (high - low);
                atLeft = at.apply(left);
            } else {
                low = left;
                left = right;
                atLeft = atRight;
                right = low + GOLDEN * (high - low);
                atRight = at.apply(right);
            }
        }
        return atLeft.log > atRight.log ? atLeft : atRight;
    }

    /** Least squares with its prior at 1; only where both are ohms. */
    private static double factor(List<OptionalDouble> expected, List<OptionalDouble> read) {
        double over = 1 / sq(FACTOR);
        double under = over;
        for (int i = 0; i < read.size(); i++) {
            if (expected.get(i).isPresent() && read.get(i).isPresent()) {
                double p = expected.get(i).getAsDouble();
                double m = read.get(i).getAsDouble();
                if (Math.abs(m - p) < 0.15 * p + 5 * CONTACT_OHM) {
                    over += m * p / sq(doubt(p));
                    under += p * p / sq(doubt(p));
                }
            }
        }
        return over / under;
    }

    private static double log(OptionalDouble expected, OptionalDouble read, double factor) {
        if (expected.isEmpty() || read.isEmpty()) {
            return expected.isEmpty() && read.isEmpty() ? 0 : OPEN_OR_NOT;
        }
        double z = (read.getAsDouble() - factor * expected.getAsDouble()) / doubt(expected.getAsDouble());
        return Math.log((1 - WRONG) * Math.exp(-z * z / 2) + WRONG * Math.exp(-Math.abs(z) / 20));
    }

    /** Standard error of a reading where so many ohms are expected. */
    static double doubt(double ohm) {
        return Math.hypot(LENGTHS * ohm, CONTACT_OHM);
    }

    private static double sq(double value) {
        return value * value;
    }
}
