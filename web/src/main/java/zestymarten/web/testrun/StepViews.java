package zestymarten.web.testrun;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Colour;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.insulation.Absorption;
import zestymarten.core.insulation.WithstandJudge;
import zestymarten.core.judgement.Expectation;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.limit.WithstandRule;
import zestymarten.core.quantity.EngineeringFormat;
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

/** Puts the step at hand into words and drawings. */
final class StepViews {
    private static final int NEIGHBOURS = 2;
    /** How far back readings of the same stage are looked for, to be shown beside the limit. */
    private static final int RECENT = 600;

    private static final String READING = "type what the meter shows";

    private StepViews() {}

    static RunView.StepView view(TestRun test, TestStep step, Optional<Entry> stays, boolean mating) {
        return step.fold(
                probes -> probes(test, probes),
                touch -> touch(test, touch, stays, mating),
                act -> act(test, act, mating));
    }

    /** A step in words alone: what to do, and why. */
    record StepWords(String sentence, String why) {}

    static StepWords words(TestRun test, TestStep step) {
        return step.fold(
                probes -> of(probes(test, probes)),
                touch -> {
                    RunView.Sentence said = sentence(touch);
                    List<Conductor> route = test.design().nets().route(touch.black(), touch.red());
                    return new StepWords(said.plain(), why(test, touch, route));
                },
                act -> new StepWords(
                        ManualStepWords.of(test, act).sentence(),
                        ManualStepWords.of(test, act).why()));
    }

    private static StepWords of(RunView.StepView view) {
        return new StepWords(view.sentence().plain(), view.why());
    }

    private static RunView.StepView act(TestRun test, TestStep.ManualStep act, boolean mating) {
        ManualStepWords words = ManualStepWords.of(test, act);
        boolean choice = act.action() == ManualAction.COMPLAINT || act.action() == ManualAction.FUNCTION;
        boolean byWords = act.action().isByWords() && !choice;
        Optional<String> asks = test.isDone(act) ? Optional.empty() : lastReason(test, act);
        return new RunView.StepView(
                StepForm.of(act),
                test.nextTouch(act),
                new RunView.Sentence(words.sentence(), "", "", "", ""),
                words.why(),
                asks,
                picture(test, act, mating),
                Optional.empty(),
                Optional.empty(),
                List.of(),
                byWords,
                hint(act, choice),
                words.choices(),
                List.of());
    }

    private static String hint(TestStep.ManualStep act, boolean choice) {
        return choice
                ? "a key, or the word"
                : switch (act.action().answer()) {
                    case WORDS -> "Enter: done, or a note";
                    case CELSIUS -> "°C, or °F with an F";
                    case VOLTS, OHMS, REPAIR -> READING;
                };
    }

    private static RunView.StepView probes(TestRun test, TestStep.LeadCheck probes) {
        boolean tone = probes.question() == TestStep.LeadCheck.LeadQuestion.TONE;
        return new RunView.StepView(
                StepForm.of(probes),
                test.nextTouch(probes),
                tone
                        ? new RunView.Sentence("Touch the probes together. Does the meter beep?", "", "", "", "")
                        : new RunView.Sentence("Still together: what do the leads read?", "", "", "", ""),
                tone
                        ? "Press b if it beeps, n if it does not. A meter that does not beep now would show every wire as open."
                        : "Every reading includes the test-lead resistance. In this test "
                                + test.conditions().policy().words() + ". Flex the leads: the figure must not move.",
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                List.of(),
                false,
                READING,
                List.of(),
                List.of());
    }

    /** The face of the connector that a deed concerns; of the far end while it is tied and freed. */
    private static Optional<StepDrawing> picture(TestRun test, TestStep.ManualStep act, boolean mating) {
        Assembly assembly = test.design().assembly();
        List<Terminal> far = test.plan().farEnds();
        boolean tie = act.action() == ManualAction.TIED;
        String connector = (tie || act.action() == ManualAction.FREED) && !far.isEmpty()
                ? far.get(0).connector()
                : act.subject();
        return assembly.connector(connector)
                .map(each -> StepDrawing.of(assembly, each, tie ? List.of(far) : List.of(), mating));
    }

