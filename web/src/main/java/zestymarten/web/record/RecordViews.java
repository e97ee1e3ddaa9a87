package zestymarten.web.record;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import zestymarten.core.analysis.ImpliedPairs;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.judgement.Expectation;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.limit.InsulationLimit;
import zestymarten.core.limit.Limit;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MessageArgument;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.Entry;
import zestymarten.core.testrun.Rules;
import zestymarten.core.testrun.RunFinding;
import zestymarten.core.testrun.RunOutcome;
import zestymarten.core.testrun.StepState;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.drawing.AssemblyDrawing;
import zestymarten.web.platform.Times;
import zestymarten.web.platform.Words;
import zestymarten.web.testrun.RunSnapshot;

/** Puts a run into the words and figures of its certificate. */
@Component
class RecordViews {
    private static final int MAX_IMPLIED = 200;

    RecordView view(RunSnapshot run, RecordResult result) {
        TestRun test = run.test();
        RunOutcome outcome = run.ended().map(RunSnapshot.RunEnd::outcome).orElseGet(test::outcome);
        TestConditions conditions = test.conditions();
        return new RecordView(
                run.id(),
                !run.isUnderWay(),
                run.serial(),
                run.assembly(),
                run.revision().assemblyId(),
                Words.say(
                        "record_views.revision",
                        run.revision().number(),
                        Times.minute(run.revision().createdAt())),
                meter(conditions.meter()),
                leads(conditions),
                conditions.guarded()
                        ? Words.say("record_views.guarded_reading_within_limit")
                        : Words.say("record_views.simple_up_limit_passes"),
                EngineeringFormat.figure(conditions.ambientC()) + " °C",
                Words.say("record_views.by", Times.stamp(run.startedAt()), run.startedBy()),
                run.ended()
                        .map(end -> Words.say("record_views.by", Times.stamp(end.at()), end.by()))
                        .orElse(Words.say("record_views.under_way_not_certificate")),
                Words.say(outcome),
                outcome.state().code(),
                Words.say(
                        "record_views.method",
                        test.approach().method().title(),
                        test.approach().quick()),
                result,
                AssemblyDrawing.of(
                        test.design().assembly(),
                        test.findings().stream().map(RunFinding::finding).toList()));
    }

    /** What the record says was found, by the rules of today. */
    RecordResult result(RunSnapshot run) {
        TestRun test = run.test();
        List<RunFinding> findings = test.findings();
        RunOutcome outcome = run.ended().map(RunSnapshot.RunEnd::outcome).orElseGet(test::outcome);
        return new RecordResult(
                Rules.VERSION,
                summary(outcome, findings.size(), test.asFound().size(), test.left()),
                NotShownWords.by(test),
                test.implied(MAX_IMPLIED).stream().map(RecordViews::implied).toList(),
                test.asFound().stream().map(RecordViews::finding).toList(),
                findings.stream().map(RecordViews::finding).toList(),
                test.repairs().stream().map(each -> repair(test, each)).toList(),
                symptoms(test),
                insulation(test),
                test.entries().stream().map(entry -> reading(test, entry)).toList());
    }

    private static String implied(ImpliedPairs.ImpliedPair pair) {
        return Words.say(
                "record_views.from_no",
                pair.a(),
                pair.b(),
                pair.joined(),
                pair.from().stream().map(String::valueOf).collect(Collectors.joining(", ")));
    }

    private static String meter(MeterProfile meter) {
        return Words.say(
                "record_views.reading_resolution_tone_below",
                meter.name(),
                EngineeringFormat.figure(meter.accuracy() * 100),
                Message.figure(meter.resolutionOhm(), "Ω"),
                Message.figure(meter.toneBelowOhm(), "Ω"),
                Message.figure(meter.topOhm(), "Ω"));
    }

    private static String leads(TestConditions conditions) {
        return conditions.leadsOhm().isEmpty()
                ? Words.say("record_views.not_read")
                : Words.say(
                        "record_views.leads",
                        Message.figure(conditions.leadsOhm().getAsDouble(), "Ω"),
                        conditions.policy().words());
    }

