package zestymarten.simulator.practice;

/** What actions take, in seconds: rough figures of a careful technician. */
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
     * Seconds for an action.
     *
     * @param moved probes that have to find another terminal for it
     * @param linked terminals that are linked before it, each on its clip
     */
    static double seconds(PracticeAction action, long moved, int linked) {
        return action.fold(new PracticeAction.Cases<>(
                isolate -> ISOLATE,
                join -> SWITCH,
                measurement -> TOUCH + MOVE * moved,
                link -> CLIP * link.terminals().size(),
                unlink -> CLIP * linked,
                set -> SWITCH,
                bend -> HANDS,
                scrape -> HANDS,
                wet -> WATER,
                trip -> WALK,
                voltage -> VOLTAGE,
                say -> SWITCH,
                repair -> REPAIR,
                done -> 0.0));
    }
}
