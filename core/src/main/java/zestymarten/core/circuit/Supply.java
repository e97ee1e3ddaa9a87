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
 * @param fault what is asked of a fault to exposed metal
 */
public record Supply(
        double volts,
        OptionalDouble ohm,
        Optional<Protection> protection,
        OptionalDouble loadA,
        double mostDrop,
        OptionalDouble legA,
        EarthFault fault) {
    private static final double MOST_SELV_V = 50;

    public Supply {
        if (!(volts > 0 && volts <= 1000)) {
            throw new IllegalArgumentException(
                    "The supply's volts (" + volts + " V) must be above 0 and at most 1000 V.");
        }
        if (!(mostDrop > 0 && mostDrop < 1)) {
            throw new IllegalArgumentException(
                    "The voltage that may be lost (" + 100 * mostDrop + " %) must be above 0 and below 100 %.");
        }
        if (fault.earthing() == Earthing.SELV && volts > MOST_SELV_V) {
            throw new IllegalArgumentException("The supply's volts (" + volts
                    + " V) must be at most 50 V for separated extra-low voltage (SELV, PELV).");
        }
    }

    /** The same without more said of a fault than its protective device. */
    public Supply(
            double volts,
            OptionalDouble ohm,
            Optional<Protection> protection,
            OptionalDouble loadA,
            double mostDrop,
            OptionalDouble legA) {
        this(volts, ohm, protection, loadA, mostDrop, legA, EarthFault.plain());
    }
}
