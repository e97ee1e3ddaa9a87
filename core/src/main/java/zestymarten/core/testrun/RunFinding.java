package zestymarten.core.testrun;

import java.util.List;
import zestymarten.core.finding.Finding;

/**
 * A finding with what stands behind it.
 *
 * @param probability sum over all explanations that hold it, 0 to 1
 * @param certain whether every explanation of what was read holds it
 * @param evidence the entries that show it, in the order in which they were made
 * @param alternatives faults that could be in its place
 * @param functionsLost functions of the conductors concerned, in design order
 */
public record RunFinding(
        Finding finding,
        double probability,
        boolean certain,
        List<Entry> evidence,
        List<Finding> alternatives,
        List<String> functionsLost) {
    public RunFinding {
        evidence = List.copyOf(evidence);
        alternatives = List.copyOf(alternatives);
        functionsLost = List.copyOf(functionsLost);
    }
}
