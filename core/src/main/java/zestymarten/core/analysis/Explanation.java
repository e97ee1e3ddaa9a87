package zestymarten.core.analysis;

import java.util.List;
import java.util.stream.Collectors;
import zestymarten.core.finding.Finding;

/**
 * Faults that together explain what was read of a unit; none for a good one.
 *
 * @param probability that it is just these, 0 to 1
 */
public record Explanation(double probability, List<Finding> faults) {
    public Explanation {
        faults = List.copyOf(faults);
    }

    /** The faults in sentences. */
    public String text() {
        return faults.isEmpty()
                ? "Nothing is wrong."
                : faults.stream().map(Finding::text).collect(Collectors.joining(" "));
    }
}
