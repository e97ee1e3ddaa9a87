package zestymarten.core.testrun;

/** What a test says of the unit as a whole. */
public enum RunOutcome {
    /** Everything was tested and nothing was found. */
    PASS("pass"),
    /** Everything was tested and passes, but something is near its limit or odd. */
    MARGINAL("marginal"),
    /** Something is wrong. */
    FAIL("fail"),
    /** Nothing is known to be wrong, but not everything was tested. */
    INCOMPLETE("incomplete");

    private static final String STORED_MARGINAL = "WATCH";

    private final String code;

    RunOutcome(String code) {
        this.code = code;
    }

    /** The state in whose stroke and colour it is shown. */
    public StepState state() {
        return switch (this) {
            case PASS -> StepState.PASS;
            case MARGINAL -> StepState.MARGINAL;
            case FAIL -> StepState.FAIL;
            case INCOMPLETE -> StepState.DOUBTFUL;
        };
    }

    /** As it is stored. An end that was recorded by an earlier word is never written anew: its seal is over that word. */
    public String stored() {
        return this == MARGINAL ? STORED_MARGINAL : name();
    }

    /**
     * What is stored by such a word.
     *
     * @throws IllegalArgumentException if nothing is
     */
    public static RunOutcome ofStored(String word) {
        return word.equals(STORED_MARGINAL) ? MARGINAL : valueOf(word);
    }

    /** As programs know it: {@code pass}, {@code marginal}, {@code fail}, {@code incomplete}. */
    public String code() {
        return code;
    }
}
