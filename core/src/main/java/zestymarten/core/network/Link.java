package zestymarten.core.network;

import zestymarten.core.assembly.Terminal;
import zestymarten.core.quantity.Ohms;

/** An edge of the network: a conductor, joint or link with the interval in which its resistance lies; 0 ohm merges its ends. */
public record Link(Terminal a, Terminal b, Ohms low, Ohms nominal, Ohms high) {
    public Link {
        if (low.compareTo(high) > 0) {
            throw new IllegalArgumentException("Link " + a + " to " + b + ": low (" + low.text()
                    + ") must not be above high (" + high.text() + ").");
        }
    }
}
