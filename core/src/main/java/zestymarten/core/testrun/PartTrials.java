package zestymarten.core.testrun;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;

/**
 * Other parts that are tried in the place of one: a test with a price, never a diagnosis.
 *
 * <p>Rule: before a part is changed it is unplugged and plugged in again, because that alone may cure a contact; only if
 * nothing has changed by that, a known good one takes its place. What stands in is on the list of what is to be restored until the part is back.
 */
final class PartTrials {
    /** The most minutes that a change of a part may take. */
    static final int MAX_MINUTES = 600;

    private final Assembly assembly;
    private final RunLog log;

    PartTrials(Assembly assembly, RunLog log) {
        this.assembly = assembly;
        this.log = log;
    }

    /** Whether it is a part or a connector of the wiring. */
    boolean isPart(String subject) {
        return assembly.connector(subject).isPresent()
                || assembly.components().stream().anyMatch(each -> each.id().equals(subject));
    }

    /** Whether words say how many minutes a change takes. */
    static boolean isPrice(String words) {
        return words.matches("[0-9]{1,3}") && Integer.parseInt(words) <= MAX_MINUTES;
    }

    private List<TestStep.ManualStep> planned() {
        return log.steps(Stage.REPAIR).stream()
                .filter(step ->
                        step instanceof TestStep.ManualStep manual && manual.action() == ManualAction.SUBSTITUTE)
                .map(TestStep.ManualStep.class::cast)
                .filter(manual -> words(manual).isPresent())
                .toList();
    }

    /** What is done for them, in the order in which they were planned. */
    Stream<TestStep> steps() {
        return planned().stream().flatMap(each -> {
            TestStep.ManualStep replug = new TestStep.ManualStep(ManualAction.REPLUGGED, each.subject());
            return words(replug).filter(RecordedSymptoms.WORKS::equals).isPresent()
                    ? Stream.of(replug)
                    : Stream.of(replug, new TestStep.ManualStep(ManualAction.SUBSTITUTED, each.subject()));
        });
    }

    /** Minutes that those not tried yet will take. */
    double minutesLeft() {
        return planned().stream()
                .filter(each -> steps().anyMatch(
                                step -> step.equals(new TestStep.ManualStep(ManualAction.SUBSTITUTED, each.subject()))))
                .filter(each -> log.last(new TestStep.ManualStep(ManualAction.SUBSTITUTED, each.subject()))
                        .isEmpty())
                .mapToDouble(each -> Double.parseDouble(words(each).orElse("0")))
                .sum();
    }

    private Optional<String> words(TestStep.ManualStep manual) {
        return log.last(manual)
                .filter(entry -> entry.content() instanceof Entry.Content.Done)
                .map(entry -> ((Entry.Content.Done) entry.content()).words());
    }
}
