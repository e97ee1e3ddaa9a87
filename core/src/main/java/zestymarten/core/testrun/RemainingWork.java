package zestymarten.core.testrun;

import java.util.List;
import java.util.stream.Stream;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;

/** What is still to do: measurements, checks of the meter, trips to the other end, and other manual steps. */
public record RemainingWork(long measurements, long checks, long trips, long actions) {
    /** Cost: linear in the steps, but for those of the pairs, which are counted. */
    static RemainingWork of(TestRun test) {
        List<TestStep> manualSteps = Stream.of(Stage.values())
                .flatMap(stage -> stage == Stage.SHORTS || stage == Stage.FRAME
                        ? test.plan().of(stage).stream()
                        : test.steps(stage))
                .filter(step -> step instanceof TestStep.ManualStep && !test.isDone(step))
                .toList();
        long trips = manualSteps.stream()
                .filter(step -> ((TestStep.ManualStep) step).action() == ManualAction.GO_TO_FAR_END
                        || ((TestStep.ManualStep) step).action() == ManualAction.GO_TO_FAR_END_AGAIN)
                .count();
        long checks = Stream.of(Stage.METER, Stage.RESTORE)
                .flatMap(test::steps)
                .filter(step -> step instanceof TestStep.LeadCheck && !test.isDone(step))
                .count();
        return new RemainingWork(test.left() - manualSteps.size() - checks, checks, trips, manualSteps.size() - trips);
    }
}
