package zestymarten.core.testrun;

import java.util.Arrays;

/** Where a unit is between its tests. */
public enum UnitState {
    ON_THE_BENCH("on the bench"),
    IN_SERVICE("in service"),
    QUARANTINED("quarantined"),
    SCRAPPED("scrapped");

    private final String code;

    UnitState(String code) {
        this.code = code;
    }

    /** As it is stored, and as programs read it. */
    public String code() {
        return code;
    }

    /**
     * The state of a code.
     *
     * @throws IllegalArgumentException if there is none
     */
    public static UnitState of(String code) {
        return Arrays.stream(values())
                .filter(each -> each.code.equals(code))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("No state of a unit: " + code));
    }
}
