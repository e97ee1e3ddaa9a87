package zestymarten.core.testrun;

import java.util.List;
import java.util.Optional;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MessageArgument;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;

/** What can be put right in a test as it stands: with which spare cores, and by a splice only where nothing else is at fault. */
final class PossibleRepairs {
    private final TestRun test;
    private final RunLog log;

    PossibleRepairs(TestRun test, RunLog log) {
        this.test = test;
        this.log = log;
    }

    /** The spare cores that have passed in this run, in design order. */
    List<Conductor> spares() {
        return test.design().assembly().conductors().stream()
                .filter(Conductor::spare)
                .filter(this::hasPassed)
                .toList();
    }

    private boolean hasPassed(Conductor wire) {
        boolean faulty = test.findings().stream()
                .anyMatch(found -> found.finding().conductors().contains(wire.id()));
        return !faulty
                && test.steps(Stage.CONTINUITY)
                        .anyMatch(step -> step instanceof TestStep.Measurement measurement
                                && measurement.isOn(wire.from())
                                && (measurement.isLinked() || measurement.isOn(wire.to()))
                                && test.isDone(step)
                                && test.state(step) != StepState.SKIPPED
                                && test.state(step) != StepState.IMPLIED);
    }

    /** Why something cannot be put right in that way now; empty if it can. */
    Optional<Message> objection(TestStep.ManualStep repaired, Entry.Content.Repair repair) {
        if (!repair.spare().isEmpty()) {
            boolean one = repaired.subject().code().split(" ").length == 2;
            boolean passed = spares().stream().anyMatch(each -> each.id().equals(repair.spare()));
            return one && passed
                    ? Optional.empty()
                    : Optional.of(Message.of(
                            "test_run.not_accepted_expected_spare",
                            repair.spare(),
                            repaired.subject().words()));
        }
        List<TestStep.ManualStep> unread = repair.way() != Entry.Way.SPLICE
                ? List.of()
                : test.findings().stream()
                        .map(RunFinding::finding)
                        .filter(finding -> String.join(" ", finding.conductors())
                                .equals(repaired.subject().code()))
                        .flatMap(finding -> test.remainders(finding).stream())
                        .filter(each -> !test.isDone(each))
                        .toList();
        Optional<TestStep.ManualStep> broken = repair.way() != Entry.Way.SPLICE
                ? Optional.empty()
                : log.steps(Stage.REPAIR).stream()
                        .filter(step -> step instanceof TestStep.ManualStep manual
                                && manual.action() == ManualAction.REMAINING
                                && RemainingLength.length(manual)
                                        .conductor()
                                        .equals(repaired.subject().code())
                                && test.state(manual) == StepState.FAIL)
                        .map(TestStep.ManualStep.class::cast)
                        .findFirst();
        if (broken.isPresent()) {
            return Optional.of(Message.of(
                    "test_run.length_fault_too_splice", broken.get().subject().words()));
        }
        return unread.isEmpty()
                ? Optional.empty()
                : Optional.of(Message.of(
                        "test_run.before_spliced_read_each",
                        Message.list(
                                MessageArgument.Listing.Link.COMMA,
                                unread.stream()
                                        .map(each -> each.subject().words())
                                        .toList())));
    }
}
