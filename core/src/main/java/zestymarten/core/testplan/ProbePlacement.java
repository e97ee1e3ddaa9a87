package zestymarten.core.testplan;

import java.util.List;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;

/**
 * Two probes on two points, and which terminals are linked for it.
 *
 * @param ties none if all ends are free
 * @param state in which the switches and relays are
 * @param insulation whether it is read by an insulation tester at its test voltage, not by an ohmmeter
 */
public record ProbePlacement(
        Terminal black, Terminal red, List<List<Terminal>> ties, SwitchState state, boolean insulation) {
    public ProbePlacement {
        ties = ties.stream().map(List::copyOf).toList();
        if (black.equals(red)) {
            throw new IllegalArgumentException("Both probes on " + black + " read nothing.");
        }
    }

    /** What is one point with a probe's terminal by the links, itself included. */
    public List<Terminal> side(Terminal probe) {
        return side(probe, ties);
    }

    static List<Terminal> side(Terminal probe, List<List<Terminal>> ties) {
        return ties.stream().filter(tie -> tie.contains(probe)).findFirst().orElse(List.of(probe));
    }
}
