package zestymarten.core.job;

import zestymarten.core.judge.Judgement.Verdict;

/** How a step stands. Each has its own stroke and word on every screen. */
public enum StepState {
    UNTESTED("untested"),
    GOOD("good"),
    WATCH("watch"),
    FAULT("fault"),
    DOUBTFUL("doubtful"),
    SKIPPED("skipped");

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

    StepState(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }
}
