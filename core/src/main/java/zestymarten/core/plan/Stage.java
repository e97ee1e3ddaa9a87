package zestymarten.core.plan;

/** The stages of a run in the order of the job. */
public enum Stage {
    METER("Check the meter"),
    ENDS("Ring out"),
    SHORTS("Shorts"),
    FRAME("Frame");

    private final String title;

    Stage(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }
}