    private static String summary(RunOutcome outcome, int findings, int repaired, long left) {
        String untested = left == 0 ? "" : Words.say("record_views.not_made", left);
        return switch (outcome) {
            case PASS ->
                repaired > 0
                        ? Words.say("record_views.found_and_repaired", repaired)
                        : Words.say("record_views.everything_was_tested_nothing");
            case MARGINAL ->
                (repaired > 0 ? Words.say("record_views.found_and_repaired", repaired) + " " : "")
                        + Words.say("record_views.everything_was_tested_passes");
            case FAIL -> Words.say("record_views.faults_were_found", findings) + untested;
            case INCOMPLETE -> Words.say("record_views.nothing_known_be_wrong", untested);
        };
    }

    private static RecordResult.FindingLine finding(RunFinding found) {
        return new RecordResult.FindingLine(
                found.finding().kind(),
                Words.say(found.finding().word()),
                Words.say(found.finding().message()),
                found.evidence().stream().map(RecordViews::number).collect(Collectors.joining(", ")),
                String.join(", ", found.functionsLost()),
                found.finding().named());
    }

    /** The number of a reading, with the position in which it was taken where that is not the usual one. */
    private static String number(Entry entry) {
        return entry.step() instanceof TestStep.Measurement measurement
                        && !measurement.state().isEmpty()
                ? Words.say("record_views.no_in", entry.sequence(), measurement.state())
                : Words.say("record_views.no", entry.sequence());
    }

    private static RecordResult.ReadingLine reading(TestRun test, Entry entry) {
        Optional<Judgement> judgement = test.judgement(entry);
        Optional<Limit> limit = entry.step() instanceof TestStep.Measurement measurement
                        && measurement.isInOhms()
                        && test.expectation(measurement) instanceof Expectation.Joined joined
                ? Optional.of(joined.limit())
                : Optional.empty();
        String corrected = judgement
                .filter(each -> each.correctedOhm().isPresent())
                .map(each -> EngineeringFormat.figure(each.correctedOhm().getAsDouble()))
                .orElse("");
        Optional<Entry.Content.Reading> typed =
                entry.content() instanceof Entry.Content.Reading reading ? Optional.of(reading) : Optional.empty();
        Optional<InsulationLimit> minimum = entry.step() instanceof TestStep.Measurement measurement
                        && measurement.isUnderVoltage()
                        && measurement.stage() != Stage.WITHSTAND
                ? Optional.of(test.minimum(measurement))
                : Optional.empty();
        boolean apart =
                entry.step() instanceof TestStep.Measurement measurement && measurement.isInOhms() && limit.isEmpty();
        return new RecordResult.ReadingLine(
                entry.sequence(),
                Words.say(entry.step().stage().title()),
                entry.step()
                        .fold(
                                probes -> "",
                                measurement -> measurement.black().name(),
                                manual -> Words.say(manual.title())),
                entry.step() instanceof TestStep.Measurement measurement
                        ? measurement.red().name()
                        : "",
                setup(entry.step()),
                entry.step() instanceof TestStep.Measurement measurement
                                && !measurement.state().isEmpty()
                        ? measurement.state()
                        : RecordResult.AT_REST,
                typed.map(Entry.Content.Reading::asTyped).orElse(""),
                Words.say(test.words(entry)),
                typed.map(each -> figure(each.meaning())).orElse(""),
                typed.map(each -> unit(each.meaning())).orElse(""),
                typed.map(each -> qualifier(each.meaning())).orElse(unread(entry)),
                corrected,
                judgement
                        .filter(each -> each.correctedOhm().isPresent())
                        .map(each -> Words.figure(each.correctedOhm().getAsDouble(), "Ω"))
                        .orElse(""),
                limit.map(each -> EngineeringFormat.figure(each.low().value()))
                        .or(() -> minimum.map(
                                each -> EngineeringFormat.figure(each.minimum().value())))
                        .orElse(""),
                limit.map(each -> EngineeringFormat.figure(each.high().value())).orElse(""),
                limit.map(each -> Words.say("record_views.maximum", each.high()))
                        .or(() -> minimum.map(each -> Words.say("record_views.minimum", each.minimum())))
                        .orElse(apart ? Words.say("record_views.apart") : ""),
                limit.map(each -> Words.say(each.derivation()))
                        .or(() -> minimum.map(each -> Words.say(each.derivation())))
                        .or(() -> withstand(test, entry))
                        .or(() -> diode(test, entry))
                        .orElse(apart ? Words.say("record_views.assembly_joins_them_nowhere") : ""),
                judgement.map(each -> Words.say(each.verdict())).orElse(unread(entry)),
                judgement
                        .map(each -> StepState.of(each.verdict()).code())
                        .orElse(entry.content() instanceof Entry.Content.Skip ? "skipped" : "pass"),
                entry.takenBack(),
                entry.at().toString(),
                entry.by());
    }

