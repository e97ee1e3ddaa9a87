package zestymarten.core.analysis;

import java.util.List;
import zestymarten.core.finding.Finding;

/**
 * A finding with what stands behind it.
 *
 * @param evidence numbers of the observations that show it, ascending
 * @param functionsLost functions of the conductors concerned, in design order
 */
public record Explained(Finding finding, List<Integer> evidence, List<String> functionsLost) {
    public Explained {
        evidence = List.copyOf(evidence);
        functionsLost = List.copyOf(functionsLost);
    }
}
