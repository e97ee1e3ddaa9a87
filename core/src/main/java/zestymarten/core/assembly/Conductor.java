package zestymarten.core.assembly;

import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.quantity.Bounds;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;

/**
 * A wire from terminal to terminal, with what is known of it. The {@code from} end is the one that stays put when ends
 * change places. Lengths above 0 to 100 km, sections above 0 to 2000 mm², currents 0 to 20 kA, limits above 0 ohm.
 *
 * @param id its name on the drawing, unique in the assembly
 * @param current amperes it carries; empty for a signal, for which a tone may do
 */
public record Conductor(
        String id,
        Terminal from,
        Terminal to,
        Optional<Colour> colour,
        Optional<String> function,
        OptionalDouble lengthM,
        OptionalDouble areaMm2,
        Metal metal,
        StrandClass strandClass,
        Optional<String> zone,
        OptionalDouble current,
        boolean spare,
        OptionalDouble maxOhm,
        OptionalDouble minOhm,
        Optional<String> note) {

    static final double LONGEST_M = 100_000;
    static final double THICKEST_MM2 = 2000;
    static final double MAX_AMPERES = 20_000;
    static final double MAX_OHM = 1e9;

    public Conductor {
        if (id.isBlank()) {
            throw new NotAccepted("conductor.conductor_have_name");
        }
        if (from.equals(to)) {
            throw new NotAccepted("conductor.conductor_runs_itself", id, from);
        }
        require(id, "conductor.what_length", lengthM, LONGEST_M, "m");
        require(id, "conductor.what_section", areaMm2, THICKEST_MM2, "mm²");
        require(id, "conductor.what_highest_resistance", maxOhm, MAX_OHM, "Ω");
        require(id, "conductor.what_lowest_resistance", minOhm, MAX_OHM, "Ω");
        if (current.isPresent() && !(current.getAsDouble() >= 0 && current.getAsDouble() <= MAX_AMPERES)) {
            throw new NotAccepted(
                    "conductor.current_out_of_range",
                    id,
                    NotAccepted.given(current.getAsDouble(), "A"),
                    NotAccepted.given(MAX_AMPERES, "A"));
        }
        if (maxOhm.isPresent() && minOhm.isPresent() && minOhm.getAsDouble() > maxOhm.getAsDouble()) {
            throw new NotAccepted(
                    "conductor.conductor_lowest_resistance",
                    id,
                    NotAccepted.given(minOhm.getAsDouble(), "Ω"),
                    NotAccepted.given(maxOhm.getAsDouble(), "Ω"));
        }
    }

    private static void require(String id, String what, OptionalDouble value, double maximum, String unit) {
        value.ifPresent(
                given -> Bounds.aboveZero(given, maximum, unit, "conductor.out_of_range", id, Message.of(what)));
    }

    /** A conductor of which only the ends are known. */
    public static Conductor between(String id, Terminal from, Terminal to) {
        return new Conductor(
                id,
                from,
                to,
                Optional.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Metal.COPPER,
                StrandClass.FIVE,
                Optional.empty(),
                OptionalDouble.empty(),
                false,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.empty());
    }

    /** Whether a tone alone must not pass it: it carries a current. */
    public boolean carriesCurrent() {
        return current.orElse(0) > 0;
    }

    /** The same wire with a spare core's copper in its cavities: what it is made of comes from the spare, its job stays. */
    public Conductor carriedBy(Conductor core) {
        return new Conductor(
                id,
                from,
                to,
                core.colour,
                function,
                core.lengthM,
                core.areaMm2,
                core.metal,
                core.strandClass,
                zone,
                current,
                spare,
                core.maxOhm.isPresent() ? core.maxOhm : maxOhm,
                minOhm,
                note);
    }

    /** The same in another colour. */
    public Conductor coloured(Colour other) {
        return new Conductor(
                id,
                from,
                to,
                Optional.of(other),
                function,
                lengthM,
                areaMm2,
                metal,
                strandClass,
                zone,
                current,
                spare,
                maxOhm,
                minOhm,
                note);
    }

    /** The same wire between other terminals. */
    public Conductor withEnds(Terminal a, Terminal b) {
        return new Conductor(
                id,
                a,
                b,
                colour,
                function,
                lengthM,
                areaMm2,
                metal,
                strandClass,
                zone,
                current,
                spare,
                maxOhm,
                minOhm,
                note);
    }

    /** The terminal at the other end from the one given, which must be one of the two. */
    public Terminal otherEnd(Terminal end) {
        if (!end.equals(from) && !end.equals(to)) {
            throw new NotAccepted("conductor.terminal_no_end", end, id);
        }
        return end.equals(from) ? to : from;
    }
}
