package zestymarten.core.finding;

/**
 * How likely faults are before anything was read. Each figure is the expected number of faults of that kind in a unit of
 * which a person says that something is wrong with it, for one wire, connector or part; the shares of pairs are spread
 * evenly over the pairs a wire is part of. All from 0 to below 1.
 *
 * @param open a wire broken or not seated
 * @param high ohms in a wire's terminations
 * @param shorted a wire joined to another
 * @param toFrame a wire joined to the frame
 * @param crossed a wire's far end changed places with another
 * @param misplaced a far end in an empty cavity
 * @param connector a whole connector mirrored, or shifted by one
 * @param part a component open, bypassed or off
 * @param flexing how many times likelier faults of a wire in a flexing, wet or hot zone are; at least 1
 * @param faultless the odds that nothing is wrong at all
 * @param badContact how often a probe makes no contact though it was put on the right point; above 0, below a half
 */
public record Priors(
        double open,
        double high,
        double shorted,
        double toFrame,
        double crossed,
        double misplaced,
        double connector,
        double part,
        double flexing,
        double faultless,
        double badContact) {
    public Priors {
        for (double each : new double[] {open, high, shorted, toFrame, crossed, misplaced, connector, part}) {
            if (!(each >= 0 && each < 1)) {
                throw new IllegalArgumentException("A prior (" + each + ") must be from 0 to below 1.");
            }
        }
        if (!(flexing >= 1 && flexing < 1000 && faultless >= 0)) {
            throw new IllegalArgumentException("The weight of flexing zones (" + flexing
                    + ") must be from 1 to 1000, the odds of no fault (" + faultless + ") not negative.");
        }
        if (!(badContact > 0 && badContact < 0.5)) {
            throw new IllegalArgumentException(
                    "The share of bad contacts (" + badContact + ") must be above 0 and below a half.");
        }
    }

    /** Rough figures of the trade, until a workshop has its own: terminations above all, whole connectors rarely. */
    public static Priors usual() {
        return new Priors(0.012, 0.008, 0.004, 0.003, 0.005, 0.002, 0.001, 0.015, 3, 1, 0.001);
    }

    /** The same where probes miss their points so often. */
    public Priors withBadContact(double share) {
        return new Priors(open, high, shorted, toFrame, crossed, misplaced, connector, part, flexing, faultless, share);
    }
}
