package zestymarten.core.plan;

/** The stages of a run in the order of the job. */
public enum Stage {
    COMPLAINT("The complaint"),
    PREPARE("Make it safe"),
    LOOK("Look"),
    METER("Check the meter"),
    ENDS("Ring out"),
    SHORTS("Shorts"),
    FRAME("Frame"),
    BEND("Move it"),
    PARTS("Parts, every position"),
    WARM("Sensors, warmer"),
    INSULATION("Insulation"),
    WET("With water"),
    WITHSTAND("Withstand"),
    REPAIR("Repair and prove"),
    CLOSE("Put back");

    private final String title;

    Stage(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }

    /** Whether it is a test of the wiring itself, with both probes on it. */
    public boolean isTouched() {
        return compareTo(ENDS) >= 0 && compareTo(WITHSTAND) <= 0;
    }

    /** Whether a touch of the frame in it is made under a test voltage. */
    public boolean isUnderVoltage() {
        return this == INSULATION || this == WET || this == WITHSTAND;
    }
}
