package zestymarten.core.finding;

import java.util.Map;
import java.util.Optional;
import zestymarten.core.assembly.Conductor;

/**
 * What the machine does and does not do, by the function of the wiring.
 *
 * @param functions functions as the conductors name them; those not in it were not tried
 */
public record Symptoms(Map<String, Behaviour> functions) {
    /** How a function behaves. */
    public enum Behaviour {
        /** It works, which clears the wires it needs. */
        WORKS,
        /** It never comes on, which points to an open. */
        DEAD,
        /** It comes on and drops out: ohms in a joint, or a wire that opens now and then. */
        SOMETIMES,
        /** It does not go off, which points to a short. */
        STAYS_ON
    }

    /** Nobody has said anything. */
    public static final Symptoms NONE = new Symptoms(Map.of());

    public Symptoms {
        functions = Map.copyOf(functions);
    }

    /** Whether something does not work. */
    public boolean isOfSomething() {
        return functions.values().stream().anyMatch(each -> each != Behaviour.WORKS);
    }

    public Optional<Behaviour> of(Conductor conductor) {
        return conductor.function().flatMap(function -> Optional.ofNullable(functions.get(function)));
    }
}