    private static Optional<String> diode(TestRun test, Entry entry) {
        return entry.step() instanceof TestStep.Measurement measurement && measurement.isOnDiodeRange()
                ? Optional.of(
                        test.isForwards(measurement)
                                ? Words.say(
                                        "record_views.forward_voltage",
                                        Message.figure(
                                                test.diodeRule(measurement).minimum(), "V"),
                                        Message.figure(
                                                test.diodeRule(measurement).maximum(), "V"))
                                : Words.say("record_views.blocks"))
                : Optional.empty();
    }

    private static Optional<String> withstand(TestRun test, Entry entry) {
        boolean asked = entry.step() instanceof TestStep.Measurement measurement
                && measurement.isUnderVoltage()
                && measurement.stage() == Stage.WITHSTAND;
        return asked
                ? test.approach()
                        .withstand()
                        .map(rule -> Words.say(
                                "record_views.maximum_leakage_figure_given",
                                Message.figure(rule.maxA(), "A"),
                                Message.figure(rule.volts(), "V"),
                                rule.alternates()))
                : Optional.empty();
    }

    /** What the readings over the time under voltage say of each piece. */
    private static List<String> insulation(TestRun test) {
        return test.steps(Stage.INSULATION)
                .filter(step -> step instanceof TestStep.Measurement measurement
                        && measurement.red().isFrame())
                .map(TestStep.Measurement.class::cast)
                .filter(measurement -> !test.absorption(measurement).points().isEmpty())
                .map(measurement -> insulation(test, measurement))
                .toList();
    }

    private static String insulation(TestRun test, TestStep.Measurement measurement) {
        List<Message> points = test.absorption(measurement).points().stream()
                .map(each -> Message.of(
                        "record_views.after", Message.figure(each.ohm(), "Ω"), Message.figure(each.seconds(), "s")))
                .toList();
        return Words.say(
                "record_views.insulation",
                measurement.black(),
                Message.list(MessageArgument.Listing.Link.COMMA, points),
                Message.sentences(test.absorption(measurement)
                        .said(test.conditions().ambientC())
                        .toArray()));
    }

    private static String symptoms(TestRun test) {
        if (!test.symptoms().isOfSomething()) {
            return Words.say("record_views.none_reported");
        }
        List<String> left = test.unexplained();
        return left.isEmpty()
                ? Words.say("record_views.all_explained")
                : Words.say("record_views.not_explained", String.join(", ", left));
    }

    private static String unread(Entry entry) {
        return Words.say(entry.content() instanceof Entry.Content.Skip ? "record_views.skipped" : "record_views.done");
    }

    private static String setup(TestStep step) {
        return step instanceof TestStep.Measurement measurement
                ? measurement.links().stream()
                        .map(link -> link.stream().map(Terminal::name).collect(Collectors.joining("+")))
                        .collect(Collectors.joining(" "))
                : "";
    }

    private static String unit(MeterReading meaning) {
        MeterReading.Unit unit = meaning instanceof MeterReading.Value value ? value.unit() : MeterReading.Unit.OHM;
        return figure(meaning).isEmpty() ? "" : unit.name().toLowerCase(Locale.ROOT);
    }

    private static RecordResult.RepairLine repair(TestRun test, Entry entry) {
        Entry.Content.Repair repair = (Entry.Content.Repair) entry.content();
        return new RecordResult.RepairLine(
                Words.say("record_views.no", entry.sequence()),
                Words.say(
                        "record_views.repair",
                        ((TestStep.ManualStep) entry.step()).subject().words(),
                        test.words(entry)),
                repair.cause(),
                repair.prevention(),
                entry.by());
    }

    private static String figure(MeterReading meaning) {
        return meaning.figure().isPresent()
                ? EngineeringFormat.figure(meaning.figure().getAsDouble())
                : "";
    }

    private static String qualifier(MeterReading meaning) {
        return meaning instanceof MeterReading.Value ? "" : meaning.kind();
    }
}
