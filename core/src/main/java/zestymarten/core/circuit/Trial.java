package zestymarten.core.circuit;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleFunction;

/**
 * Patterns tried on readings, all lengths taken to be off by a common factor near 1 that fits best.
 *
 * <p>Method: normal errors of a share of the resistance for the lengths between points, see {@link Lengths}, and of {@value #CONTACT_OHM} ohm for
 * probes and the meter's last digit; a small chance that a reading is simply wrong, so that one bad measurement does not decide.
 * Cost: linear in the readings for each pattern.
 */
final class Trial {
    private static final double CONTACT_OHM = 0.006;
    /** Lengths are drawn by eye: their common factor is within a tenth of 1. */
    private static final double FACTOR = 0.05;

    private static final int ROUGH = 8;
    private static final int NEARER = 4;
    private static final double FINE = 0.03;
    private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;
    private static final double OPEN_APART = 100;
    private static final double WRONG = 1e-3;
    /** Whoever finds no path measures again before writing it down. */
    private static final double OPEN_OR_NOT = -12;

    /** Beyond some three and a half standard errors a reading is taken for wrong rather than explained. */
    private static final double UNEXPLAINED = -6;

    private final List<Spot> spots;
    private final Lengths lengths;
    private final CircuitPrediction.Many predicted;
    private final double[] read;
    /** The factor of a good circuit: readings that a fault nearly explains do not pull it. */
    private final double factorAsGood;

    Trial(CircuitPrediction predicted, CircuitReadings readings) {
        spots = List.copyOf(readings.ohms().keySet());
        lengths = predicted.lengths();
        this.predicted = predicted.at(spots);
        read = readings.ohms().values().stream()
                .mapToDouble(each -> each.orElse(Double.NaN))
                .toArray();
        factorAsGood = factor(this.predicted.of(new Pattern.Good()));
    }

    PatternFit fit(Pattern pattern) {
        double[] expected = predicted.of(pattern);
        double factor = factor(expected);
        double log = log(expected, factor);
        double logAsGood = log(expected, factorAsGood);
        return logAsGood > log
                ? new PatternFit(pattern, factorAsGood, logAsGood)
                : new PatternFit(pattern, factor, log);
    }

    /** The readings that a pattern does not explain, in their order. */
    List<Spot> unexplained(Pattern pattern) {
        double[] expected = predicted.of(pattern);
        double factor = fit(pattern).factor();
        List<Spot> unexplained = new ArrayList<>();
        for (int i = 0; i < read.length; i++) {
            if (log(expected[i], read[i], factor) < UNEXPLAINED) {
                unexplained.add(spots.get(i));
            }
        }
        return unexplained;
    }

    private double log(double[] expected, double factor) {
        double sum = -sq((factor - 1) / FACTOR) / 2;
        for (int i = 0; i < read.length; i++) {
            sum += log(expected[i], read[i], factor);
        }
        return sum;
    }

    /** The fit of a family of patterns at its best value within a range: the best of a few, then golden section, on logarithms. */
    PatternFit best(double from, double to, DoubleFunction<Pattern> pattern) {
        DoubleFunction<PatternFit> at = log -> fit(pattern.apply(Math.exp(log)));
        double step = (Math.log(to) - Math.log(from)) / ROUGH;
        double middle = Math.log(from) + step / 2;
        PatternFit best = at.apply(middle);
        for (int i = 1; i < ROUGH; i++) {
            double value = Math.log(from) + (i + 0.5) * step;
            PatternFit fit = at.apply(value);
            if (fit.log() > best.log()) {
                best = fit;
                middle = value;
            }
        }
        // The common factor makes more than one hill: the highest is looked for before it is climbed.
        double start = middle;
        double nearer = step / NEARER;
        for (int i = 1 - NEARER; i < NEARER; i++) {
            PatternFit fit = at.apply(start + i * nearer);
            if (fit.log() > best.log()) {
                best = fit;
                middle = start + i * nearer;
            }
        }
        PatternFit fine = golden(at, middle - nearer, middle + nearer);
        return fine.log() > best.log() ? fine : best;
    }

    private static PatternFit golden(DoubleFunction<PatternFit> at, double from, double to) {
        double low = from;
        double high = to;
        double left = high - GOLDEN * (high - low);
        double right = low + GOLDEN * (high - low);
        PatternFit atLeft = at.apply(left);
        PatternFit atRight = at.apply(right);
        while (high - low > FINE) {
            if (atLeft.log() > atRight.log()) {
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
        return atLeft.log() > atRight.log() ? atLeft : atRight;
    }

    /** Least squares with its prior at 1; only where both are ohms. */
    private double factor(double[] expected) {
        double over = 1 / sq(FACTOR);
        double under = over;
        for (int i = 0; i < read.length; i++) {
            double p = expected[i];
            double m = read[i];
            // NaN, which is no path, is never near.
            if (Math.abs(m - p) < 0.15 * p + 5 * CONTACT_OHM) {
                over += m * p / sq(doubt(p, lengths));
                under += p * p / sq(doubt(p, lengths));
            }
        }
        return over / under;
    }

    private double log(double expected, double read, double factor) {
        if (Double.isNaN(expected) || Double.isNaN(read)) {
            return Double.isNaN(expected) && Double.isNaN(read) ? 0 : OPEN_OR_NOT;
        }
        double z = (read - factor * expected) / doubt(expected, lengths);
        return Math.log((1 - WRONG) * Math.exp(-z * z / 2) + WRONG * Math.exp(-Math.abs(z) / 20));
    }

    /** Standard error of a reading where such a resistance is expected. */
    static double doubt(double ohm, Lengths lengths) {
        return Math.hypot(lengths.doubt() * ohm, CONTACT_OHM);
    }

    /** How many standard errors two predictions are apart; a resistance against NaN, no path, count as very far. */
    static double apart(double one, double other, Lengths lengths) {
        if (Double.isNaN(one) || Double.isNaN(other)) {
            return Double.isNaN(one) && Double.isNaN(other) ? 0 : OPEN_APART;
        }
        return Math.min(OPEN_APART, Math.abs(one - other) / doubt(Math.min(one, other), lengths));
    }

    private static double sq(double value) {
        return value * value;
    }
}
