package zestymarten.core.scan;

import java.util.Set;
import java.util.stream.Collectors;
import zestymarten.core.assembly.Terminal;

/**
 * A measurement as the relays stand when it is made.
 *
 * @param line its line in a file of the program
 * @param state of switches and relays, empty for the one at rest
 */
public record ScanMeasurement(
        int line, Set<Terminal> a, Set<Terminal> b, String state, ScanAction.MeasureContacts measure) {
    public ScanMeasurement {
        a = Set.copyOf(a);
        b = Set.copyOf(b);
    }

    /** The terminals of both sides, the lesser side first by name: which way round is the same to a meter. */
    String sides() {
        String one = names(a);
        String other = names(b);
        return one.compareTo(other) <= 0 ? one + " | " + other : other + " | " + one;
    }

    private static String names(Set<Terminal> side) {
        return side.stream().map(Terminal::name).sorted().collect(Collectors.joining(" "));
    }
}
