package zestymarten.core.plan;

/**
 * What a step costs, in seconds: finding two pins, reading, typing. Rough figures for a bench with both ends in reach,
 * until the technician's own pace is known.
 */
public final class Prices {
    private Prices() {}

    /** Seconds for one touch of a stage. */
    public static double secondsPerTouch(Stage stage) {
        return switch (stage) {
            case METER -> 8;
            case ENDS -> 6;
            case SHORTS -> 3;
            case FRAME -> 3;
        };
    }
}
