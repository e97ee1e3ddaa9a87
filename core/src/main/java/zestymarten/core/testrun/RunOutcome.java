package zestymarten.core.testrun;

/** What a test says of the unit as a whole. */
public enum RunOutcome {
    /** Everything was tested and nothing was found. */
    PASS("pass"),
    /** Everything was tested and passes, but something is near its limit or odd. */
    WATCH("marginal"),
    /** Something is wrong. */
    FAIL("fail"),
    /** Nothing is known to be wrong, but not everything was tested. */
    INCOMPLETE("incomplete");

    private final String code;

    RunOutcome(String code) {
        this.code = code;
    }

    /** The state in whose stroke and colour it is shown. */
    public StepState state() {
        return switch (this) {
            case PASS -> StepState.PASS;
            case WATCH -> StepState.MARGINAL;
            case FAIL -> StepState.FAIL;
            case INCOMPLETE -> StepState.DOUBTFUL;
        };
    }

    /** As programs know it: {@code pass}, {@code marginal}, {@code fail}, {@code incomplete}. */
    public String code() {
        return code;
    }
}
