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
        TestRun test = run.test();
        Optional<TestStep> current = run.isUnderWay() ? at.or(test::current) : Optional.empty();
        Optional<TestStep> shown = stays.map(Entry::step).or(() -> current);
        long left = test.left();
        long all = Stream.of(Stage.values()).mapToLong(test::size).sum();
        List<RunFinding> findings = test.findings();
        return new RunView(
                run.id(),
                run.serial(),
                run.assembly(),
                run.revision().assemblyId(),
                run.revision().number(),
                meter(test),
                EngineeringFormat.figure(test.conditions().ambientC()) + " °C",
                run.pulse(),
                run.isUnderWay(),
                test.current().isEmpty(),
                left(test.remaining()),
                minutes(test.secondsLeft()),
                all == 0 ? 100 : (int) (100 * (all - left) / all),
                stages(test, shown),
                shown.map(step -> StepViews.view(test, step, stays, mating)),
                stays.map(entry -> result(test, entry)),
                last(test),
                test.last().map(entry -> entry.id().toString()),
                findings.stream().map(RunFinding::finding).map(Finding::text).toList(),
                proposals(test),
                complaint(test),
                test.ledger(),
                run.isUnderWay() && test.byHalves().isPresent()
                        ? test.byHalves().getAsInt() + " measurements instead of " + test.left(Stage.SHORTS)
                        : "",
                purpose(test),
                run.ended().map(end -> end.outcome().word()).orElse(""));
    }

    private static RunView.Purposed purpose(TestRun test) {
        boolean leads = test.purpose() == Purpose.FIND_FAULT;
        List<RunView.Suspect> suspects = !leads
                ? List.of()
                : test.explanations().stream()
                        .limit(SUSPECTS)
                        .map(each -> new RunView.Suspect(
                                Math.round(100 * each.probability()),
                                each.faults().isEmpty() ? "no fault in what was measured so far" : each.text()))
                        .filter(each -> each.percent() > 0)
                        .toList();
        return new RunView.Purposed(
                test.purpose().words() + (test.retested().isEmpty() ? "" : " " + test.retested()),
                ending(test, leads),
                suspects);
    }

    private static String ending(TestRun test, boolean leads) {
        if (test.purpose() == Purpose.RETEST && test.left() > 0) {
            return "What the repair concerns was measured again: "
                    + (test.findings().isEmpty() ? "nothing is wrong with it." : "something is still wrong.");
        }
        if (!leads || test.left() == 0) {
            return "All measurements are done.";
        }
        return test.diagnosis() == Recommendation.Status.CANNOT_BE_TOLD
                ? "Nothing more can be found out with these tools."
                : "The diagnosis is finished.";
    }

    private static String meter(TestRun test) {
        TestConditions conditions = test.conditions();
        String leads = conditions.leadsOhm().isPresent()
                ? ", leads " + EngineeringFormat.text(conditions.leadsOhm().getAsDouble(), "Ω") + ": "
                        + conditions.policy().words()
                : ", leads not read yet";
        return conditions.meter().name() + (test.accessories().isEmpty() ? "" : " with " + test.accessories()) + leads;
    }

    private static String minutes(double seconds) {
        long minutes = (long) Math.ceil(seconds / 60);
        return minutes <= 1 ? (minutes == 0 ? "0 min" : "about 1 min") : "about " + minutes + " min";
    }

    private static String left(TestRun.Left left) {
        String touches = left.touches() == 1 ? "1 measurement" : left.touches() + " measurements";
        long others = left.checks() + left.actions();
        String actions = others == 0 ? "" : ", " + others + (others == 1 ? " other step" : " other steps");
        String walks = left.walks() == 0 ? "" : ", " + left.walks() + (left.walks() == 1 ? " trip" : " trips");
        return touches + actions + walks + " left";
    }

    private static List<RunView.StageView> stages(TestRun test, Optional<TestStep> shown) {
        List<RunView.StageView> views = new ArrayList<>();
        Optional<Stage> now = shown.map(TestStep::stage);
        for (Stage stage : test.approach().order().stages()) {
            long size = test.size(stage);
            if (size == 0) {
                if (isAsked(test, stage)) {
                    views.add(new RunView.StageView(
                            stage.name(),
                            stage.title(),
                            stage == Stage.WITHSTAND ? "once insulation has passed" : "once continuity has passed",
                            "todo",
                            Optional.empty()));
                }
                continue;
            }
            long left = test.left(stage);
            boolean isNow = now.equals(Optional.of(stage));
            String state = isNow ? "now" : left == 0 ? "done" : "todo";
            views.add(new RunView.StageView(
                    stage.name(),
                    stage.title(),
                    (size - left) + " of " + size,
                    state,
                    isNow && stage.isTouched() ? FieldDrawing.of(test, stage, shown) : Optional.empty()));
        }
        return views;
    }

    /** Whether a stage is asked for that comes only once others have passed. */
    private static boolean isAsked(TestRun test, Stage stage) {
        return switch (stage) {
            case INSULATION -> test.approach().insulation().isPresent();
            case WET -> test.approach().moisture() != Moisture.NONE;
            case WITHSTAND -> test.approach().withstand().isPresent();
            default -> false;
        };
    }

    private static String complaint(TestRun test) {
        long told = test.complaint().functions().size();
        int all = test.plan().functions().size();
        return all == 0 ? "" : told == 0 ? "none entered yet" : told + " of " + all + " entered";
    }

    private static RunView.ResultView result(TestRun test, Entry entry) {
        Optional<Judgement> judgement = test.judgement(entry);
        return new RunView.ResultView(
                entry.id().toString(),
                test.state(entry.step()).code(),
                judgement.map(each -> each.verdict().word()).orElse("skipped"),
                StepViews.shortly(entry.step()),
                test.told(entry),
                judgement.map(Judgement::reason).orElse(test.told(entry)));
    }

    private static StepState state(TestRun test, Entry entry) {
        boolean skipped =
                entry.content() instanceof Entry.Content.Skip || test.state(entry.step()) == StepState.UNTESTED;
        return test.judgement(entry)
                .map(each -> StepState.of(each.verdict()))
                .orElseGet(() -> skipped ? StepState.SKIPPED : test.state(entry.step()));
    }

    private static List<RunView.EntryView> last(TestRun test) {
        List<Entry> entries = test.entries();
        List<RunView.EntryView> views = new ArrayList<>();
        for (int i = entries.size() - 1; i >= Math.max(0, entries.size() - LAST_SHOWN); i--) {
            Entry entry = entries.get(i);
            Optional<Judgement> judgement = test.judgement(entry);
            views.add(new RunView.EntryView(
                    entry.sequence(),
                    StepViews.shortly(entry.step()),
                    test.told(entry),
                    judgement
                            .filter(each -> each.correctedOhm().isPresent())
                            .map(each ->
                                    EngineeringFormat.text(each.correctedOhm().getAsDouble(), "Ω"))
                            .orElse(""),
                    state(test, entry).code(),
                    state(test, entry).word(),
                    entry.takenBack(),
                    entry.by()));
        }
        return views;
    }

    private static List<RunView.Proposal> proposals(TestRun test) {
        if (test.open().size() < 2) {
            return List.of(); // one wire that reads open is what the next steps are for anyway
        }
        return test.best(2).stream()
                .map(best -> new RunView.Proposal(
                        StepForm.of(best.touch()), best.touch().name() + ": " + RecommendationWords.why(best.worth())))
                .toList();
    }
}
