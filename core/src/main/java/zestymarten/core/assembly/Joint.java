package zestymarten.core.assembly;

import java.util.OptionalDouble;
import zestymarten.core.quantity.NotAccepted;

/**
 * A node on the way: splice, crimp, solder, screw, contact.
 *
 * @param kind in the technician's word
 * @param probe whether a probe can reach it
 * @param maxOhm the most that a path through it may gain there; empty for nothing that counts
 */
public record Joint(Terminal terminal, String kind, boolean probe, OptionalDouble maxOhm) {
    public Joint {
        if (terminal.isPin() || terminal.isFrame()) {
            throw new NotAccepted("joint.joint_have_name", terminal);
        }
        if (maxOhm.isPresent() && !(maxOhm.getAsDouble() >= 0 && maxOhm.getAsDouble() <= Conductor.MAX_OHM)) {
            throw new NotAccepted(
                    "joint.joint_highest_resistance",
                    terminal,
                    NotAccepted.given(maxOhm.getAsDouble(), "Ω"),
                    NotAccepted.given(Conductor.MAX_OHM, "Ω"));
        }
    }
}
