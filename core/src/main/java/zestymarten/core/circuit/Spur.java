package zestymarten.core.circuit;

import zestymarten.core.quantity.NotAccepted;

/**
 * A point that hangs on another by cable of its own.
 *
 * @param from number of the outlet that it leaves, from 1
 */
public record Spur(int from, CableStretch cable) {
    public Spur {
        if (from < 1) {
            throw new NotAccepted("spur.spur_leaves_outlet", from);
        }
    }
}
