package zestymarten.core.analysis;

import java.util.List;
import java.util.OptionalDouble;
import zestymarten.core.assembly.State;
import zestymarten.core.assembly.Terminal;

/**
 * A reading as it was taken.
 *
 * @param a the black probe
 * @param b the red probe
 * @param asTyped what the meter showed
 * @param ties groups of terminals that were tied together for it; none if all ends were free
 * @param rangeTop the top of the range in use, where that is known
 */
public record Reading(
        Terminal a, Terminal b, String asTyped, State state, List<List<Terminal>> ties, OptionalDouble rangeTop) {
    public Reading {
        ties = ties.stream().map(List::copyOf).toList();
        if (a.equals(b)) {
            throw new IllegalArgumentException("Both probes on " + a + " read nothing.");
        }
    }
}
