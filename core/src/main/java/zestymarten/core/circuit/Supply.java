package zestymarten.core.circuit;

import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.conductor.Protection;
import zestymarten.core.quantity.NotAccepted;

/**
 * What feeds a circuit and what is asked of it.
 *
 * @param volts nominal, to earth, above 0 and at most 1000
 * @param ohm impedance of the supply, Ze; empty where it is not known
 * @param loadA amperes taken from it; empty where nobody says
 * @param maxDrop the share of the volts that may be lost, above 0 and below 1
 * @param legA amperes that one leg of a ring may carry as installed; empty where nobody says
 * @param fault what is asked of a fault to exposed metal
 */
public record Supply(
        double volts,
        OptionalDouble ohm,
        Optional<Protection> protection,
        OptionalDouble loadA,
        double maxDrop,
        OptionalDouble legA,
        EarthFault fault) {
    private static final double MAX_SELV_V = 50;

    public Supply {
        if (!(volts > 0 && volts <= 1000)) {
            throw new NotAccepted("supply.supply_volts_above", NotAccepted.given(volts, "V"));
        }
        if (!(maxDrop > 0 && maxDrop < 1)) {
            throw new NotAccepted("supply.voltage_that_may", NotAccepted.given(100 * maxDrop, "%"));
        }
        if (fault.earthing() == Earthing.SELV && volts > MAX_SELV_V) {
            throw new NotAccepted("supply.supply_volts_most", NotAccepted.given(volts, "V"));
        }
    }

    /** The same without more said of a fault than its protective device. */
    public Supply(
            double volts,
            OptionalDouble ohm,
            Optional<Protection> protection,
            OptionalDouble loadA,
            double maxDrop,
            OptionalDouble legA) {
        this(volts, ohm, protection, loadA, maxDrop, legA, EarthFault.plain());
    }
}
