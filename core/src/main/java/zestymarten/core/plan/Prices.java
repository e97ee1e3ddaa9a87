package zestymarten.core.plan;

/**
 * What a step costs, in seconds: finding two pins, reading, typing. Rough figures for a bench with both ends in reach,
 * until the technician's own pace is known.
 */
public final class Prices {
    private Prices() {}

    /** Seconds for one step of a stage. */
    public static double secondsPerTouch(Stage stage) {
        return switch (stage) {
            case METER, CLOSE -> 8;
            case ENDS, PARTS, WARM -> 6;
            case SHORTS, FRAME -> 3;
            case PREPARE, BEND -> 20;
            case INSULATION, WET, WITHSTAND -> 70;
            case COMPLAINT, LOOK, REPAIR -> 10;
        };
    }
}
