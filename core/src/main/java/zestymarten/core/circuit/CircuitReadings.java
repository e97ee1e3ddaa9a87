package zestymarten.core.circuit;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.OptionalDouble;
import zestymarten.core.quantity.NotAccepted;

/**
 * Readings of a circuit as they came in, in any order, the leads taken off: resistance, or empty where the meter found no path.
 * What was not read is not in it.
 */
public record CircuitReadings(Map<Spot, OptionalDouble> ohms) {
    public CircuitReadings {
        ohms = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(ohms));
        ohms.forEach((spot, ohm) -> {
            if (ohm.isPresent() && !(ohm.getAsDouble() >= 0 && ohm.getAsDouble() <= 1e9)) {
                throw new NotAccepted("circuit_readings.out_of_range", NotAccepted.given(ohm.getAsDouble(), "Ω"), spot);
            }
        });
    }

    public boolean isEmpty() {
        return ohms.isEmpty();
    }

    /** What was read at a spot, if it was read. */
    public boolean has(Spot spot) {
        return ohms.containsKey(spot);
    }

    /** Resistance read at a spot; empty where it was not read or found no path. */
    public OptionalDouble ohm(Spot spot) {
        return ohms.getOrDefault(spot, OptionalDouble.empty());
    }
}
