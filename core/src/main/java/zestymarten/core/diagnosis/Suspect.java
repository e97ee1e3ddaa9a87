package zestymarten.core.diagnosis;

import java.util.List;
import zestymarten.core.fault.Fault;

/**
 * Faults that together may be what is wrong with the unit.
 *
 * @param faults empty for a unit with nothing wrong
 * @param names conductors and parts that would be mended
 * @param probability of just these faults and no others, given everything read
 * @param text in a sentence
 */
public record Suspect(List<Fault> faults, List<String> names, double probability, String text) {
    public Suspect {
        faults = List.copyOf(faults);
        names = List.copyOf(names);
    }
}
