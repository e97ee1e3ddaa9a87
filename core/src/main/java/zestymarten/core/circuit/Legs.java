package zestymarten.core.circuit;

import java.util.OptionalDouble;
import zestymarten.core.conductor.Protection;
import zestymarten.core.quantity.EngineeringFormat;

/**
 * What the two legs of a ring carry once it is open in a stretch.
 *
 * @param onA outlets that end A feeds alone, from 0
 * @param onB outlets that end B feeds alone, from 0
 */
public record Legs(int onA, int onB) {
    /** The legs left by a break in a stretch, counted from 0. */
    public static Legs of(Circuit circuit, int stretch) {
        return new Legs(stretch, circuit.outlets() - stretch);
    }

    /**
     * What that means for the cable.
     *
     * @param protection what lets the whole current through one leg
     * @param legA amperes that one leg may carry, as installed; empty where nobody says
     */
    public String says(Protection protection, OptionalDouble legA) {
        String fed = "End A feeds " + points(onA) + " alone, end B " + points(onB) + ". The " + protection.name()
                + " lets " + EngineeringFormat.text(protection.ratedA(), "A")
                + " through one leg that was to carry a part of it";
        if (legA.isEmpty()) {
            return fed + ". Say what one leg may carry to see the overload.";
        }
        double times = protection.ratedA() / legA.getAsDouble();
        return times > 1
                ? fed + ", and may carry " + EngineeringFormat.text(legA.getAsDouble(), "A") + ": "
                        + EngineeringFormat.figure(Math.round(times * 100) / 100.0)
                        + " times that, and nothing cuts it off."
                : fed + ", and may carry all of it.";
    }

    private static String points(int count) {
        return count == 0 ? "nothing" : count == 1 ? "1 point" : count + " points";
    }
}
