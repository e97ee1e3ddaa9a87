package zestymarten.core.circuit;

import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.conductor.Protection;

/**
 * What feeds a circuit and what is asked of it.
 *
 * @param volts nominal, to earth, above 0 and at most 1000
 * @param ohm impedance of the supply, Ze; empty where it is not known
 * @param loadA amperes taken from it; empty where nobody says
 * @param mostDrop the share of the volts that may be lost, above 0 and below 1
 * @param legA amperes that one leg of a ring may carry as installed; empty where nobody says
 */
public record Supply(
        double volts,
        OptionalDouble ohm,
        Optional<Protection> protection,
        OptionalDouble loadA,
        double mostDrop,
        OptionalDouble legA) {
    public Supply {
        if (!(volts > 0 && volts <= 1000)) {
            throw new IllegalArgumentException(
                    "The supply's volts (" + volts + " V) must be above 0 and at most 1000 V.");
        }
        if (!(mostDrop > 0 && mostDrop < 1)) {
            throw new IllegalArgumentException(
                    "The voltage that may be lost (" + 100 * mostDrop + " %) must be above 0 and below 100 %.");
        }
    }
}
