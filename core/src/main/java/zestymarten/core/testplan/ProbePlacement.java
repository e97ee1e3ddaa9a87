package zestymarten.core.testplan;

import java.util.List;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.judgement.Quantity;

/**
 * Two probes on two points, and which terminals are linked for it.
 *
 * @param links none if all ends are free
 * @param state in which the switches and relays are
 * @param quantity what the instrument shows; of a forward voltage red is on the end from which the diode conducts, or on
 *     the other one
 */
public record ProbePlacement(
        Terminal black, Terminal red, List<List<Terminal>> links, SwitchState state, Quantity quantity) {
    public ProbePlacement {
        links = links.stream().map(List::copyOf).toList();
        if (black.equals(red)) {
            throw new IllegalArgumentException("Both probes on " + black + " read nothing.");
        }
    }

    /** On an ohm range. */
    public ProbePlacement(Terminal black, Terminal red, List<List<Terminal>> links, SwitchState state) {
        this(black, red, links, state, Quantity.RESISTANCE);
    }

    /** Whether an insulation tester reads it at its test voltage. */
    public boolean isUnderVoltage() {
        return quantity.needsTestVoltage();
    }

    /** What is one point with a probe's terminal by the links, itself included. */
    public List<Terminal> side(Terminal probe) {
        return side(probe, links);
    }

    static List<Terminal> side(Terminal probe, List<List<Terminal>> links) {
        return links.stream().filter(link -> link.contains(probe)).findFirst().orElse(List.of(probe));
    }
}
