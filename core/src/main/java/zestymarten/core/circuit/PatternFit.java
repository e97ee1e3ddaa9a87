package zestymarten.core.circuit;

/**
 * How well a pattern fits readings.
 *
 * @param factor by which the lengths are off
 * @param log natural logarithm of the likelihood, up to a constant
 */
record PatternFit(Pattern pattern, double factor, double log) {
    /** The same with a prior. */
    PatternFit weighed(double prior) {
        return new PatternFit(pattern, factor, log + prior);
    }
}
