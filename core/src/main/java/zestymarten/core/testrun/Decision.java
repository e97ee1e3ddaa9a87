package zestymarten.core.testrun;

import java.util.Optional;
import zestymarten.core.quantity.Message;

/** What happens to a unit after its test. */
public enum Decision {
    RELEASE(UnitState.IN_SERVICE),
    WATCH(UnitState.IN_SERVICE),
    QUARANTINE(UnitState.QUARANTINED);

    private final UnitState unitState;

    Decision(UnitState unitState) {
        this.unitState = unitState;
    }

    public Message word() {
        return Message.of(this);
    }

    /** The state in which it puts the unit. */
    public UnitState unitState() {
        return unitState;
    }

    /** What the outcome of a test suggests. */
    public static Decision after(RunOutcome outcome) {
        return switch (outcome) {
            case PASS -> RELEASE;
            case MARGINAL -> WATCH;
            case FAIL, INCOMPLETE -> QUARANTINE;
        };
    }

    /**
     * Why it may not be decided so; empty if it may.
     *
     * @param lead whether a lead hand decides
     * @param due whether it is said when the unit is due again
     */
    public Optional<Message> refusal(RunOutcome outcome, boolean lead, boolean due) {
        if (this == QUARANTINE) {
            return Optional.empty();
        }
        if (outcome == RunOutcome.FAIL) {
            return Optional.of(Message.of("decision.fault"));
        }
        if (outcome == RunOutcome.INCOMPLETE && !lead) {
            return Optional.of(Message.of("decision.lead_hand_only"));
        }
        return this == WATCH && !due ? Optional.of(Message.of("decision.due_is_missing")) : Optional.empty();
    }
}
