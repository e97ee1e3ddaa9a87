package zestymarten.core.assembly;

import java.util.OptionalDouble;

/**
 * A node on the way: splice, crimp, solder, screw, contact.
 *
 * @param kind in the technician's word
 * @param probe whether a probe can reach it
 * @param maxOhm the most that a way through it may gain there; empty for nothing that counts
 */
public record Joint(Terminal terminal, String kind, boolean probe, OptionalDouble maxOhm) {
    public Joint {
        if (terminal.isPin() || terminal.isFrame()) {
            throw new IllegalArgumentException("Joint " + terminal + " must have a name without a dot, such as S1.");
        }
        if (maxOhm.isPresent() && !(maxOhm.getAsDouble() >= 0 && maxOhm.getAsDouble() <= Conductor.MOST_OHM)) {
            throw new IllegalArgumentException("Joint " + terminal + ": highest resistance (" + maxOhm.getAsDouble()
                    + " ohm) must be from 0 to " + Conductor.MOST_OHM + " ohm.");
        }
    }
}
