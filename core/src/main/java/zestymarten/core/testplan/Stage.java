package zestymarten.core.testplan;

/** The stages of a run in the order of the job. */
public enum Stage {
    COMPLAINT("Symptoms"),
    PREPARE("Make it safe"),
    LOOK("Inspection"),
    METER("Check the meter"),
    ENDS("Continuity"),
    SHORTS("Short circuits"),
    FRAME("Short to frame"),
    BEND("Wiggle test"),
    PARTS("Parts, every position"),
    WARM("Sensors, warmed"),
    INSULATION("Insulation resistance"),
    WET("Insulation with water"),
    WITHSTAND("Withstand test"),
    REPAIR("Repair and retest"),
    CLOSE("Restore");

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
