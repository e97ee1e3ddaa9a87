package zestymarten.core.testrun;

import java.util.List;
import java.util.Optional;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.TestStep;

/** What is left of a broken wire on either side of the break, which is read before the break is mended. */
final class RemainingLength {
    private static final String FROM = " from ";

    private RemainingLength() {}

    /** The readings of both lengths of a wire; none where an end cannot be probed. */
    static List<TestStep.ManualStep> of(Conductor wire) {
        return wire.from().isPin() && wire.to().isPin()
                ? List.of(
                        new TestStep.ManualStep(ManualAction.REMAINING, wire.id() + FROM + wire.from()),
                        new TestStep.ManualStep(ManualAction.REMAINING, wire.id() + FROM + wire.to()))
                : List.of();
    }

    /** The conductor that a subject names. */
    static String conductor(String subject) {
        int at = subject.lastIndexOf(FROM);
        return at < 0 ? subject : subject.substring(0, at);
    }

    /** The end from which the length that a subject names is read. */
    static Terminal end(Design design, String subject) {
        Conductor wire = design.conductor(conductor(subject));
        return subject.endsWith(FROM + wire.from()) ? wire.from() : wire.to();
    }

    /** Whether a subject names a length of a wire of the design. */
    static boolean isOne(Design design, String subject) {
        Optional<Conductor> wire = design.assembly().conductors().stream()
                .filter(each -> each.id().equals(conductor(subject)))
                .findFirst();
        return wire.isPresent() && of(wire.get()).contains(new TestStep.ManualStep(ManualAction.REMAINING, subject));
    }
}
