package zestymarten.core.testrun;

import java.util.Optional;

/** What happens to a unit after its test. */
public enum Decision {
    RELEASE("released", "in service"),
    WATCH("released, to be watched", "in service"),
    QUARANTINE("quarantined", "quarantined");

    private final String word;
    private final String unitState;

    Decision(String word, String unitState) {
        this.word = word;
        this.unitState = unitState;
    }

    public String word() {
        return word;
    }

    /** The state in which it puts the unit. */
    public String unitState() {
        return unitState;
    }

    /** What the outcome of a test suggests. */
    public static Decision after(RunOutcome outcome) {
        return switch (outcome) {
            case PASS -> RELEASE;
            case WATCH -> WATCH;
            case FAIL, INCOMPLETE -> QUARANTINE;
        };
    }

    /**
     * Why it may not be decided so; empty if it may.
     *
     * @param lead whether a lead hand decides
     * @param due whether it is said when the unit is due again
     */
    public Optional<String> refusal(RunOutcome outcome, boolean lead, boolean due) {
        if (this == QUARANTINE) {
            return Optional.empty();
        }
        if (outcome == RunOutcome.FAIL) {
            return Optional.of("A unit with a fault is not released. Repair it and test it again.");
        }
        if (outcome == RunOutcome.INCOMPLETE && !lead) {
            return Optional.of(
                    "Not everything was tested: only a lead hand may release it, and the record says what was left"
                            + " out.");
        }
        return this == WATCH && !due
                ? Optional.of("A unit that is watched needs a next test: a date, hours or cycles.")
                : Optional.empty();
    }
}
