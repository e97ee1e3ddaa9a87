package zestymarten.web.testrun;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.insulation.Absorption;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Moisture;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.Entry;
import zestymarten.core.testrun.StepState;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.drawing.BandDrawing;
import zestymarten.web.drawing.StepDrawing;
import zestymarten.web.drawing.TrendDrawing;
import zestymarten.web.platform.RecommendationWords;
import zestymarten.web.platform.Words;

/** Puts the step at hand into words and drawings. */
final class StepViews {
    private static final int NEIGHBOURS = 2;
    /** How far back readings of the same stage are looked for, to be shown beside the limit. */
    private static final int RECENT = 600;

    private static final Message READING = Message.of("step_views.type_what_meter_shows");

    private StepViews() {}

    static RunView.StepView view(TestRun test, TestStep step, Optional<Entry> stays, boolean mating) {
        return step.fold(
                probes -> probes(test, probes),
                measurement -> measurement(test, measurement, stays, mating),
                manual -> manual(test, manual, mating));
    }

    /** Stand for the two probes until the sentence around them is known. */
    private static final String BLACK = "\uE001";

    private static final String RED = "\uE002";

    /** A step in words alone: what to do, and why. */
    record StepWords(String sentence, String why) {}

    static StepWords words(TestRun test, TestStep step) {
        return step.fold(
                probes -> of(probes(test, probes)),
                measurement -> {
                    RunView.Sentence said = sentence(measurement);
                    List<Conductor> route = test.design().nets().route(measurement.black(), measurement.red());
                    return new StepWords(said.plain(), StepReasons.of(test, measurement, route));
                },
                manual -> new StepWords(
                        ManualStepWords.of(test, manual).sentence(),
                        ManualStepWords.of(test, manual).why()));
    }

    private static StepWords of(RunView.StepView view) {
        return new StepWords(view.sentence().plain(), view.why());
    }

    private static RunView.StepView manual(TestRun test, TestStep.ManualStep manual, boolean mating) {
        ManualStepWords words = ManualStepWords.of(test, manual);
        boolean choice = manual.action() == ManualAction.SYMPTOM || manual.action() == ManualAction.FUNCTION;
        boolean byWords = manual.action().isByWords() && !choice;
        Optional<String> asks = test.isDone(manual) ? Optional.empty() : lastReason(test, manual);
        return new RunView.StepView(
                StepForm.of(manual),
                test.nextAttempt(manual),
                new RunView.Sentence(words.sentence(), "", "", "", ""),
                words.why(),
                asks,
                picture(test, manual, mating),
                Optional.empty(),
                Optional.empty(),
                List.of(),
                byWords,
                hint(manual, choice),
                ManualStepWords.choices(manual),
                List.of());
    }

    private static String hint(TestStep.ManualStep manual, boolean choice) {
        return choice
                ? Words.say("step_views.key_or_word")
                : switch (manual.action().answer()) {
                    case WORDS -> Words.say("step_views.enter_done_or_note");
                    case CELSIUS -> Words.say("step_views.or");
                    case VOLTS, OHMS, REPAIR -> Words.say(READING);
                };
    }

    private static RunView.StepView probes(TestRun test, TestStep.LeadCheck probes) {
        boolean tone = probes.question() == TestStep.LeadCheck.LeadQuestion.TONE;
        return new RunView.StepView(
                StepForm.of(probes),
                test.nextAttempt(probes),
                tone
                        ? new RunView.Sentence(Words.say("step_views.touch_probes_together_does"), "", "", "", "")
                        : new RunView.Sentence(Words.say("step_views.still_together_what_do"), "", "", "", ""),
                tone
                        ? Words.say("step_views.press_if_beeps_if")
                        : Words.say(
                                "step_views.every_reading_includes_test",
                                test.conditions().policy().words()),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                List.of(),
                false,
                Words.say(READING),
                List.of(),
                List.of());
    }