    private static RunView.StepView touch(
            TestRun test, TestStep.Measurement touch, Optional<Entry> stays, boolean mating) {
        Assembly assembly = test.design().assembly();
        List<Conductor> route = test.design().nets().route(touch.black(), touch.red());
        OptionalDouble reading =
                stays.flatMap(test::judgement).map(BandDrawing::place).orElse(OptionalDouble.empty());
        return new RunView.StepView(
                StepForm.of(touch),
                test.nextTouch(touch),
                sentence(touch),
                why(test, touch, route),
                asks(test, touch),
                Optional.of(StepDrawing.of(assembly, touch, route, mating)),
                touch.isUnderVoltage() ? Optional.empty() : Optional.of(band(test, touch, reading)),
                curve(test, touch),
                Stream.of(pad(assembly, "black", touch.black()), pad(assembly, "red", touch.red()))
                        .toList(),
                false,
                touch.isUnderVoltage() ? underVoltageHint(touch) : READING,
                List.of(),
                places(test, touch));
    }

    /** Where along the way something may happen, in the order in which it is tried. */
    private static List<String> places(TestRun test, TestStep.Measurement touch) {
        List<String> zones = test.design().assembly().conductors().stream()
                .filter(each -> touch.stage() == Stage.WET || touch.isOn(each.from()) || touch.isOn(each.to()))
                .flatMap(each -> each.zone().stream())
                .distinct()
                .map(each -> "the " + each + " stretch")
                .toList();
        boolean mist = touch.stage() == Stage.WET && test.approach().moisture() == Moisture.MIST;
        return touch.stage() == Stage.BEND && touch.state().isEmpty()
                ? Stream.of(
                                Stream.of("the " + touch.black().connector() + " end"),
                                zones.isEmpty() ? Stream.of("the run between") : zones.stream(),
                                Stream.of("the " + touch.red().connector() + " end"))
                        .flatMap(each -> each)
                        .toList()
                : mist ? Stream.concat(zones.stream(), Stream.of("the ends")).toList() : List.of();
    }

    private static String underVoltageHint(TestStep.Measurement touch) {
        return touch.stage() == Stage.WITHSTAND ? "3.4mA, or trip" : "320M, or 320M@15";
    }

    /** Ohms over the time under voltage, on a scale of its logarithm; from two readings on. */
    private static Optional<TrendDrawing> curve(TestRun test, TestStep.Measurement touch) {
        List<Absorption.AbsorptionPoint> points = test.absorption(touch).points();
        return points.size() < 2
                ? Optional.empty()
                : Optional.of(TrendDrawing.of(
                        points.stream()
                                .map(each -> new TrendDrawing.TrendValue(
                                        Math.log10(each.seconds()),
                                        each.ohm(),
                                        EngineeringFormat.text(each.ohm(), "Ω") + " after "
                                                + EngineeringFormat.text(each.seconds(), "s")))
                                .toList(),
                        "Ω"));
    }

    private static RunView.Sentence sentence(TestStep.Measurement touch) {
        String after = switch (touch.stage()) {
            case BEND ->
                touch.state().isEmpty()
                        ? ". Hold on, and move the wire place by place."
                        : ". Hold on, and watch the reading.";
            case WET ->
                touch.isTied()
                        ? ". All wires together: test voltage on, mist place by place."
                        : " is the water here: test voltage on.";
            case INSULATION, WITHSTAND ->
                touch.red().isFrame()
                        ? ". All others linked to it: test voltage on."
                        : ". Through the clips, before the voltage: resistance.";
            default -> touch.isTied() ? ", linked as below." : ".";
        };
        return new RunView.Sentence(
                touch.state().isEmpty() ? "Black on " : "In '" + touch.state() + "': black on ",
                touch.black().name(),
                ", red on ",
                touch.red().isFrame() ? "the frame" : touch.red().name(),
                after);
    }

