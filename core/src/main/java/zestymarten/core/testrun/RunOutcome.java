package zestymarten.core.testrun;

/** What a test says of the unit as a whole. */
public enum RunOutcome {
    /** Everything was tested and nothing was found. */
    PASS("pass"),
    /** Everything was tested and passes, but something is near its limit or odd. */
    WATCH("pass, marginal"),
    /** Something is wrong. */
    FAIL("fail"),
    /** Nothing is known to be wrong, but not everything was tested. */
    INCOMPLETE("incomplete");

    private final String word;

    RunOutcome(String word) {
        this.word = word;
    }

    /** The state in whose stroke and colour it is shown. */
    public StepState state() {
        return switch (this) {
            case PASS -> StepState.GOOD;
            case WATCH -> StepState.WATCH;
            case FAIL -> StepState.FAULT;
            case INCOMPLETE -> StepState.DOUBTFUL;
        };
    }

    public String word() {
        return word;
    }

    /** As programs know it: {@code pass}, {@code marginal}, {@code fail}, {@code incomplete}. */
    public String code() {
        return this == WATCH ? "marginal" : word;
    }
}