    /** The face of the connector that a manual step concerns; of the far end while it is linked and freed. */
    private static Optional<StepDrawing> picture(TestRun test, TestStep.ManualStep manual, boolean mating) {
        Assembly assembly = test.design().assembly();
        List<Terminal> far = test.plan().farEnds();
        boolean link = manual.action() == ManualAction.LINK_FAR_ENDS;
        String connector = (link || manual.action() == ManualAction.UNLINK_FAR_ENDS) && !far.isEmpty()
                ? far.get(0).connector()
                : manual.subject().code();
        return assembly.connector(connector)
                .map(each -> StepDrawing.of(assembly, each, link ? List.of(far) : List.of(), mating));
    }

    private static RunView.StepView measurement(
            TestRun test, TestStep.Measurement measurement, Optional<Entry> stays, boolean mating) {
        Assembly assembly = test.design().assembly();
        List<Conductor> route = test.design().nets().route(measurement.black(), measurement.red());
        OptionalDouble reading =
                stays.flatMap(test::judgement).map(BandDrawing::place).orElse(OptionalDouble.empty());
        return new RunView.StepView(
                StepForm.of(measurement),
                test.nextAttempt(measurement),
                sentence(measurement),
                StepReasons.of(test, measurement, route),
                asks(test, measurement),
                Optional.of(StepDrawing.of(assembly, measurement, route, mating)),
                measurement.isInOhms() ? Optional.of(band(test, measurement, reading)) : Optional.empty(),
                curve(test, measurement),
                Stream.of(pad(assembly, "black", measurement.black()), pad(assembly, "red", measurement.red()))
                        .toList(),
                false,
                hint(measurement),
                List.of(),
                places(test, measurement));
    }

    /** Where along the way something may happen, in the order in which it is tried. */
    private static List<String> places(TestRun test, TestStep.Measurement measurement) {
        List<String> zones = test.design().assembly().conductors().stream()
                .filter(each -> measurement.stage() == Stage.WET
                        || measurement.isOn(each.from())
                        || measurement.isOn(each.to()))
                .flatMap(each -> each.zone().stream())
                .distinct()
                .map(each -> Words.say("step_views.stretch", each))
                .toList();
        boolean mist = measurement.stage() == Stage.WET && test.approach().moisture() == Moisture.MIST;
        return measurement.stage() == Stage.WIGGLE && measurement.state().isEmpty()
                ? Stream.of(
                                Stream.of(Words.say(
                                        "step_views.end", measurement.black().connector())),
                                zones.isEmpty() ? Stream.of(Words.say("step_views.run_between")) : zones.stream(),
                                Stream.of(Words.say(
                                        "step_views.end", measurement.red().connector())))
                        .flatMap(each -> each)
                        .toList()
                : mist
                        ? Stream.concat(zones.stream(), Stream.of(Words.say("step_views.ends")))
                                .toList()
                        : List.of();
    }

    private static String hint(TestStep.Measurement measurement) {
        if (measurement.isInOhms()) {
            return Words.say(READING);
        }
        if (measurement.isOnDiodeRange()) {
            return Words.say("step_views.volts_or_ol");
        }
        return measurement.stage() == Stage.WITHSTAND ? Words.say("step_views.ma_or_trip") : "320M, or 320M@15";
    }

    /** Ohms over the time under voltage, on a scale of its logarithm; from two readings on. */
    private static Optional<TrendDrawing> curve(TestRun test, TestStep.Measurement measurement) {
        List<Absorption.AbsorptionPoint> points = test.absorption(measurement).points();
        return points.size() < 2
                ? Optional.empty()
                : Optional.of(TrendDrawing.of(
                        points.stream()
                                .map(each -> new TrendDrawing.TrendValue(
                                        Math.log10(each.seconds()),
                                        each.ohm(),
                                        Words.say(
                                                "step_views.after",
                                                Message.figure(each.ohm(), "Ω"),
                                                Message.figure(each.seconds(), "s"))))
                                .toList(),
                        "Ω"));
    }

    private static RunView.Sentence sentence(TestStep.Measurement measurement) {
        String whole = Words.say(
                "step_views.probes",
                !measurement.state().isEmpty(),
                measurement.state(),
                BLACK,
                RED,
                Message.of(after(measurement)));
        String[] parts = whole.split(BLACK + "|" + RED, -1);
        return new RunView.Sentence(
                parts[0],
                measurement.black().name(),
                parts[1],
                measurement.red().isFrame()
                        ? Words.say("step_views.frame")
                        : measurement.red().name(),
                parts[2]);
    }

