package zestymarten.core.job;

/** How a step stands. Each has its own stroke and word on every screen. */
public enum StepState {
    UNTESTED("untested"),
    GOOD("good"),
    WATCH("watch"),
    FAULT("fault"),
    DOUBTFUL("doubtful"),
    SKIPPED("skipped");

    private final String word;

    StepState(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }
}
