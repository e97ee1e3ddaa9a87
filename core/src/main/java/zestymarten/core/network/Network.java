package zestymarten.core.network;

import java.util.List;
import java.util.OptionalDouble;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.quantity.Ohms;

/**
 * Effective resistance between any two terminals, with exact bounds.
 *
 * <p>Method: effective resistance never falls when an edge's resistance rises (Rayleigh's monotonicity law), so the
 * bounds of a pair are its resistance with all edges low and with all edges high. Each of the three networks is solved
 * per connected component, see {@link Resistances}. Immutable after construction.
 */
public final class Network {
    private final Resistances low;
    private final Resistances nominal;
    private final Resistances high;

    private Network(List<Link> links) {
        low = Resistances.of(links, link -> link.low().value());
        nominal = Resistances.of(links, link -> link.nominal().value());
        high = Resistances.of(links, link -> link.high().value());
    }

    public static Network of(List<Link> links) {
        return new Network(List.copyOf(links));
    }

    /** What a good unit reads between two terminals; a terminal that no link names is open to all others. */
    public Path between(Terminal a, Terminal b) {
        OptionalDouble lowest = low.between(a, b);
        OptionalDouble expected = nominal.between(a, b);
        OptionalDouble highest = high.between(a, b);
        if (lowest.isEmpty() || expected.isEmpty() || highest.isEmpty()) {
            return new Path.Open();
        }
        // The three solves round apart by parts in 1e15; the order is a law and is kept.
        double most = Math.max(highest.getAsDouble(), lowest.getAsDouble());
        return new Path.Ohmic(Ohms.of(lowest.getAsDouble()), Ohms.of(expected.getAsDouble()), Ohms.of(most));
    }
}
