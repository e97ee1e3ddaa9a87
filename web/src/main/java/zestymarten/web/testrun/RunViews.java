package zestymarten.web.testrun;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import zestymarten.core.analysis.Recommendation;
import zestymarten.core.finding.Finding;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.testplan.Moisture;
import zestymarten.core.testplan.Purpose;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.Entry;
import zestymarten.core.testrun.RunFinding;
import zestymarten.core.testrun.StepState;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.drawing.FieldDrawing;
import zestymarten.web.platform.RecommendationWords;

/** Puts a run into words and drawings for its page. */
@Component
class RunViews {
    private static final int SUSPECTS = 5;

    private static final int LAST_SHOWN = 5;

    /**
     * The page of a run.
     *
     * @param at the step to show; the one that is due if empty
     * @param stays the entry whose result stays on the page
     */
    RunView view(RunSnapshot run, Optional<TestStep> at, Optional<Entry> stays, boolean mating) {
        TestRun job = run.job();
        Optional<TestStep> current = run.isUnderWay() ? at.or(job::current) : Optional.empty();
        Optional<TestStep> shown = stays.map(Entry::step).or(() -> current);
        long left = job.left();
        long all = Stream.of(Stage.values()).mapToLong(job::size).sum();
        List<RunFinding> findings = job.findings();
        return new RunView(
                run.id(),
                run.serial(),
                run.assembly(),
                run.revision().assemblyId(),
                run.revision().number(),
                meter(job),
                EngineeringFormat.figure(job.conditions().ambientC()) + " °C",
                run.pulse(),
                run.isUnderWay(),
                job.current().isEmpty(),
                left(job.remaining()),
                minutes(job.secondsLeft()),
                all == 0 ? 100 : (int) (100 * (all - left) / all),
                stages(job, shown),
                shown.map(step -> StepViews.view(job, step, stays, mating)),
                stays.map(entry -> result(job, entry)),
                last(job),
                job.last().map(entry -> entry.id().toString()),
                findings.stream().map(RunFinding::finding).map(Finding::text).toList(),
                proposals(job),
                complaint(job),
                job.ledger(),
                run.isUnderWay() && job.byHalves().isPresent()
                        ? job.byHalves().getAsInt() + " measurements instead of " + job.left(Stage.SHORTS)
                        : "",
                purpose(job),
                run.ended().map(end -> end.outcome().word()).orElse(""));
    }

    private static RunView.Purposed purpose(TestRun job) {
        boolean leads = job.purpose() == Purpose.FIND_FAULT;
        List<RunView.Suspect> suspects = !leads
                ? List.of()
                : job.explanations().stream()
                        .limit(SUSPECTS)
                        .map(each -> new RunView.Suspect(
                                Math.round(100 * each.probability()),
                                each.faults().isEmpty() ? "no fault in what was measured so far" : each.text()))
                        .filter(each -> each.percent() > 0)
                        .toList();
        return new RunView.Purposed(
                job.purpose().words() + (job.retested().isEmpty() ? "" : " " + job.retested()),
                ending(job, leads),
                suspects);
    }

    private static String ending(TestRun job, boolean leads) {
        if (job.purpose() == Purpose.RETEST && job.left() > 0) {
            return "What the repair concerns was measured again: "
                    + (job.findings().isEmpty() ? "nothing is wrong with it." : "something is still wrong.");
        }
        if (!leads || job.left() == 0) {
            return "All measurements are done.";
        }
        return job.diagnosis() == Recommendation.Status.CANNOT_BE_TOLD
                ? "Nothing more can be found out with these tools."
                : "The diagnosis is finished.";
    }

    private static String meter(TestRun job) {
        TestConditions conditions = job.conditions();
        String leads = conditions.leadsOhm().isPresent()
                ? ", leads " + EngineeringFormat.text(conditions.leadsOhm().getAsDouble(), "Ω") + ": "
                        + conditions.policy().words()
                : ", leads not read yet";
        return conditions.meter().name() + (job.accessories().isEmpty() ? "" : " with " + job.accessories()) + leads;
    }

    private static String minutes(double seconds) {
        long minutes = (long) Math.ceil(seconds / 60);
        return minutes <= 1 ? (minutes == 0 ? "0 min" : "about 1 min") : "about " + minutes + " min";
    }