    /** The band of a touch with the like readings of its stage, and a reading on it. */
    static BandDrawing band(TestRun test, TestStep.Measurement touch, OptionalDouble reading) {
        List<Entry> entries = test.entries();
        List<Double> like = entries.subList(Math.max(0, entries.size() - RECENT), entries.size()).stream()
                .filter(entry -> entry.stands()
                        && entry.step().stage() == touch.stage()
                        && !entry.step().equals(touch))
                .flatMap(entry -> test.judgement(entry).stream())
                .filter(judgement -> judgement.correctedOhm().isPresent())
                .map(judgement -> judgement.correctedOhm().getAsDouble())
                .toList();
        return BandDrawing.of(
                test.expectation(touch),
                test.conditions().joinedBelowOhm(),
                like.subList(Math.max(0, like.size() - 60), like.size()),
                reading);
    }

    private static String why(TestRun test, TestStep.Measurement touch, List<Conductor> route) {
        String ties = touch.ties().stream()
                .map(tie -> "Linked: "
                        + tie.stream()
                                .map(each -> each.isFrame() ? "the frame" : each.name())
                                .collect(Collectors.joining(" "))
                        + ". ")
                .collect(Collectors.joining());
        String range = test.range(touch).isPresent()
                ? "Range " + EngineeringFormat.text(test.range(touch).getAsDouble(), "Ω") + ". "
                : "";
        return range + ties + reason(test, touch, route);
    }

    private static String reason(TestRun test, TestStep.Measurement touch, List<Conductor> route) {
        if (touch.isUnderVoltage()) {
            return underVoltage(test, touch);
        }
        Expectation expectation = test.expectation(touch);
        if (expectation instanceof Expectation.Joined joined) {
            String expects = joined.limit()
                    .nominal()
                    .map(nominal -> " Expect about " + nominal.text() + ".")
                    .orElse("");
            String named = route.isEmpty()
                    ? parts(joined)
                    : String.join(", ", route.stream().map(StepViews::described).toList());
            return named + "." + expects + " "
                    + joined.limit().derivation()
                    + test.conditions()
                            .leadsCaution(joined.limit().high())
                            .map(caution -> " " + caution)
                            .orElse("");
        }
        if (touch.stage() == Stage.FRAME) {
            return described(test, touch.black())
                    + " must be clear of the frame. Use bare metal: paint passes everything.";
        }
        boolean looseEnd = test.open().stream()
                .anyMatch(open -> List.of(touch.black(), touch.red()).stream()
                        .anyMatch(end -> open.black().equals(end) || open.red().equals(end)));
        return described(test, touch.black()) + " and " + described(test, touch.red()) + " must be apart."
                + (touch.isTied() ? " Continuity anywhere shows here; the pairs follow only then." : "")
                + (looseEnd ? " One of them is a loose end of a wire that read open: did it go elsewhere?" : "");
    }

    private static String underVoltage(TestRun test, TestStep.Measurement touch) {
        if (touch.stage() == Stage.WITHSTAND) {
            WithstandRule rule = test.approach().withstand().orElseThrow();
            return described(test, touch.black()) + " against everything else and the frame at "
                    + EngineeringFormat.text(rule.volts(), "V") + (rule.alternates() ? " AC" : " DC")
                    + ". Bring it up over 5 s, hold "
                    + EngineeringFormat.text(rule.seconds(), "s")
                    + ", type the current at the end, bring it down. At most "
                    + EngineeringFormat.text(rule.mostA(), "A") + " of leakage: the figure given for this test."
                    + WithstandJudge.charging(rule, test.design().lengthM(touch.black())).stream()
                            .mapToObj(each ->
                                    " Its length alone takes " + EngineeringFormat.text(each, "A") + " to charge.")
                            .collect(Collectors.joining())
                    + " Nobody touches anything.";
        }
        String what = touch.stage() == Stage.INSULATION
                ? described(test, touch.black()) + " against everything else and the frame at "
                : touch.isTied()
                        ? "All wires against the frame at "
                        : described(test, touch.black()) + " against the water at ";
        String how = touch.stage() == Stage.INSULATION
                ? " DC. Hold until it is steady, a long cable a minute or more. The clips were proved just before; touch nothing. "
                : touch.isTied()
                        ? " DC. Dead and disconnected; a fine mist on one place at a time. A drop marks the damage: type the figure. "
                        : " DC. Nobody touches the water. ";
        return what
                + EngineeringFormat.text(
                        test.approach().insulation().orElseThrow().testV(), "V") + how
                + test.least(touch).derivation() + " "
                + String.join(" ", test.absorption(touch).said(test.conditions().ambientC()));
    }

