package zestymarten.web.record;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import zestymarten.core.assembly.Access;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Connector;
import zestymarten.core.judgement.Expectation;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.testplan.CoverageAnalysis;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Moisture;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.Entry;
import zestymarten.core.testrun.StepState;
import zestymarten.core.testrun.TestRun;

/** What a test cannot have seen, so that a pass is not read for more than it is. */
final class NotShownWords {
    private final TestRun test;
    private final List<String> said = new ArrayList<>();

    private NotShownWords(TestRun test) {
        this.test = test;
        insulation();
        method();
        matingFaces();
        tones();
        leads();
        substitutes();
        skipped();
    }

    static List<String> by(TestRun test) {
        return List.copyOf(new NotShownWords(test).said);
    }

    private void insulation() {
        boolean asked = test.approach().insulation().isPresent();
        if (!asked || test.size(Stage.INSULATION) == 0) {
            said.add("Insulation was not tested" + (asked ? ", because continuity did not pass" : "")
                    + ": an ohmmeter shows no more than that there is no short at its own few volts.");
        }
        if (test.approach().moisture() != Moisture.NONE && test.size(Stage.WET) == 0) {
            said.add("Nothing was tested with water, because continuity did not pass.");
        }
        if (test.approach().withstand().isPresent() && test.size(Stage.WITHSTAND) == 0) {
            said.add(
                    "It was not tried whether the insulation withstands the higher voltage, because what comes before did not"
                            + " pass.");
        }
    }

    private void method() {
        CoverageAnalysis coverage = test.coverage();
        for (CoverageAnalysis.PossibleFault kind : CoverageAnalysis.PossibleFault.values()) {
            CoverageAnalysis.Count count = coverage.counts().getOrDefault(kind, new CoverageAnalysis.Count(0, 0));
            if (count.seen() < count.all()) {
                said.add("Of " + count.all() + " possible " + kind.many() + " the measurements made would show "
                        + (count.seen() == 0 ? "none" : Integer.toString(count.seen())) + ".");
            }
        }
        test.design().assembly().components().stream()
                .filter(part -> part.kind() == Component.ComponentKind.DIODE)
                .forEach(part -> said.add("Diode " + part.id()
                        + ": an ohm range proves nothing of it. Its forward voltage was not read."));
        if (test.approach().quick()) {
            said.add(
                    "Resistance only: nothing was inspected or moved, and the meter was not checked again at the end.");
        }
    }

    private void matingFaces() {
        String back = test.design().assembly().connectors().stream()
                .filter(each -> each.reach()
                        .probing()
                        .filter(Access.Probing.BACK::equals)
                        .isPresent())
                .map(Connector::id)
                .collect(Collectors.joining(", "));
        if (!back.isEmpty()) {
            said.add("Mating faces of " + back + ": the contacts were probed at the back.");
        }
    }

    private void tones() {
        String threshold = EngineeringFormat.text(test.conditions().meter().toneBelowOhm(), "Ω");
        long tones = count(Stage.ENDS, MeterReading.Tone.class::isInstance);
        if (tones > 0) {
            said.add("Passed on tone only: " + tones + (tones == 1 ? " wire" : " wires") + ". Resistance below about "
                    + threshold + " was not distinguished there.");
        }
        long silent = count(Stage.SHORTS, MeterReading.Silent.class::isInstance)
                + count(Stage.FRAME, MeterReading.Silent.class::isInstance);
        if (silent > 0) {
            said.add("No beep on tone only: " + silent + (silent == 1 ? " pair" : " pairs")
                    + ". A connection above about " + threshold + " would not have made the meter beep.");
        }
    }

    private long count(Stage stage, Predicate<MeterReading> meaning) {
        return test.entries().stream()
                .filter(entry -> entry.stands() && entry.step().stage() == stage)
                .filter(entry ->
                        entry.content() instanceof Entry.Content.Reading reading && meaning.test(reading.meaning()))
                .count();
    }

    private void leads() {
        long small = test.entries().stream()
                .filter(entry -> entry.stands()
                        && entry.step() instanceof TestStep.Measurement touch
                        && test.expectation(touch) instanceof Expectation.Joined joined
                        && test.conditions().leadsExceed(joined.limit().high()))
                .count();
        if (small > 0) {
            said.add("Measured with test leads of more resistance than the wire's limit: "
                    + small + (small == 1 ? " reading" : " readings")
                    + ". Contact pressure alone could hide or make a small excess there.");
        }
    }

    /** A part that cures is no reading of the old one. */
    private void substitutes() {
        for (Entry entry : test.entries()) {
            boolean cured = entry.stands()
                    && entry.step() instanceof TestStep.ManualStep act
                    && (act.action() == ManualAction.SUBSTITUTED || act.action() == ManualAction.REPLUGGED)
                    && test.state(act) == StepState.WATCH;
            if (cured) {
                String part = ((TestStep.ManualStep) entry.step()).subject();
                said.add(
                        ((TestStep.ManualStep) entry.step()).action() == ManualAction.SUBSTITUTED
                                ? "Diagnosis of " + part
                                        + ": it works with another one, and no reading condemns the old"
                                        + " one until it is tested on the bench."
                                : "Why " + part
                                        + " failed: it works since it was plugged in again, and a contact may fail again.");
            }
        }
    }

    private void skipped() {
        String skipped = test.entries().stream()
                .filter(entry -> entry.stands() && entry.content() instanceof Entry.Content.Skip)
                .map(entry -> where(entry.step()) + " (" + ((Entry.Content.Skip) entry.content()).reason() + ")")
                .collect(Collectors.joining("; "));
        if (!skipped.isEmpty()) {
            said.add("Skipped: " + skipped + ".");
        }
    }

    private static String where(TestStep step) {
        return step.fold(
                probes -> probes.question() == TestStep.LeadCheck.LeadQuestion.TONE
                        ? "probes together, tone"
                        : "probes together, resistance",
                TestStep.Measurement::name,
                RecordViews::action);
    }
}
