package zestymarten.core.analysis;

import java.util.List;
import zestymarten.core.finding.Finding;

/**
 * A fault of the best explanation, with what stands behind it.
 *
 * @param probability sum over all explanations that hold it, 0 to 1
 * @param certain whether every explanation of what was read holds it
 * @param evidence numbers of the observations that would be unexplained without it, ascending
 * @param alternatives faults that could be in its place
 * @param functionsLost functions of the conductors concerned, in design order
 */
public record ExplainedFinding(
        Finding finding,
        double probability,
        boolean certain,
        List<Integer> evidence,
        List<Finding> alternatives,
        List<String> functionsLost) {
    public ExplainedFinding {
        evidence = List.copyOf(evidence);
        alternatives = List.copyOf(alternatives);
        functionsLost = List.copyOf(functionsLost);
        if (!(probability >= 0 && probability <= 1)) {
            throw new IllegalArgumentException("A probability (" + probability + ") must be from 0 to 1.");
        }
    }

    /** A finding that a single reading shows by itself. */
    public static ExplainedFinding shown(Finding finding, List<Integer> evidence, List<String> functionsLost) {
        return new ExplainedFinding(finding, 1, true, evidence, List.of(), functionsLost);
    }

    /** The same, shown by other observations. */
    public ExplainedFinding shownBy(List<Integer> others) {
        return new ExplainedFinding(finding, probability, certain, others, alternatives, functionsLost);
    }
}
