package zestymarten.core.analysis;

import java.util.List;
import zestymarten.core.finding.Finding;
import zestymarten.core.quantity.Message;

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
    public Message message() {
        return faults.isEmpty()
                ? Message.of("explanation.nothing_wrong")
                : Message.sentences(faults.stream().map(Finding::message).toArray());
    }
}
