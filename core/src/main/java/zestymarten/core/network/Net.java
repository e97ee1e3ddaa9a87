package zestymarten.core.network;

import java.util.List;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;

/**
 * Terminals that are one point in a good unit, with the conductors that make them so.
 *
 * @param ends where a probe can go: pins in order of use and the frame; at least one
 * @param conductors in design order, at least one
 * @param isOnFrame whether it is joined to the frame on purpose, by a conductor or a bond
 */
public record Net(List<Terminal> ends, List<Conductor> conductors, boolean isOnFrame) {
    public Net {
        ends = List.copyOf(ends);
        conductors = List.copyOf(conductors);
    }

    /** Whether the net is one wire between two probe points. */
    public boolean isTwoEnded() {
        return conductors.size() == 1 && ends.size() == 2;
    }
}
