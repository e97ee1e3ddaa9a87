package zestymarten.core.testplan;

import zestymarten.core.quantity.Message;

/** The stages of a run in the order of the job. */
public enum Stage {
    COMPLAINT,
    PREPARE,
    LOOK,
    METER,
    ENDS,
    SHORTS,
    FRAME,
    BEND,
    PARTS,
    DIODES,
    WARM,
    INSULATION,
    WET,
    WITHSTAND,
    REPAIR,
    CLOSE;

    public Message title() {
        return Message.of(this);
    }

    /** Whether it is a test of the wiring itself, with both probes on it. */
    public boolean isMeasured() {
        return compareTo(ENDS) >= 0 && compareTo(WITHSTAND) <= 0;
    }

    /** Whether a measurement of the frame in it is made under a test voltage. */
    public boolean isUnderVoltage() {
        return this == INSULATION || this == WET || this == WITHSTAND;
    }
}
