package zestymarten.web.run;

import java.util.List;
import java.util.Optional;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.job.Job;
import zestymarten.core.plan.Deed;
import zestymarten.core.plan.Step;

/**
 * What somebody at the far end has to do now.
 *
 * @param pins that are held, linked or freed; none where the far end waits
 * @param waits whether the far end has nothing to do
 */
public record FarEnd(String sentence, List<String> pins, String why, boolean waits) {
    public FarEnd {
        pins = List.copyOf(pins);
    }

    /** By the step that is due. */
    public static FarEnd of(Run run) {
        Job job = run.job();
        Optional<Step> due = run.isUnderWay() ? job.current() : Optional.empty();
        if (due.isEmpty()) {
            return new FarEnd("Nothing is left to do.", List.of(), "Keep your ends apart until you are asked.", true);
        }
        return due.get()
                .fold(
                        probes -> waits("The meter is being checked."),
                        touch -> atFarEnd(job, touch),
                        act -> act.deed() == Deed.TIED || act.deed() == Deed.FREED
                                ? new FarEnd(
                                        act.deed() == Deed.TIED
                                                ? "Link all these together:"
                                                : "Free these, and keep them apart:",
                                        job.plan().farEnds().stream()
                                                .map(Terminal::name)
                                                .toList(),
                                        "Say when it is done.",
                                        false)
                                : waits("The other end is busy: " + ActWords.shortly(act) + "."));
    }

    private static FarEnd atFarEnd(Job job, Step.Touch touch) {
        List<String> pins = List.of(touch.black(), touch.red()).stream()
                .filter(job.plan().farEnds()::contains)
                .map(Terminal::name)
                .toList();
        if (!pins.isEmpty()) {
            return new FarEnd("Hold the probe on:", pins, "Press, hold still, until the next pin shows here.", false);
        }
        return touch.isTied() ? waits("Leave the link as it is.") : waits("Hands off: all your ends free and apart.");
    }

    private static FarEnd waits(String sentence) {
        return new FarEnd(sentence, List.of(), "Your next pin shows here by itself.", true);
    }
}