    private static String parts(Expectation.Joined joined) {
        return joined.isBridged() ? "Through " + String.join(", ", joined.parts()) : "Through the link";
    }

    private static String described(TestRun test, Terminal terminal) {
        return test.design().assembly().conductors().stream()
                .filter(each -> each.from().equals(terminal) || each.to().equals(terminal))
                .findFirst()
                .map(StepViews::described)
                .orElse("the empty cavity " + terminal);
    }

    private static String described(Conductor conductor) {
        StringBuilder text = new StringBuilder(conductor.id());
        conductor
                .colour()
                .map(Colour::words)
                .ifPresent(words -> text.append(" ").append(words));
        conductor
                .function()
                .ifPresent(function -> text.append(" (").append(function).append(")"));
        return text.toString();
    }

    private static Optional<String> asks(TestRun test, TestStep.Measurement touch) {
        if (test.asksForCleanMetal(touch)) {
            return Optional.of(
                    "It read open. Scrape to clean metal and measure once more; both readings are recorded.");
        }
        if (test.state(touch) == StepState.UNTESTED) {
            return test.settledBy(touch)
                    .map(next -> "What read otherwise than expected is settled first: this "
                            + RecommendationWords.why(next) + ".");
        }
        if (test.state(touch) != StepState.DOUBTFUL || test.isDone(touch)) {
            return Optional.empty();
        }
        boolean doubted = test.standing(touch).stream()
                .reduce((first, last) -> last)
                .flatMap(test::judgement)
                .filter(each -> each.verdict() == Judgement.Verdict.DOUBTFUL)
                .isPresent();
        if (touch.isUnderVoltage() && !doubted) {
            return Optional.of(
                    touch.stage() == Stage.WITHSTAND
                            ? "The time is not over: hold on, and read it at the end."
                            : "Still charging: hold on, and read it after a minute, such as 320M@60.");
        }
        boolean tone = test.standing(touch).stream()
                .reduce((first, last) -> last)
                .filter(last -> last.content() instanceof Entry.Content.Reading reading
                        && reading.meaning() instanceof MeterReading.Tone)
                .isPresent();
        return tone
                ? Optional.of("That did not settle it: this wire needs a figure. Enter the resistance.")
                : lastReason(test, touch);
    }

    /** Why the last reading of a step does not settle it. */
    private static Optional<String> lastReason(TestRun test, TestStep step) {
        return test.standing(step).stream()
                .reduce((first, last) -> last)
                .flatMap(test::judgement)
                .map(Judgement::reason);
    }

    private static RunView.Pad pad(Assembly assembly, String probe, Terminal terminal) {
        List<String> pins = assembly.connector(terminal.connector())
                .map(connector -> connector.pins())
                .orElse(List.of(terminal.name()));
        int at = Math.max(0, pins.indexOf(terminal.isPin() ? terminal.pin() : terminal.name()));
        return new RunView.Pad(
                probe,
                terminal.isFrame() ? "frame" : terminal.connector(),
                pins.subList(Math.max(0, at - NEIGHBOURS), at),
                pins.get(at),
                pins.subList(at + 1, Math.min(pins.size(), at + 1 + NEIGHBOURS)));
    }

    /** What a step is, shortly: the two terminals of a touch, the name of a deed. */
    static String shortly(TestStep step) {
        return step.fold(
                probes -> probes.question() == TestStep.LeadCheck.LeadQuestion.TONE
                        ? "probes, tone"
                        : "probes, resistance",
                TestStep.Measurement::name,
                ManualStepWords::shortly);
    }
}
