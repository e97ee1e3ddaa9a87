package zestymarten.web.portable;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import zestymarten.core.portable.LeadVerdict;
import zestymarten.core.testrun.StepState;

/**
 * A lead of a day with its last outcome.
 *
 * @param outcome null while it is not done
 */
record LeadRow(
        int position,
        String tag,
        @Nullable String outcome,
        @Nullable String says,
        @Nullable Long sheetId,
        @Nullable Long unitId) {
    boolean isDone() {
        return outcome != null;
    }

    /** The outcome; empty while it is not done. */
    public Optional<LeadVerdict.LeadOutcome> result() {
        return Optional.ofNullable(outcome).map(LeadVerdict.LeadOutcome::of);
    }

    boolean isIn(LeadVerdict.LeadOutcome one) {
        return result().filter(one::equals).isPresent();
    }

    /** How it is drawn. */
    public StepState state() {
        return result().map(LeadRow::state).orElse(StepState.NOT_TESTED);
    }

    static StepState state(LeadVerdict.LeadOutcome outcome) {
        return switch (outcome) {
            case PASS -> StepState.PASS;
            case MARGINAL, SCREWS_ONLY -> StepState.MARGINAL;
            case FAIL -> StepState.FAIL;
            case INCOMPLETE -> StepState.NOT_TESTED;
        };
    }
}
