package zestymarten.web.record;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import zestymarten.core.assembly.Access;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Connector;
import zestymarten.core.judgement.Expectation;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.testplan.CoverageAnalysis;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Moisture;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.Entry;
import zestymarten.core.testrun.StepState;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.platform.Words;

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
            said.add(Words.say("not_shown_words.insulation_was_not_tested", asked));
        }
        if (test.approach().moisture() != Moisture.NONE && test.size(Stage.WET) == 0) {
            said.add(Words.say("not_shown_words.nothing_was_tested_water"));
        }
        if (test.approach().withstand().isPresent() && test.size(Stage.WITHSTAND) == 0) {
            said.add(Words.say("not_shown_words.was_not_tried_whether"));
        }
    }

    private void method() {
        CoverageAnalysis coverage = test.coverage();
        for (CoverageAnalysis.PossibleFault kind : CoverageAnalysis.PossibleFault.values()) {
            CoverageAnalysis.Count count = coverage.counts().getOrDefault(kind, new CoverageAnalysis.Count(0, 0));
            if (count.seen() < count.all()) {
                said.add(Words.say(
                        "not_shown_words.possible_measurements_made_would", count.all(), kind.many(), count.seen()));
            }
        }
        test.design().assembly().components().stream()
                .filter(part -> part.kind() == Component.ComponentKind.DIODE && !isRead(part))
                .forEach(part -> said.add(Words.say("not_shown_words.diode_ohm_range_proves", part.id())));
        if (test.approach().quick()) {
            said.add(Words.say("not_shown_words.resistance_only_nothing_was"));
        }
    }

    private boolean isRead(Component diode) {
        return test.steps(Stage.DIODES)
                        .filter(step -> step instanceof TestStep.Measurement measurement
                                && measurement.isOn(diode.a())
                                && measurement.isOn(diode.b())
                                && test.isDone(step)
                                && test.state(step) != StepState.SKIPPED)
                        .count()
                == 2;
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
            said.add(Words.say("not_shown_words.mating_faces_contacts_were", back));
        }
    }

    private void tones() {
        String threshold = Words.figure(test.conditions().meter().toneBelowOhm(), "Ω");
        long tones = count(Stage.CONTINUITY, MeterReading.Tone.class::isInstance);
        if (tones > 0) {
            said.add(Words.say("not_shown_words.passed_on_tone_only", tones, threshold));
        }
        long silent = count(Stage.SHORTS, MeterReading.Silent.class::isInstance)
                + count(Stage.FRAME, MeterReading.Silent.class::isInstance);
        if (silent > 0) {
            said.add(Words.say("not_shown_words.no_beep_on_tone", silent, threshold));
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
                        && entry.step() instanceof TestStep.Measurement measurement
                        && test.expectation(measurement) instanceof Expectation.Joined joined
                        && test.conditions().leadsExceed(joined.limit().high()))
                .count();
        if (small > 0) {
            said.add(Words.say("not_shown_words.measured_test_leads_more", small));
        }
    }

    /** A part that cures is no reading of the old one. */
    private void substitutes() {
        for (Entry entry : test.entries()) {
            boolean cured = entry.stands()
                    && entry.step() instanceof TestStep.ManualStep manual
                    && (manual.action() == ManualAction.SUBSTITUTED || manual.action() == ManualAction.REPLUGGED)
                    && test.state(manual) == StepState.MARGINAL;
            if (cured) {
                Message part = ((TestStep.ManualStep) entry.step()).subject().words();
                said.add(
                        ((TestStep.ManualStep) entry.step()).action() == ManualAction.SUBSTITUTED
                                ? Words.say("not_shown_words.diagnosis_works_another_one", part)
                                : Words.say("not_shown_words.why_failed_works_since", part));
            }
        }
    }

    private void skipped() {
        String skipped = test.entries().stream()
                .filter(entry -> entry.stands() && entry.content() instanceof Entry.Content.Skip)
                .map(entry ->
                        Words.say(entry.step().title()) + " (" + ((Entry.Content.Skip) entry.content()).reason() + ")")
                .collect(Collectors.joining("; "));
        if (!skipped.isEmpty()) {
            said.add(Words.say("not_shown_words.skipped", skipped));
        }
    }
}
