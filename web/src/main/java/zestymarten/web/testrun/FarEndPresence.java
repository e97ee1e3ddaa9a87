package zestymarten.web.testrun;

import java.util.List;
import java.util.Optional;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.TestRun;

/**
 * What somebody at the far end has to do now.
 *
 * @param pins that are held, linked or freed; none where the far end waits
 * @param waits whether the far end has nothing to do
 */
public record FarEndPresence(String sentence, List<String> pins, String why, boolean waits) {
    public FarEndPresence {
        pins = List.copyOf(pins);
    }

    /** By the step that is due. */
    public static FarEndPresence of(RunSnapshot run) {
        TestRun test = run.test();
        Optional<TestStep> due = run.isUnderWay() ? test.current() : Optional.empty();
        if (due.isEmpty()) {
            return new FarEndPresence(
                    "Nothing is left to do.", List.of(), "Keep your ends apart until you are asked.", true);
        }
        return due.get()
                .fold(
                        probes -> waits("The meter is being checked."),
                        touch -> atFarEnd(test, touch),
                        act -> act.action() == ManualAction.TIED || act.action() == ManualAction.FREED
                                ? new FarEndPresence(
                                        act.action() == ManualAction.TIED
                                                ? "Link all these together:"
                                                : "Free these, and keep them apart:",
                                        test.plan().farEnds().stream()
                                                .map(Terminal::name)
                                                .toList(),
                                        "Say when it is done.",
                                        false)
                                : waits("The other end is busy: " + ManualStepWords.shortly(act) + "."));
    }

    private static FarEndPresence atFarEnd(TestRun test, TestStep.Measurement touch) {
        List<String> pins = List.of(touch.black(), touch.red()).stream()
                .filter(test.plan().farEnds()::contains)
                .map(Terminal::name)
                .toList();
        if (!pins.isEmpty()) {
            return new FarEndPresence(
                    "Hold the probe on:", pins, "Press, hold still, until the next pin shows here.", false);
        }
        return touch.isTied() ? waits("Leave the link as it is.") : waits("Hands off: all your ends free and apart.");
    }

    private static FarEndPresence waits(String sentence) {
        return new FarEndPresence(sentence, List.of(), "Your next pin shows here by itself.", true);
    }
}
