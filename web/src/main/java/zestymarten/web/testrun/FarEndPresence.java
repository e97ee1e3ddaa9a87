package zestymarten.web.testrun;

import java.util.List;
import java.util.Optional;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.platform.Words;

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
                    Words.say("far_end_presence.nothing_left_do"),
                    List.of(),
                    Words.say("far_end_presence.keep_your_ends_apart"),
                    true);
        }
        return due.get()
                .fold(
                        probes -> waits(Words.say("far_end_presence.meter_being_checked")),
                        measurement -> atFarEnd(test, measurement),
                        manual -> manual.action() == ManualAction.LINK_FAR_ENDS
                                        || manual.action() == ManualAction.UNLINK_FAR_ENDS
                                ? new FarEndPresence(
                                        manual.action() == ManualAction.LINK_FAR_ENDS
                                                ? Words.say("far_end_presence.link_all_these_together")
                                                : Words.say("far_end_presence.free_these_keep_them"),
                                        test.plan().farEnds().stream()
                                                .map(Terminal::name)
                                                .toList(),
                                        Words.say("far_end_presence.say_when_done"),
                                        false)
                                : waits(Words.say("far_end_presence.other_end_busy", manual.title())));
    }

    private static FarEndPresence atFarEnd(TestRun test, TestStep.Measurement measurement) {
        List<String> pins = List.of(measurement.black(), measurement.red()).stream()
                .filter(test.plan().farEnds()::contains)
                .map(Terminal::name)
                .toList();
        if (!pins.isEmpty()) {
            return new FarEndPresence(
                    Words.say("far_end_presence.hold_probe_on"),
                    pins,
                    Words.say("far_end_presence.press_hold_still_until"),
                    false);
        }
        return measurement.isLinked()
                ? waits(Words.say("far_end_presence.leave_link_as"))
                : waits(Words.say("far_end_presence.hands_off_all_your"));
    }

    private static FarEndPresence waits(String sentence) {
        return new FarEndPresence(sentence, List.of(), Words.say("far_end_presence.your_next_pin_shows"), true);
    }
}
