package zestymarten.core.circuit;

import java.util.OptionalDouble;
import zestymarten.core.conductor.Protection;
import zestymarten.core.quantity.Message;

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
    public Message says(Protection protection, OptionalDouble legA) {
        Message fed = Message.of(
                "legs.end_feeds_alone_end",
                points(onA),
                points(onB),
                protection.name(),
                Message.figure(protection.ratedA(), "A"));
        if (legA.isEmpty()) {
            return Message.of("legs.say_what_one_leg", fed);
        }
        double times = protection.ratedA() / legA.getAsDouble();
        return times > 1
                ? Message.of(
                        "legs.may_carry_times_that",
                        fed,
                        Message.figure(legA.getAsDouble(), "A"),
                        Message.figure(Math.round(times * 100) / 100.0, ""))
                : Message.of("legs.may_carry_all", fed);
    }

    private static Message points(int count) {
        return Message.of("legs.points", count);
    }
}
