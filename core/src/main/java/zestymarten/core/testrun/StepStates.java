package zestymarten.core.testrun;

import java.util.List;
import java.util.Optional;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.judgement.Judgement.Contact;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestPlan;
import zestymarten.core.testplan.TestStep;

/**
 * How each step stands by what was entered at it: whether anything more is asked there, and what is shown for it. A wire that
 * reads open is touched once more on clean metal before it is believed; insulation is read after a full minute; a check of the
 * leads holds until the meter wanders or other clips are used.
 */
final class StepStates {
    /** Insulation is judged after a minute, within a tenth. */
    private static final double FULL_MINUTE = 54;

    private static final double WHOLE = 0.9;

    private final TestPlan plan;
    private final RunLog standing;
    private final RunReadings readings;
    private final OpenItems ledger;
    private final StepSchedule schedule;
    private final ImpliedPoints points;

    StepStates(
            TestPlan plan,
            RunLog standing,
            RunReadings readings,
            OpenItems ledger,
            StepSchedule schedule,
            ImpliedPoints points) {
        this.plan = plan;
        this.standing = standing;
        this.readings = readings;
        this.ledger = ledger;
        this.schedule = schedule;
        this.points = points;
    }

    /** Whether a step is done and nothing is wrong there. */
    boolean isPassed(TestStep step) {
        return isDone(step) && state(step) != StepState.FAULT;
    }

    /** Whether nothing more is asked at a step. */
    boolean isDone(TestStep step) {
        Optional<Entry> last = standing.last(step);
        if (last.isEmpty()) {
            return step instanceof TestStep.Measurement touch && points.isImplied(touch);
        }
        if (!(last.get().content() instanceof Entry.Content.Reading)) {
            return isDoneByWords(step, last.get());
        }
        if (step instanceof TestStep.LeadCheck probes && !stillHolds(probes, last.get())) {
            return false;
        }
        Verdict verdict = lastJudgement(step).map(Judgement::verdict).orElse(Verdict.DOUBTFUL);
        boolean settled = verdict != Verdict.DOUBTFUL
                && (verdict != Verdict.UNDECIDED
                        || (readings.now().guarded() && RunReadings.meaning(last.get()) instanceof MeterReading.Value));
        return settled && !asksForCleanMetal(step) && !isStillCharging(step);
    }

    /** A check after the readings holds until the next one; a zero until other clips are used, or the meter wanders. */
    private boolean stillHolds(TestStep.LeadCheck probes, Entry last) {
        if (probes.stage() == Stage.CLOSE) {
            return !standing.wasTouchedAfter(last);
        }
        if (probes.question() == TestStep.LeadCheck.LeadQuestion.TONE) {
            return true;
        }
        NullHistory zeros = readings.zeros();
        return zeros.last().isPresent()
                && !(zeros.wanders() && standing.wasTouchedAfter(zeros.last().get()) && isTightNext());
    }

    /** Whether the touch that comes next has so low a limit that a zero which wanders decides it. */
    private boolean isTightNext() {
        return plan.approach().order().stages().stream()
                .filter(stage -> stage.isTouched() && !stage.isUnderVoltage())
                .flatMap(schedule::steps)
                .filter(step -> step instanceof TestStep.Measurement && !isDone(step))
                .findFirst()
                .map(step -> readings.isTight((TestStep.Measurement) step))
                .orElse(false);
    }

    /** Whether all readings under voltage say that less than a minute had passed, or less than the withstand test takes. */
    private boolean isStillCharging(TestStep step) {
        double least = step.stage() == Stage.WITHSTAND
                ? WHOLE * plan.approach().withstand().orElseThrow().seconds()
                : FULL_MINUTE;
        return step.stage().isUnderVoltage()
                && standing.of(step).stream()
                        .map(VoltageReadings::secondsOf)
                        .allMatch(seconds -> seconds.isPresent() && seconds.getAsDouble() < least);
    }

    /**
     * What was put back and opened once more is to be put back once more; what a molten connector was plugged into is to be
     * looked at after that was seen.
     */
    private boolean isDoneByWords(TestStep step, Entry last) {
        if (!(step instanceof TestStep.ManualStep act) || last.content() instanceof Entry.Content.Skip) {
            return true;
        }
        return switch (act.action()) {
            case PUT_BACK -> !ledger.isOut(act.subject());
            case LOOKED -> !schedule.look().isCondemnedAfter(act.subject(), last);
            default -> true;
        };
    }

    /** Whether a wire has read open exactly once: it is touched again on clean metal, and both readings are kept. */
    boolean asksForCleanMetal(TestStep step) {
        return step.stage() == Stage.ENDS
                && isOpen(step)
                && standing.of(step).stream()
                                .flatMap(entry -> readings.judgement(entry).stream())
                                .filter(each -> each.contact() == Contact.APART || each.contact() == Contact.LEAK)
                                .count()
                        == 1;
    }

    /** How a step stands. */
    StepState state(TestStep step) {
        List<Entry> all = standing.of(step);
        if (all.isEmpty()) {
            return isDone(step) ? StepState.IMPLIED : StepState.UNTESTED;
        }
        Entry last = all.get(all.size() - 1);
        if (last.content() instanceof Entry.Content.Skip) {
            return StepState.SKIPPED;
        }
        if (!isDone(step)) {
            return StepState.DOUBTFUL;
        }
        if (last.content() instanceof Entry.Content.Done done) {
            return ofWords(step, done.words());
        }
        boolean openFirst = all.size() > 1
                && readings.judgement(all.get(0)).map(Judgement::verdict).orElse(Verdict.PASS) == Verdict.FAIL;
        StepState state =
                lastJudgement(step).map(each -> StepState.of(each.verdict())).orElse(StepState.GOOD);
        return state == StepState.GOOD && openFirst && step.stage() == Stage.ENDS ? StepState.WATCH : state;
    }

    private static StepState ofWords(TestStep step, String words) {
        ManualAction action = ((TestStep.ManualStep) step).action();
        if (action == ManualAction.REPLUGGED || action == ManualAction.SUBSTITUTED) {
            return words.equals(RecordedSymptoms.WORKS) ? StepState.WATCH : StepState.GOOD;
        }
        boolean told = action.answer() == ManualAction.AnswerKind.CELSIUS || action == ManualAction.ACCESS;
        boolean asItShouldBe = told || words.isEmpty() || words.equals(RecordedSymptoms.WORKS);
        return asItShouldBe ? StepState.GOOD : action == ManualAction.FUNCTION ? StepState.FAULT : StepState.WATCH;
    }

    Optional<Judgement> lastJudgement(TestStep step) {
        return standing.last(step).flatMap(readings::judgement);
    }

    Contact contact(TestStep step) {
        return lastJudgement(step).map(Judgement::contact).orElse(Contact.UNKNOWN);
    }

    boolean isOpen(TestStep step) {
        Contact contact = contact(step);
        return contact == Contact.APART || contact == Contact.LEAK;
    }

    boolean isThrough(TestStep.Measurement touch) {
        Contact contact = contact(touch);
        return contact == Contact.JOINED || contact == Contact.LEAK || contact == Contact.UNSTABLE;
    }
}
