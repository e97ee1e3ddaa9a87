package zestymarten.core.analysis;

import java.util.Optional;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;

/**
 * An edge of the unit as designed: a conductor, a part, or the bond of a pin to the frame.
 *
 * @param bounds its resistance, between nodes that have no meaning here
 */
record Element(
        Terminal a, Terminal b, Optional<Conductor> conductor, Optional<Component> part, NetworkFit.FitEdge bounds) {
    /** By its ends alone: few edges have both in common, and sets of faults are looked up by the thousand. */
    @Override
    public int hashCode() {
        return 31 * a.hashCode() + b.hashCode();
    }

    boolean isBond() {
        return conductor.isEmpty() && part.isEmpty();
    }

    boolean isContact() {
        return part.filter(each -> each.kind().isContact()).isPresent();
    }

    boolean conductsIn(SwitchState state) {
        return part.map(each -> each.conductsIn(state)).orElse(true);
    }

    boolean isCalled(String id) {
        return conductor.filter(each -> each.id().equals(id)).isPresent()
                || part.filter(each -> each.id().equals(id)).isPresent();
    }
}