    private static String left(TestRun.Left left) {
        String touches = left.touches() == 1 ? "1 measurement" : left.touches() + " measurements";
        long others = left.checks() + left.deeds();
        String deeds = others == 0 ? "" : ", " + others + (others == 1 ? " other step" : " other steps");
        String walks = left.walks() == 0 ? "" : ", " + left.walks() + (left.walks() == 1 ? " trip" : " trips");
        return touches + deeds + walks + " left";
    }

    private static List<RunView.StageView> stages(TestRun job, Optional<TestStep> shown) {
        List<RunView.StageView> views = new ArrayList<>();
        Optional<Stage> now = shown.map(TestStep::stage);
        for (Stage stage : job.approach().order().stages()) {
            long size = job.size(stage);
            if (size == 0) {
                if (isAsked(job, stage)) {
                    views.add(new RunView.StageView(
                            stage.name(),
                            stage.title(),
                            stage == Stage.WITHSTAND ? "once insulation has passed" : "once continuity has passed",
                            "todo",
                            Optional.empty()));
                }
                continue;
            }
            long left = job.left(stage);
            boolean isNow = now.equals(Optional.of(stage));
            String state = isNow ? "now" : left == 0 ? "done" : "todo";
            views.add(new RunView.StageView(
                    stage.name(),
                    stage.title(),
                    (size - left) + " of " + size,
                    state,
                    isNow && stage.isTouched() ? FieldDrawing.of(job, stage, shown) : Optional.empty()));
        }
        return views;
    }

    /** Whether a stage is asked for that comes only once others have passed. */
    private static boolean isAsked(TestRun job, Stage stage) {
        return switch (stage) {
            case INSULATION -> job.approach().insulation().isPresent();
            case WET -> job.approach().moisture() != Moisture.NONE;
            case WITHSTAND -> job.approach().withstand().isPresent();
            default -> false;
        };
    }

    private static String complaint(TestRun job) {
        long told = job.complaint().functions().size();
        int all = job.plan().functions().size();
        return all == 0 ? "" : told == 0 ? "none entered yet" : told + " of " + all + " entered";
    }

    private static RunView.ResultView result(TestRun job, Entry entry) {
        Optional<Judgement> judgement = job.judgement(entry);
        return new RunView.ResultView(
                entry.id().toString(),
                job.state(entry.step()).code(),
                judgement.map(each -> each.verdict().word()).orElse("skipped"),
                StepViews.shortly(entry.step()),
                job.told(entry),
                judgement.map(Judgement::reason).orElse(job.told(entry)));
    }

    private static StepState state(TestRun job, Entry entry) {
        boolean skipped =
                entry.content() instanceof Entry.Content.Skip || job.state(entry.step()) == StepState.UNTESTED;
        return job.judgement(entry)
                .map(each -> StepState.of(each.verdict()))
                .orElseGet(() -> skipped ? StepState.SKIPPED : job.state(entry.step()));
    }

    private static List<RunView.EntryView> last(TestRun job) {
        List<Entry> entries = job.entries();
        List<RunView.EntryView> views = new ArrayList<>();
        for (int i = entries.size() - 1; i >= Math.max(0, entries.size() - LAST_SHOWN); i--) {
            Entry entry = entries.get(i);
            Optional<Judgement> judgement = job.judgement(entry);
            views.add(new RunView.EntryView(
                    entry.sequence(),
                    StepViews.shortly(entry.step()),
                    job.told(entry),
                    judgement
                            .filter(each -> each.correctedOhm().isPresent())
                            .map(each ->
                                    EngineeringFormat.text(each.correctedOhm().getAsDouble(), "Ω"))
                            .orElse(""),
                    state(job, entry).code(),
                    state(job, entry).word(),
                    entry.takenBack(),
                    entry.by()));
        }
        return views;
    }

    private static List<RunView.Proposal> proposals(TestRun job) {
        if (job.open().size() < 2) {
            return List.of(); // one wire that reads open is what the next steps are for anyway
        }
        return job.best(2).stream()
                .map(best -> new RunView.Proposal(
                        StepForm.of(best.touch()),
                        best.touch().black() + " – " + best.touch().red() + ": "
                                + RecommendationWords.why(best.worth())))
                .toList();
    }
}