    /** What is done with the probes on. */
    private static String after(TestStep.Measurement measurement) {
        return switch (measurement.stage()) {
            case WIGGLE -> measurement.state().isEmpty() ? "step_views.move_wire" : "step_views.watch_reading";
            case WET -> measurement.isLinked() ? "step_views.mist" : "step_views.water";
            case DIODES -> "step_views.on_diode_range";
            case INSULATION, WITHSTAND ->
                measurement.red().isFrame() ? "step_views.voltage_on" : "step_views.before_voltage";
            default -> measurement.isLinked() ? "step_views.linked_as_below" : "step_views.nothing_else";
        };
    }

    /** The band of a measurement with the like readings of its stage, and a reading on it. */
    static BandDrawing band(TestRun test, TestStep.Measurement measurement, OptionalDouble reading) {
        List<Entry> entries = test.entries();
        List<Double> like = entries.subList(Math.max(0, entries.size() - RECENT), entries.size()).stream()
                .filter(entry -> entry.stands()
                        && entry.step().stage() == measurement.stage()
                        && !entry.step().equals(measurement))
                .flatMap(entry -> test.judgement(entry).stream())
                .filter(judgement -> judgement.correctedOhm().isPresent())
                .map(judgement -> judgement.correctedOhm().getAsDouble())
                .toList();
        return BandDrawing.of(
                test.expectation(measurement),
                test.conditions().joinedBelowOhm(),
                like.subList(Math.max(0, like.size() - 60), like.size()),
                reading);
    }

    private static Optional<String> asks(TestRun test, TestStep.Measurement measurement) {
        if (test.asksForCleanMetal(measurement)) {
            return Optional.of(Words.say("step_views.read_open_scrape_clean"));
        }
        if (test.state(measurement) == StepState.NOT_TESTED) {
            return test.settledBy(measurement)
                    .map(next -> Words.say("step_views.what_read_otherwise_than", RecommendationWords.why(next)));
        }
        if (test.state(measurement) != StepState.DOUBTFUL || test.isDone(measurement)) {
            return Optional.empty();
        }
        boolean doubted = test.entriesOf(measurement).stream()
                .reduce((first, last) -> last)
                .flatMap(test::judgement)
                .filter(each -> each.verdict() == Judgement.Verdict.DOUBTFUL)
                .isPresent();
        if (measurement.isUnderVoltage() && !doubted) {
            return Optional.of(
                    measurement.stage() == Stage.WITHSTAND
                            ? Words.say("step_views.time_not_over_hold")
                            : Words.say("step_views.still_charging_hold_on"));
        }
        boolean tone = test.entriesOf(measurement).stream()
                .reduce((first, last) -> last)
                .filter(last -> last.content() instanceof Entry.Content.Reading reading
                        && reading.meaning() instanceof MeterReading.Tone)
                .isPresent();
        return tone ? Optional.of(Words.say("step_views.that_did_not_settle")) : lastReason(test, measurement);
    }

    /** Why the last reading of a step does not settle it. */
    private static Optional<String> lastReason(TestRun test, TestStep step) {
        return test.entriesOf(step).stream()
                .reduce((first, last) -> last)
                .flatMap(test::judgement)
                .map(each -> Words.say(each.reason()));
    }

    private static RunView.Pad pad(Assembly assembly, String probe, Terminal terminal) {
        List<String> pins = assembly.connector(terminal.connector())
                .map(connector -> connector.pins())
                .orElse(List.of(terminal.name()));
        int at = Math.max(0, pins.indexOf(terminal.isPin() ? terminal.pin() : terminal.name()));
        return new RunView.Pad(
                probe,
                terminal.isFrame() ? Words.say("step_views.frame_pad") : terminal.connector(),
                pins.subList(Math.max(0, at - NEIGHBOURS), at),
                pins.get(at),
                pins.subList(at + 1, Math.min(pins.size(), at + 1 + NEIGHBOURS)));
    }
}
