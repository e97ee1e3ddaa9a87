package zestymarten.core.testrun;

import java.util.List;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Subject;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.TestStep;

/** What is left of a broken wire on either side of the break, which is read before the break is repaired. */
final class RemainingLength {
    private RemainingLength() {}

    /** The readings of both lengths of a wire; none where an end cannot be probed. */
    static List<TestStep.ManualStep> of(Conductor wire) {
        return wire.from().isPin() && wire.to().isPin()
                ? List.of(reading(wire, wire.from()), reading(wire, wire.to()))
                : List.of();
    }

    private static TestStep.ManualStep reading(Conductor wire, Terminal end) {
        return new TestStep.ManualStep(ManualAction.REMAINING, new Subject.LengthOf(wire.id(), end));
    }

    /** The length that a reading of one is of. */
    static Subject.LengthOf length(TestStep.ManualStep reading) {
        return (Subject.LengthOf) reading.subject();
    }

    /** Whether a subject is a length of a wire of the design. */
    static boolean isOne(Design design, Subject subject) {
        return subject instanceof Subject.LengthOf length
                && design.assembly().conductors().stream()
                        .filter(each -> each.id().equals(length.conductor()))
                        .findFirst()
                        .map(RemainingLength::of)
                        .orElse(List.of())
                        .contains(new TestStep.ManualStep(ManualAction.REMAINING, length));
    }
}
