package zestymarten.core.testplan;

/** Whether a run looks for damaged insulation with water, dead and under the insulation tester. */
public enum Moisture {
    NONE("none"),
    /** Zone by zone with a mist. */
    MIST("mist"),
    /** The whole length in water, each core against it. */
    WATER("water");

    private final String code;

    Moisture(String code) {
        this.code = code;
    }

    /** As written in forms and tables. */
    public String code() {
        return code;
    }
}
