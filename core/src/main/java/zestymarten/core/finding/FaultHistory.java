package zestymarten.core.finding;

import java.util.List;
import java.util.Map;

/**
 * Which faults the tested units of an assembly had. It takes the place of the rule of thumb step by step.
 *
 * <p>Method: the posterior mean of a rate whose prior has the rule of thumb as its mean and weighs as much as
 * {@value #WEIGHT} units, {@code (WEIGHT usual + tests with the fault) / (WEIGHT + tests)}. Source: gamma prior of a Poisson
 * rate, which is the Dirichlet rule for faults that are rare. One unit in four is taken to be unlike those that were tested, so
 * that what never occurred stays at least a quarter as likely as by the rule of thumb. Cost: one look-up for each kind.
 *
 * @param tests how many tests were counted, from 0
 * @param counts how many of them had a fault, from 1 to {@code tests}
 */
public record FaultHistory(int tests, Map<FaultOf, Integer> counts) {
    /** Nothing is known: the rule of thumb alone. */
    public static final FaultHistory NONE = new FaultHistory(0, Map.of());

    /** The rule of thumb counts as much as so many tests. */
    public static final int WEIGHT = 20;

    private static final double UNLIKE = 0.25;
    private static final double MAX = 0.9;

    /**
     * A kind of fault of something.
     *
     * @param kind as {@link Finding#kind} has it
     * @param name of a wire or part
     */
    public record FaultOf(String kind, String name) {}

    /** @throws IllegalArgumentException if a fault was counted more often than there were tests */
    public FaultHistory {
        counts = Map.copyOf(counts);
        for (Map.Entry<FaultOf, Integer> each : counts.entrySet()) {
            if (!(each.getValue() >= 1 && each.getValue() <= tests)) {
                throw new IllegalArgumentException(
                        "Fault " + each.getKey() + ": counted " + each.getValue() + " times in " + tests + " tests.");
            }
        }
    }

    /**
     * Odds of a fault, this history taken into account.
     *
     * @param usual by the rule of thumb, from 0
     * @param kinds that count for it
     */
    public double odds(double usual, String name, List<String> kinds) {
        if (tests == 0) {
            return usual;
        }
        int seen = 0;
        for (String kind : kinds) {
            seen += counts.getOrDefault(new FaultOf(kind, name), 0);
        }
        double learnt = UNLIKE * usual + (1 - UNLIKE) * (WEIGHT * usual + seen) / (WEIGHT + tests);
        return seen == 0 ? learnt : Math.min(MAX, learnt);
    }
}
