package zestymarten.core.testrun;

import zestymarten.core.judgement.Judgement.Verdict;

/** How a step stands. Each has its own stroke and word on every screen. */
public enum StepState {
    UNTESTED("untested", "not tested"),
    GOOD("good", "pass"),
    WATCH("watch", "marginal"),
    FAULT("fault", "fail"),
    DOUBTFUL("doubtful", "doubtful"),
    SKIPPED("skipped", "skipped"),
    /** Nobody has to read it: it follows from what was read. */
    IMPLIED("implied", "implied");

    private final String code;
    private final String word;

    /** How a step stands whose last reading was judged so. */
    public static StepState of(Verdict verdict) {
        return switch (verdict) {
            case PASS -> GOOD;
            case WATCH -> WATCH;
            case FAIL -> FAULT;
            case UNDECIDED, DOUBTFUL -> DOUBTFUL;
        };
    }

    StepState(String code, String word) {
        this.code = code;
        this.word = word;
    }

    /** By which styles and files know it. */
    public String code() {
        return code;
    }

    /** As a person reads it. */
    public String word() {
        return word;
    }
}
