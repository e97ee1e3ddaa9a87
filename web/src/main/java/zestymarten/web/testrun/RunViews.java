package zestymarten.web.testrun;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import zestymarten.core.analysis.Recommendation;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.Message;
import zestymarten.core.testplan.Moisture;
import zestymarten.core.testplan.Purpose;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.Entry;
import zestymarten.core.testrun.RemainingWork;
import zestymarten.core.testrun.RunFinding;
import zestymarten.core.testrun.StepState;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.drawing.FieldDrawing;
import zestymarten.web.platform.RecommendationWords;
import zestymarten.web.platform.Words;

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
                findings.stream()
                        .map(RunFinding::finding)
                        .map(each -> Words.say(each.message()))
                        .toList(),
                proposals(test),
                symptoms(test),
                test.toRestore().stream().map(each -> Words.say(each.words())).toList(),
                run.isUnderWay() && test.byHalves().isPresent()
                        ? Words.say(
                                "run_views.measurements_instead",
                                test.byHalves().getAsInt(),
                                test.left(Stage.SHORTS))
                        : "",
                purpose(test),
                run.ended().map(end -> Words.say(end.outcome())).orElse(""));
    }

    private static RunView.PurposeView purpose(TestRun test) {
        boolean leads = test.purpose() == Purpose.FIND_FAULT;
        List<RunView.Suspect> suspects = !leads
                ? List.of()
                : test.explanations().stream()
                        .limit(SUSPECTS)
                        .map(each -> new RunView.Suspect(
                                Math.round(100 * each.probability()),
                                each.faults().isEmpty()
                                        ? Words.say("run_views.no_fault_what_was")
                                        : Words.say(each.message())))
                        .filter(each -> each.percent() > 0)
                        .toList();
        return new RunView.PurposeView(
                Words.say("run_views.purpose", test.purpose(), test.retested()), ending(test, leads), suspects);
    }

    private static String ending(TestRun test, boolean leads) {
        if (test.purpose() == Purpose.RETEST && test.left() > 0) {
            return Words.say(
                    "run_views.what_repair_concerns_was", test.findings().isEmpty());
        }
        if (!leads || test.left() == 0) {
            return Words.say("run_views.all_measurements_done");
        }
        return test.diagnosis() == Recommendation.Status.CANNOT_BE_TOLD
                ? Words.say("run_views.nothing_more_can_be")
                : Words.say("run_views.diagnosis_finished");
    }

    private static String meter(TestRun test) {
        TestConditions conditions = test.conditions();
        String leads = conditions.leadsOhm().isPresent()
                ? Words.say(
                        "run_views.leads",
                        Message.figure(conditions.leadsOhm().getAsDouble(), "Ω"),
                        conditions.policy().words())
                : Words.say("run_views.leads_not_read_yet");
        return conditions.meter().name()
                + (test.accessories().isNothing()
                        ? ""
                        : Words.say("run_views.meter", test.accessories().words()))
                + leads;
    }

    private static String minutes(double seconds) {
        return Words.say("run_views.about_min", (long) Math.ceil(seconds / 60));
    }

    private static String left(RemainingWork left) {
        return Words.say("run_views.left", left.measurements(), left.checks() + left.actions(), left.trips());
    }

    private static List<RunView.StageView> stages(TestRun test, Optional<TestStep> shown) {
        List<RunView.StageView> views = new ArrayList<>();
        Optional<Stage> now = shown.map(TestStep::stage);
        for (Stage stage : test.approach().order().stages()) {
            long size = test.size(stage);
            if (size == 0) {
                if (isAsked(test, stage)) {
                    views.add(new RunView.StageView(
                            stage.code(),
                            Words.say(stage.title()),
                            stage == Stage.WITHSTAND
                                    ? Words.say("run_views.once_insulation_has_passed")
                                    : Words.say("run_views.once_continuity_has_passed"),
                            "todo",
                            Optional.empty()));
                }
                continue;
            }
            long left = test.left(stage);
            boolean isNow = now.equals(Optional.of(stage));
            String state = isNow ? "now" : left == 0 ? "done" : "todo";
            views.add(new RunView.StageView(
                    stage.code(),
                    Words.say(stage.title()),
                    Words.say("run_views.stages", size - left, size),
                    state,
                    isNow && stage.isMeasured() ? FieldDrawing.of(test, stage, shown) : Optional.empty()));
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

    private static String symptoms(TestRun test) {
        long entered = test.symptoms().functions().size();
        int all = test.plan().functions().size();
        return all == 0
                ? ""
                : entered == 0 ? Words.say("run_views.none_entered_yet") : Words.say("run_views.entered", entered, all);
    }

    private static RunView.ResultView result(TestRun test, Entry entry) {
        Optional<Judgement> judgement = test.judgement(entry);
        return new RunView.ResultView(
                entry.id().toString(),
                test.state(entry.step()).code(),
                judgement.map(each -> Words.say(each.verdict())).orElse(Words.say("step_state.skipped")),
                Words.say(entry.step().title()),
                Words.say(test.words(entry)),
                Words.say(judgement.map(Judgement::reason).orElse(test.words(entry))));
    }

    private static StepState state(TestRun test, Entry entry) {
        boolean skipped =
                entry.content() instanceof Entry.Content.Skip || test.state(entry.step()) == StepState.NOT_TESTED;
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
                    Words.say(entry.step().title()),
                    Words.say(test.words(entry)),
                    judgement
                            .filter(each -> each.correctedOhm().isPresent())
                            .map(each -> Words.figure(each.correctedOhm().getAsDouble(), "Ω"))
                            .orElse(""),
                    state(test, entry).code(),
                    Words.say(state(test, entry)),
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
                        StepForm.of(best.measurement()),
                        Words.say(best.measurement().title()) + ": " + RecommendationWords.why(best.worth())))
                .toList();
    }
}
