package zestymarten.core.assembly;

import java.util.Set;
import zestymarten.core.quantity.NotAccepted;

/**
 * A named state of switches and relays.
 *
 * @param closed names of the contacts that conduct in it
 */
public record SwitchState(String id, Set<String> closed) {
    /** The state of an assembly that names none: nothing is closed. */
    public static final SwitchState REST = new SwitchState("rest", Set.of());

    public SwitchState {
        closed = Set.copyOf(closed);
        if (id.isBlank()) {
            throw new NotAccepted("switch_state.state_have_name");
        }
    }
}
