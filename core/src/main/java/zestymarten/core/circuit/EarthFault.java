package zestymarten.core.circuit;

import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.conductor.ResidualDevice;
import zestymarten.core.quantity.NotAccepted;

/**
 * What is asked of a circuit when its line touches exposed metal, and what was read of it live by those permitted.
 *
 * @param finalCircuit whether the table of final circuits holds, see {@link Earthing}; else that of distribution circuits
 * @param factor by which the supply's voltage may be lower than nominal, above 0 and at most 1. Source: IEC 60909-0, c of the
 *     least short-circuit current, 0.95 at low voltage
 * @param residual the residual-current device; empty where there is none
 * @param ratedS what it took at its rated residual current, in seconds; empty where that was not read
 * @param fiveS the same at five times that current
 * @param loopOhm loop impedance as read at the farthest point, the cable cold; empty where it was not
 * @param breakingA the most that the protective device can break, in amperes; empty where nobody says
 */
public record EarthFault(
        Earthing earthing,
        boolean finalCircuit,
        double factor,
        Optional<ResidualDevice> residual,
        OptionalDouble ratedS,
        OptionalDouble fiveS,
        OptionalDouble loopOhm,
        OptionalDouble breakingA) {
    /** The factor where nobody says otherwise. */
    public static final double USUAL_FACTOR = 0.95;

    public EarthFault {
        if (!(factor > 0 && factor <= 1)) {
            throw new NotAccepted("earth_fault.voltage_factor_above", factor);
        }
    }

    /** A final circuit of a TN system without anything but its protective device, the supply at its nominal voltage. */
    public static EarthFault plain() {
        return new EarthFault(
                Earthing.TN,
                true,
                1,
                Optional.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }
}
