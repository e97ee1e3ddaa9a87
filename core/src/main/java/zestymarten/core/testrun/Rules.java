package zestymarten.core.testrun;

/** The rules by which readings are judged, faults named and tests passed. */
public final class Rules {
    /** Raised with every change that may alter a judgement, a finding or a verdict; stands on each record. */
    public static final String VERSION = "2026-11-29";

    private Rules() {}
}
