package zestymarten.simulator.practice;

/** What acts take, in seconds: rough figures of a careful technician. */
final class Prices {
    private static final double ISOLATE = 60;
    private static final double TOUCH = 3;
    private static final double MOVE = 1.5;
    private static final double CLIP = 3;
    private static final double SWITCH = 5;
    private static final double HANDS = 10;
    private static final double WATER = 60;
    private static final double WALK = 120;
    private static final double VOLTAGE = 70;
    private static final double REPAIR = 300;

    private Prices() {}

    /**
     * Seconds for an act.
     *
     * @param moved probes that have to find another terminal for it
     * @param tied terminals that are tied before it, each on its clip
     */
    static double seconds(Act act, long moved, int tied) {
        return act.fold(new Act.Cases<>(
                isolate -> ISOLATE,
                join -> SWITCH,
                touch -> TOUCH + MOVE * moved,
                tie -> CLIP * tie.terminals().size(),
                free -> CLIP * tied,
                set -> SWITCH,
                bend -> HANDS,
                scrape -> HANDS,
                wet -> WATER,
                walk -> WALK,
                voltage -> VOLTAGE,
                say -> SWITCH,
                mend -> REPAIR,
                done -> 0.0));
    }
}
