package zestymarten.core.testplan;

import java.util.Arrays;
import zestymarten.core.quantity.Message;

/** The stages of a run in the order of the job. */
public enum Stage {
    SYMPTOMS("COMPLAINT"),
    PREPARE,
    INSPECTION("LOOK"),
    METER,
    CONTINUITY("ENDS"),
    SHORTS,
    FRAME,
    WIGGLE("BEND"),
    PARTS,
    DIODES,
    WARM,
    INSULATION,
    WET,
    WITHSTAND,
    REPAIR,
    RESTORE("CLOSE");

    private final String code;

    Stage() {
        this.code = name();
    }

    Stage(String code) {
        this.code = code;
    }

    /** By which it is stored, sent and sealed: the word it was first recorded by. */
    public String code() {
        return code;
    }

    /**
     * The stage of a code.
     *
     * @throws IllegalArgumentException if there is none
     */
    public static Stage of(String code) {
        return Arrays.stream(values())
                .filter(each -> each.code.equals(code))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("No stage: " + code));
    }

    public Message title() {
        return Message.of(this);
    }

    /** Whether it is a test of the wiring itself, with both probes on it. */
    public boolean isMeasured() {
        return compareTo(CONTINUITY) >= 0 && compareTo(WITHSTAND) <= 0;
    }

    /** Whether a measurement of the frame in it is made under a test voltage. */
    public boolean isUnderVoltage() {
        return this == INSULATION || this == WET || this == WITHSTAND;
    }
}
