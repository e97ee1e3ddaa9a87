package zestymarten.core.job;

import java.util.List;
import zestymarten.core.finding.Finding;

/**
 * A finding with what stands behind it.
 *
 * @param evidence the entries that show it, in the order in which they were made
 * @param functionsLost functions of the conductors concerned, in design order
 */
public record Found(Finding finding, List<Entry> evidence, List<String> functionsLost) {
    public Found {
        evidence = List.copyOf(evidence);
        functionsLost = List.copyOf(functionsLost);
    }
}
