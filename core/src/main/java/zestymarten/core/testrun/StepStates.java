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
 * reads open is measured once more on clean metal before it is believed; insulation is read after a full minute; a check of the
 * leads holds until the null drifts or other clips are used.
 */
final class StepStates {
    /** Insulation is judged after a minute, within a tenth. */
    private static final double FULL_MINUTE = 54;

    private static final double WHOLE = 0.9;

    private final TestPlan plan;
    private final RunLog log;
    private final RunReadings readings;
    private final OpenItems openItems;
    private final StepSchedule schedule;
    private final ImpliedPoints points;

    StepStates(
            TestPlan plan,
            RunLog log,
            RunReadings readings,
            OpenItems openItems,
            StepSchedule schedule,
            ImpliedPoints points) {
        this.plan = plan;
        this.log = log;
        this.readings = readings;
        this.openItems = openItems;
        this.schedule = schedule;
        this.points = points;
    }

    /** Whether a step is done and nothing is wrong there. */
    boolean isPassed(TestStep step) {
        return isDone(step) && state(step) != StepState.FAIL;
    }

    /** Whether nothing more is asked at a step. */
    boolean isDone(TestStep step) {
        Optional<Entry> last = log.last(step);
        if (last.isEmpty()) {
            return step instanceof TestStep.Measurement measurement && points.isImplied(measurement);
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

    /** A check after the readings holds until the next one; a zero until other clips are used, or the null drifts. */
    private boolean stillHolds(TestStep.LeadCheck probes, Entry last) {
        if (probes.stage() == Stage.RESTORE) {
            return !log.wasMeasuredAfter(last);
        }
        if (probes.question() == TestStep.LeadCheck.LeadQuestion.TONE) {
            return true;
        }
        NullHistory zeros = readings.zeros();
        return zeros.last().isPresent()
                && !(zeros.wanders() && log.wasMeasuredAfter(zeros.last().get()) && isTightNext());
    }

    /** Whether the measurement that comes next has so low a limit that a null that drifts decides it. */
    private boolean isTightNext() {
        return plan.approach().order().stages().stream()
                .filter(stage -> stage.isMeasured() && !stage.isUnderVoltage())
                .flatMap(schedule::steps)
                .filter(step -> step instanceof TestStep.Measurement && !isDone(step))
                .findFirst()
                .map(step -> readings.isTight((TestStep.Measurement) step))
                .orElse(false);
    }

    /** Whether all readings under voltage say that less than a minute had passed, or less than the withstand test takes. */
    private boolean isStillCharging(TestStep step) {
        double minimum = step.stage() == Stage.WITHSTAND
                ? WHOLE * plan.approach().withstand().orElseThrow().seconds()
                : FULL_MINUTE;
        return step.stage().isUnderVoltage()
                && log.of(step).stream()
                        .map(VoltageReadings::secondsOf)
                        .allMatch(seconds -> seconds.isPresent() && seconds.getAsDouble() < minimum);
    }

    /**
     * What was put back and opened once more is to be put back once more; what a molten connector was plugged into is to be
     * looked at after that was seen.
     */
    private boolean isDoneByWords(TestStep step, Entry last) {
        if (!(step instanceof TestStep.ManualStep manual) || last.content() instanceof Entry.Content.Skip) {
            return true;
        }
        return switch (manual.action()) {
            case RESTORE -> !openItems.isOut(manual.subject());
            case INSPECT ->
                !schedule.inspections().isCondemnedAfter(manual.subject().code(), last);
            default -> true;
        };
    }

    /** Whether a wire has read open exactly once: it is measured again on clean metal, and both readings are kept. */
    boolean asksForCleanMetal(TestStep step) {
        return step.stage() == Stage.CONTINUITY
                && isOpen(step)
                && log.of(step).stream()
                                .flatMap(entry -> readings.judgement(entry).stream())
                                .filter(each -> each.contact() == Contact.APART || each.contact() == Contact.LEAK)
                                .count()
                        == 1;
    }

    /** How a step stands. */
    StepState state(TestStep step) {
        List<Entry> all = log.of(step);
        if (all.isEmpty()) {
            return isDone(step) ? StepState.IMPLIED : StepState.NOT_TESTED;
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
                lastJudgement(step).map(each -> StepState.of(each.verdict())).orElse(StepState.PASS);
        return state == StepState.PASS && openFirst && step.stage() == Stage.CONTINUITY ? StepState.MARGINAL : state;
    }

    private static StepState ofWords(TestStep step, String words) {
        ManualAction action = ((TestStep.ManualStep) step).action();
        if (action == ManualAction.REPLUGGED || action == ManualAction.SUBSTITUTED) {
            return words.equals(RecordedSymptoms.WORKS) ? StepState.MARGINAL : StepState.PASS;
        }
        boolean entered = action.answer() == ManualAction.AnswerKind.CELSIUS || action == ManualAction.ACCESS;
        boolean asItShouldBe = entered || words.isEmpty() || words.equals(RecordedSymptoms.WORKS);
        return asItShouldBe ? StepState.PASS : action == ManualAction.FUNCTION ? StepState.FAIL : StepState.MARGINAL;
    }

    Optional<Judgement> lastJudgement(TestStep step) {
        return log.last(step).flatMap(readings::judgement);
    }

    Contact contact(TestStep step) {
        return lastJudgement(step).map(Judgement::contact).orElse(Contact.UNKNOWN);
    }

    boolean isOpen(TestStep step) {
        Contact contact = contact(step);
        return contact == Contact.APART || contact == Contact.LEAK;
    }

    boolean isThrough(TestStep.Measurement measurement) {
        Contact contact = contact(measurement);
        return contact == Contact.JOINED || contact == Contact.LEAK || contact == Contact.UNSTABLE;
    }
}
