package zestymarten.web.testrun;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.insulation.WithstandJudge;
import zestymarten.core.judgement.Expectation;
import zestymarten.core.limit.WithstandRule;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MessageArgument;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.platform.Words;

/** Why a measurement is asked for: what is between the probes, what a good unit reads there and where the limit comes from. */
final class StepReasons {
    private StepReasons() {}

    static String of(TestRun test, TestStep.Measurement measurement, List<Conductor> route) {
        List<Object> sentences = new ArrayList<>();
        if (test.range(measurement).isPresent()) {
            sentences.add(Message.of(
                    "step_views.range", Message.figure(test.range(measurement).getAsDouble(), "Ω")));
        }
        measurement.links().forEach(link -> sentences.add(linked(link)));
        sentences.add(reason(test, measurement, route));
        return Words.say(Message.sentences(sentences.toArray()));
    }

    private static Message linked(List<Terminal> link) {
        return Message.of(
                "step_views.linked",
                link.stream()
                        .map(each -> each.isFrame() ? Words.say("step_views.frame") : each.name())
                        .collect(Collectors.joining(" ")));
    }

    private static Message reason(TestRun test, TestStep.Measurement measurement, List<Conductor> route) {
        if (measurement.isUnderVoltage()) {
            return measurement.stage() == Stage.WITHSTAND
                    ? withstand(test, measurement)
                    : insulation(test, measurement);
        }
        if (measurement.isOnDiodeRange()) {
            return diode(test, measurement);
        }
        Expectation expectation = test.expectation(measurement);
        if (expectation instanceof Expectation.Joined joined) {
            return expected(test, joined, route);
        }
        if (measurement.stage() == Stage.FRAME) {
            return Message.of("step_views.must_be_clear_frame", described(test, measurement.black()));
        }
        boolean looseEnd = test.open().stream()
                .anyMatch(open -> List.of(measurement.black(), measurement.red()).stream()
                        .anyMatch(end -> open.black().equals(end) || open.red().equals(end)));
        return Message.of(
                "step_views.must_be_apart",
                described(test, measurement.black()),
                described(test, measurement.red()),
                measurement.isLinked(),
                looseEnd);
    }

    private static Message expected(TestRun test, Expectation.Joined joined, List<Conductor> route) {
        Message named = route.isEmpty()
                ? parts(joined)
                : Message.of(
                        "step_views.route",
                        Message.list(
                                MessageArgument.Listing.Link.COMMA,
                                route.stream().map(StepReasons::described).toList()));
        return Message.sentences(
                named,
                joined.limit().nominal().map(nominal -> Message.of("step_views.expect_about", nominal)),
                joined.limit().derivation(),
                test.conditions().leadsCaution(joined.limit().high()));
    }

    private static Message diode(TestRun test, TestStep.Measurement measurement) {
        return Message.of(
                test.isForwards(measurement) ? "step_views.diode_conducts" : "step_views.diode_blocks",
                test.diode(measurement).id(),
                Message.figure(test.diodeRule(measurement).minimum(), "V"),
                Message.figure(test.diodeRule(measurement).maximum(), "V"));
    }

    private static Message withstand(TestRun test, TestStep.Measurement measurement) {
        WithstandRule rule = test.approach().withstand().orElseThrow();
        OptionalDouble charging = WithstandJudge.charging(rule, test.design().lengthM(measurement.black()));
        return Message.sentences(
                Message.of(
                        "step_views.withstand",
                        described(test, measurement.black()),
                        Message.figure(rule.volts(), "V"),
                        rule.alternates(),
                        Message.figure(rule.seconds(), "s"),
                        Message.figure(rule.maxA(), "A")),
                charging.isPresent()
                        ? Message.of("step_views.charging", Message.figure(charging.getAsDouble(), "A"))
                        : Message.NONE);
    }

    private static Message insulation(TestRun test, TestStep.Measurement measurement) {
        String what = measurement.stage() == Stage.INSULATION
                ? "step_views.insulation"
                : measurement.isLinked() ? "step_views.insulation_mist" : "step_views.insulation_water";
        double volts = test.approach().insulation().orElseThrow().testV();
        List<Object> sentences = new ArrayList<>();
        sentences.add(Message.of(what, described(test, measurement.black()), Message.figure(volts, "V")));
        sentences.add(test.minimum(measurement).derivation());
        sentences.addAll(test.absorption(measurement).said(test.conditions().ambientC()));
        return Message.sentences(sentences.toArray());
    }

    private static Message parts(Expectation.Joined joined) {
        return joined.isBridged()
                ? Message.of("step_views.through", Message.list(MessageArgument.Listing.Link.COMMA, joined.parts()))
                : Message.of("step_views.through_link");
    }

    private static String described(TestRun test, Terminal terminal) {
        return test.design().assembly().conductors().stream()
                .filter(each -> each.from().equals(terminal) || each.to().equals(terminal))
                .findFirst()
                .map(StepReasons::described)
                .orElse(Words.say("step_views.empty_cavity", terminal));
    }

    private static String described(Conductor conductor) {
        StringBuilder text = new StringBuilder(conductor.id());
        conductor
                .colour()
                .map(each -> Words.say(each.words()))
                .ifPresent(words -> text.append(" ").append(words));
        conductor
                .function()
                .ifPresent(function -> text.append(" (").append(function).append(")"));
        return text.toString();
    }
}
