package zestymarten.core.circuit;

/**
 * How well a pattern fits readings.
 *
 * @param factor by which the lengths are off
 * @param log natural logarithm of the likelihood, up to a constant
 */
record Fit(Pattern pattern, double factor, double log) {
    /** The same with a prior. */
    Fit weighed(double prior) {
        return new Fit(pattern, factor, log + prior);
    }
}
