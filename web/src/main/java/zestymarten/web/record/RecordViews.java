package zestymarten.web.record;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import zestymarten.core.analysis.Implied;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.judgement.Expectation;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.limit.InsulationLimit;
import zestymarten.core.limit.Limit;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.EngineeringFormat;
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
import zestymarten.web.testrun.RunSnapshot;

/** Puts a run into the words and figures of its certificate. */
@Component
class RecordViews {
    private static final int MOST_IMPLIED = 200;

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
                "revision " + run.revision().number() + " of "
                        + Times.minute(run.revision().createdAt()),
                meter(conditions.meter()),
                leads(conditions),
                conditions.guarded()
                        ? "guarded: reading + U within the limit passes, reading - U beyond it fails"
                        : "simple: up to the limit passes, within U of it is 'marginal'",
                EngineeringFormat.figure(conditions.ambientC()) + " °C",
                Times.stamp(run.startedAt()) + " by " + run.startedBy(),
                run.ended()
                        .map(end -> Times.stamp(end.at()) + " by " + end.by())
                        .orElse("under way: not a certificate yet"),
                outcome.word(),
                outcome.state().code(),
                test.approach().method().title() + (test.approach().quick() ? "; resistance only" : ""),
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
                summary(outcome, findings.size(), test.left()),
                NotShownWords.by(test),
                test.implied(MOST_IMPLIED).stream().map(RecordViews::implied).toList(),
                test.asFound().stream().map(RecordViews::finding).toList(),
                findings.stream().map(RecordViews::finding).toList(),
                test.repairs().stream().map(each -> repair(test, each)).toList(),
                complaint(test),
                insulation(test),
                test.entries().stream().map(entry -> reading(test, entry)).toList());
    }

    private static String implied(Implied.ImpliedPair pair) {
        return pair.a() + " – " + pair.b() + (pair.joined() ? ": continuity" : ": no continuity") + ", from no. "
                + pair.from().stream().map(String::valueOf).collect(Collectors.joining(", "));
    }

    private static String meter(MeterProfile meter) {
        return meter.name() + ": " + EngineeringFormat.figure(meter.accuracy() * 100) + " % of reading, "
                + EngineeringFormat.text(meter.resolutionOhm(), "Ω") + " resolution, tone below about "
                + EngineeringFormat.text(meter.toneBelowOhm(), "Ω") + ", up to "
                + EngineeringFormat.text(meter.topOhm(), "Ω");
    }

    private static String leads(TestConditions conditions) {
        return conditions.leadsOhm().isEmpty()
                ? "not read"
                : EngineeringFormat.text(conditions.leadsOhm().getAsDouble(), "Ω") + "; "
                        + conditions.policy().words();
    }

    private static String summary(RunOutcome outcome, int findings, long left) {
        String untested =
                left == 0 ? "" : " " + left + (left == 1 ? " measurement was" : " measurements were") + " not made.";
        return switch (outcome) {
            case PASS -> "Everything was tested and nothing was found.";
            case WATCH -> "Everything was tested and passes; marginal results are marked below.";
            case FAIL -> (findings == 1 ? "One fault was found." : findings + " faults were found.") + untested;
            case INCOMPLETE -> "Nothing is known to be wrong, but not everything was tested." + untested;
        };
    }

    private static RecordResult.FindingLine finding(RunFinding found) {
        return new RecordResult.FindingLine(
                found.finding().kind().replace('_', ' '),
                found.finding().text(),
                found.evidence().stream()
                        .map(entry -> "no. " + entry.sequence())
                        .collect(Collectors.joining(", ")),
                String.join(", ", found.functionsLost()),
                found.finding().named());
    }

    private static RecordResult.ReadingLine reading(TestRun test, Entry entry) {
        Optional<Judgement> judgement = test.judgement(entry);
        Optional<Limit> limit = entry.step() instanceof TestStep.Measurement touch
                        && !touch.isUnderVoltage()
                        && test.expectation(touch) instanceof Expectation.Joined joined
                ? Optional.of(joined.limit())
                : Optional.empty();
        String corrected = judgement
                .filter(each -> each.correctedOhm().isPresent())
                .map(each -> EngineeringFormat.figure(each.correctedOhm().getAsDouble()))
                .orElse("");
        Optional<Entry.Content.Reading> typed =
                entry.content() instanceof Entry.Content.Reading reading ? Optional.of(reading) : Optional.empty();
        Optional<InsulationLimit> least = entry.step() instanceof TestStep.Measurement touch
                        && touch.isUnderVoltage()
                        && touch.stage() != Stage.WITHSTAND
                ? Optional.of(test.least(touch))
                : Optional.empty();
        boolean apart =
                entry.step() instanceof TestStep.Measurement touch && !touch.isUnderVoltage() && limit.isEmpty();
        return new RecordResult.ReadingLine(
                entry.sequence(),
                entry.step().stage().title(),
                entry.step().fold(probes -> "", touch -> touch.black().name(), RecordViews::action),
                entry.step() instanceof TestStep.Measurement touch ? touch.red().name() : "",
                setup(entry.step()),
                entry.step() instanceof TestStep.Measurement touch
                                && !touch.state().isEmpty()
                        ? touch.state()
                        : "rest",
                typed.map(Entry.Content.Reading::asTyped).orElse(""),
                test.told(entry),
                typed.map(each -> figure(each.meaning())).orElse(""),
                typed.map(each -> unit(each.meaning())).orElse(""),
                typed.map(each -> qualifier(each.meaning())).orElse(unread(entry)),
                corrected,
                judgement
                        .filter(each -> each.correctedOhm().isPresent())
                        .map(each -> EngineeringFormat.text(each.correctedOhm().getAsDouble(), "Ω"))
                        .orElse(""),
                limit.map(each -> EngineeringFormat.figure(each.low().value()))
                        .or(() -> least.map(
                                each -> EngineeringFormat.figure(each.least().value())))
                        .orElse(""),
                limit.map(each -> EngineeringFormat.figure(each.high().value())).orElse(""),
                limit.map(each -> "maximum " + each.high().text())
                        .or(() -> least.map(each -> "minimum " + each.least().text()))
                        .orElse(apart ? "apart" : ""),
                limit.map(Limit::derivation)
                        .or(() -> least.map(InsulationLimit::derivation))
                        .or(() -> withstand(test, entry))
                        .orElse(apart ? "The assembly joins them nowhere." : ""),
                judgement.map(each -> each.verdict().word()).orElse(unread(entry)),
                judgement
                        .map(each -> StepState.of(each.verdict()).code())
                        .orElse(entry.content() instanceof Entry.Content.Skip ? "skipped" : "good"),
                entry.takenBack(),
                entry.at().toString(),
                entry.by());
    }

    private static Optional<String> withstand(TestRun test, Entry entry) {
        boolean asked = entry.step() instanceof TestStep.Measurement touch
                && touch.isUnderVoltage()
                && touch.stage() == Stage.WITHSTAND;
        return asked
                ? test.approach()
                        .withstand()
                        .map(rule -> "Maximum " + EngineeringFormat.text(rule.mostA(), "A") + " of leakage at "
                                + EngineeringFormat.text(rule.volts(), "V") + (rule.alternates() ? " AC" : " DC")
                                + ": the figure given for this test.")
                : Optional.empty();
    }

    /** What the readings over the time under voltage say of each piece. */
    private static List<String> insulation(TestRun test) {
        return test.steps(Stage.INSULATION)
                .filter(step -> step instanceof TestStep.Measurement touch
                        && touch.red().isFrame())
                .map(TestStep.Measurement.class::cast)
                .filter(touch -> !test.absorption(touch).points().isEmpty())
                .map(touch -> touch.black() + ": "
                        + test.absorption(touch).points().stream()
                                .map(each -> EngineeringFormat.text(each.ohm(), "Ω") + " after "
                                        + EngineeringFormat.text(each.seconds(), "s"))
                                .collect(Collectors.joining(", "))
                        + ". "
                        + String.join(
                                " ",
                                test.absorption(touch).said(test.conditions().ambientC())))
                .toList();
    }

    private static String complaint(TestRun test) {
        if (!test.complaint().isOfSomething()) {
            return "none reported";
        }
        List<String> left = test.unexplained();
        return left.isEmpty() ? "all of it explained" : "not explained: " + String.join(", ", left);
    }

    static String action(TestStep.ManualStep act) {
        String name = act.action().name().toLowerCase(Locale.ROOT).replace('_', ' ');
        return act.subject().isEmpty() ? name : name + ": " + act.subject();
    }

    private static String unread(Entry entry) {
        return entry.content() instanceof Entry.Content.Skip ? "skipped" : "done";
    }

    private static String setup(TestStep step) {
        return step instanceof TestStep.Measurement touch
                ? touch.ties().stream()
                        .map(tie -> tie.stream().map(Terminal::name).collect(Collectors.joining("+")))
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
                "no. " + entry.sequence(),
                ((TestStep.ManualStep) entry.step()).subject() + ": " + test.told(entry),
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
