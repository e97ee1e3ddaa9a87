package zestymarten.web.record;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import zestymarten.core.analysis.Implied;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.job.Entry;
import zestymarten.core.job.Found;
import zestymarten.core.job.Job;
import zestymarten.core.job.Outcome;
import zestymarten.core.job.Rules;
import zestymarten.core.job.StepState;
import zestymarten.core.judge.Expectation;
import zestymarten.core.judge.Judgement;
import zestymarten.core.limit.InsulationLimit;
import zestymarten.core.limit.Limit;
import zestymarten.core.meter.Conditions;
import zestymarten.core.meter.Meter;
import zestymarten.core.plan.Stage;
import zestymarten.core.plan.Step;
import zestymarten.core.quantity.Engineering;
import zestymarten.core.quantity.Understood;
import zestymarten.web.drawing.WiringDrawing;
import zestymarten.web.platform.Times;
import zestymarten.web.run.Run;

/** Puts a run into the words and figures of its certificate. */
@Component
class RecordViews {
    private static final int MOST_IMPLIED = 200;

    RecordView view(Run run, RecordResult result) {
        Job job = run.job();
        Outcome outcome = run.ended().map(Run.End::outcome).orElseGet(job::outcome);
        Conditions conditions = job.conditions();
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
                Engineering.figure(conditions.ambientC()) + " °C",
                Times.stamp(run.startedAt()) + " by " + run.startedBy(),
                run.ended()
                        .map(end -> Times.stamp(end.at()) + " by " + end.by())
                        .orElse("under way: not a certificate yet"),
                outcome.word(),
                outcome.state().code(),
                job.approach().method().title() + (job.approach().quick() ? "; resistance only" : ""),
                result,
                WiringDrawing.of(
                        job.design().assembly(),
                        job.findings().stream().map(Found::finding).toList()));
    }

    /** What the record says was found, by the rules of today. */
    RecordResult result(Run run) {
        Job job = run.job();
        List<Found> findings = job.findings();
        Outcome outcome = run.ended().map(Run.End::outcome).orElseGet(job::outcome);
        return new RecordResult(
                Rules.VERSION,
                summary(outcome, findings.size(), job.left()),
                NotShown.by(job),
                job.implied(MOST_IMPLIED).stream().map(RecordViews::implied).toList(),
                job.asFound().stream().map(RecordViews::finding).toList(),
                findings.stream().map(RecordViews::finding).toList(),
                job.repairs().stream().map(each -> repair(job, each)).toList(),
                complaint(job),
                insulation(job),
                job.entries().stream().map(entry -> reading(job, entry)).toList());
    }

    private static String implied(Implied.ImpliedPair pair) {
        return pair.a() + " – " + pair.b() + (pair.joined() ? ": continuity" : ": no continuity") + ", from no. "
                + pair.from().stream().map(String::valueOf).collect(Collectors.joining(", "));
    }

    private static String meter(Meter meter) {
        return meter.name() + ": " + Engineering.figure(meter.accuracy() * 100) + " % of reading, "
                + Engineering.text(meter.resolutionOhm(), "Ω") + " resolution, tone below about "
                + Engineering.text(meter.toneBelowOhm(), "Ω") + ", up to " + Engineering.text(meter.topOhm(), "Ω");
    }

    private static String leads(Conditions conditions) {
        return conditions.leadsOhm().isEmpty()
                ? "not read"
                : Engineering.text(conditions.leadsOhm().getAsDouble(), "Ω") + "; "
                        + conditions.policy().words();
    }

    private static String summary(Outcome outcome, int findings, long left) {
        String untested =
                left == 0 ? "" : " " + left + (left == 1 ? " measurement was" : " measurements were") + " not made.";
        return switch (outcome) {
            case PASS -> "Everything was tested and nothing was found.";
            case WATCH -> "Everything was tested and passes; marginal results are marked below.";
            case FAIL -> (findings == 1 ? "One fault was found." : findings + " faults were found.") + untested;
            case INCOMPLETE -> "Nothing is known to be wrong, but not everything was tested." + untested;
        };
    }

    private static RecordResult.FindingLine finding(Found found) {
        return new RecordResult.FindingLine(
                found.finding().kind().replace('_', ' '),
                found.finding().text(),
                found.evidence().stream()
                        .map(entry -> "no. " + entry.sequence())
                        .collect(Collectors.joining(", ")),
                String.join(", ", found.functionsLost()));
    }

    private static RecordResult.ReadingLine reading(Job job, Entry entry) {
        Optional<Judgement> judgement = job.judgement(entry);
        Optional<Limit> limit = entry.step() instanceof Step.Touch touch
                        && !touch.isUnderVoltage()
                        && job.expectation(touch) instanceof Expectation.Joined joined
                ? Optional.of(joined.limit())
                : Optional.empty();
        String corrected = judgement
                .filter(each -> each.correctedOhm().isPresent())
                .map(each -> Engineering.figure(each.correctedOhm().getAsDouble()))
                .orElse("");
        Optional<Entry.Content.Reading> typed =
                entry.content() instanceof Entry.Content.Reading reading ? Optional.of(reading) : Optional.empty();
        Optional<InsulationLimit> least =
                entry.step() instanceof Step.Touch touch && touch.isUnderVoltage() && touch.stage() != Stage.WITHSTAND
                        ? Optional.of(job.least(touch))
                        : Optional.empty();
        boolean apart = entry.step() instanceof Step.Touch touch && !touch.isUnderVoltage() && limit.isEmpty();
        return new RecordResult.ReadingLine(
                entry.sequence(),
                entry.step().stage().title(),
                entry.step().fold(probes -> "", touch -> touch.black().name(), RecordViews::deed),
                entry.step() instanceof Step.Touch touch ? touch.red().name() : "",
                setup(entry.step()),
                entry.step() instanceof Step.Touch touch && !touch.state().isEmpty() ? touch.state() : "rest",
                typed.map(Entry.Content.Reading::asTyped).orElse(""),
                job.told(entry),
                typed.map(each -> figure(each.meaning())).orElse(""),
                typed.map(each -> unit(each.meaning())).orElse(""),
                typed.map(each -> qualifier(each.meaning())).orElse(unread(entry)),
                corrected,
                judgement
                        .filter(each -> each.correctedOhm().isPresent())
                        .map(each -> Engineering.text(each.correctedOhm().getAsDouble(), "Ω"))
                        .orElse(""),
                limit.map(each -> Engineering.figure(each.low().value()))
                        .or(() -> least.map(
                                each -> Engineering.figure(each.least().value())))
                        .orElse(""),
                limit.map(each -> Engineering.figure(each.high().value())).orElse(""),
                limit.map(each -> "maximum " + each.high().text())
                        .or(() -> least.map(each -> "minimum " + each.least().text()))
                        .orElse(apart ? "apart" : ""),
                limit.map(Limit::derivation)
                        .or(() -> least.map(InsulationLimit::derivation))
                        .or(() -> withstand(job, entry))
                        .orElse(apart ? "The assembly joins them nowhere." : ""),
                judgement.map(each -> each.verdict().word()).orElse(unread(entry)),
                judgement
                        .map(each -> StepState.of(each.verdict()).code())
                        .orElse(entry.content() instanceof Entry.Content.Skip ? "skipped" : "good"),
                entry.takenBack(),
                entry.at().toString(),
                entry.by());
    }

    private static Optional<String> withstand(Job job, Entry entry) {
        boolean asked =
                entry.step() instanceof Step.Touch touch && touch.isUnderVoltage() && touch.stage() == Stage.WITHSTAND;
        return asked
                ? job.approach()
                        .withstand()
                        .map(rule -> "Maximum " + Engineering.text(rule.mostA(), "A") + " of leakage at "
                                + Engineering.text(rule.volts(), "V") + (rule.alternates() ? " AC" : " DC")
                                + ": the figure given for this test.")
                : Optional.empty();
    }

    /** What the readings over the time under voltage say of each piece. */
    private static List<String> insulation(Job job) {
        return job.steps(Stage.INSULATION)
                .filter(step -> step instanceof Step.Touch touch && touch.red().isFrame())
                .map(Step.Touch.class::cast)
                .filter(touch -> !job.absorption(touch).points().isEmpty())
                .map(touch -> touch.black() + ": "
                        + job.absorption(touch).points().stream()
                                .map(each -> Engineering.text(each.ohm(), "Ω") + " after "
                                        + Engineering.text(each.seconds(), "s"))
                                .collect(Collectors.joining(", "))
                        + ". "
                        + String.join(
                                " ", job.absorption(touch).said(job.conditions().ambientC())))
                .toList();
    }

    private static String complaint(Job job) {
        if (!job.complaint().isOfSomething()) {
            return "none reported";
        }
        List<String> left = job.unexplained();
        return left.isEmpty() ? "all of it explained" : "not explained: " + String.join(", ", left);
    }

    static String deed(Step.Act act) {
        String name = act.deed().name().toLowerCase(Locale.ROOT).replace('_', ' ');
        return act.subject().isEmpty() ? name : name + ": " + act.subject();
    }

    private static String unread(Entry entry) {
        return entry.content() instanceof Entry.Content.Skip ? "skipped" : "done";
    }

    private static String setup(Step step) {
        return step instanceof Step.Touch touch
                ? touch.ties().stream()
                        .map(tie -> tie.stream().map(Terminal::name).collect(Collectors.joining("+")))
                        .collect(Collectors.joining(" "))
                : "";
    }

    private static String unit(Understood meaning) {
        Understood.Unit unit = meaning instanceof Understood.Value value ? value.unit() : Understood.Unit.OHM;
        return figure(meaning).isEmpty() ? "" : unit.name().toLowerCase(Locale.ROOT);
    }

    private static RecordResult.RepairLine repair(Job job, Entry entry) {
        Entry.Content.Repair repair = (Entry.Content.Repair) entry.content();
        return new RecordResult.RepairLine(
                "no. " + entry.sequence(),
                ((Step.Act) entry.step()).subject() + ": " + job.told(entry),
                repair.cause(),
                repair.prevention(),
                entry.by());
    }

    private static String figure(Understood meaning) {
        return meaning.figure().isPresent()
                ? Engineering.figure(meaning.figure().getAsDouble())
                : "";
    }

    private static String qualifier(Understood meaning) {
        return meaning instanceof Understood.Value ? "" : meaning.kind();
    }
}
