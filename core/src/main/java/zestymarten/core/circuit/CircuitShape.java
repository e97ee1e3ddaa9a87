package zestymarten.core.circuit;

import java.util.List;

/** How a circuit is laid out, and which conductors it has. */
public enum CircuitShape {
    /** Both ends of one line, neutral and protective conductor come back to the origin. */
    RING,
    /** One line, neutral and protective conductor go from point to point. */
    RADIAL,
    /** The same with three lines. */
    THREE_PHASE;

    /** Its conductors, the lines first, the protective conductor last. */
    List<ConductorRole> roles() {
        return this == THREE_PHASE
                ? List.of(
                        ConductorRole.LINE_1,
                        ConductorRole.LINE_2,
                        ConductorRole.LINE_3,
                        ConductorRole.NEUTRAL,
                        ConductorRole.PROTECTIVE)
                : List.of(ConductorRole.LINE, ConductorRole.NEUTRAL, ConductorRole.PROTECTIVE);
    }

    /** What is linked in the dead tests, in their order: every line with the neutral, one with the protective conductor. */
    List<EndLink> links() {
        return this == THREE_PHASE
                ? List.of(
                        EndLink.LINE_1_NEUTRAL,
                        EndLink.LINE_2_NEUTRAL,
                        EndLink.LINE_3_NEUTRAL,
                        EndLink.LINE_1_PROTECTIVE)
                : List.of(EndLink.LINE_NEUTRAL, EndLink.LINE_PROTECTIVE);
    }
}
