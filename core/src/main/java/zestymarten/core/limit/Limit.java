package zestymarten.core.limit;

import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Ohms;

/**
 * What a good conductor or path may read, and why.
 *
 * @param low below this it is odd: {@code watch}, or {@code fail} if {@code lowGiven}
 * @param nominal what to expect; empty where length or section are not known
 * @param high above this it fails
 * @param lowGiven whether the low bound was given rather than derived
 * @param by how {@code high} came about
 * @param carriesA the current of a wire of which nothing else is known, in amperes: a round figure may be a heater
 */
public record Limit(
        Ohms low, Optional<Ohms> nominal, Ohms high, boolean lowGiven, Derivation by, OptionalDouble carriesA) {
    /** The rules in their order of authority. */
    public enum Rule {
        /** The figure given for this wire. */
        GIVEN,
        /** The figure given for all wires of the assembly. */
        ASSEMBLY,
        /** A standard's table by section, class and metal. */
        STANDARD,
        /** Resistivity from a handbook with a margin, for metals without a table. */
        HANDBOOK,
        /** The heat that its current may make in it. */
        HEAT,
        /** The voltage that may be lost on it. */
        DROP,
        /** What good units of the same type read. */
        LEARNT,
        /** Nothing is known of the wire. */
        ROUND_FIGURE,
        /** The value of a part with its tolerance. */
        PART,
        /** The sum of several conductors' limits. */
        SUM;

        public Message words() {
            return Message.of(this);
        }
    }

    /** A limit that was derived from what is known of the wire. */
    public Limit(Ohms low, Optional<Ohms> nominal, Ohms high, boolean lowGiven, Derivation by) {
        this(low, nominal, high, lowGiven, by, OptionalDouble.empty());
    }

    /** A limit whose sentence says it all. */
    public Limit(Ohms low, Optional<Ohms> nominal, Ohms high, boolean lowGiven, Rule rule, Message sentence) {
        this(low, nominal, high, lowGiven, Derivation.plain(rule, rule.words(), sentence));
    }

    /** The same for a wire that carries so much current, where nothing else is known of it. */
    Limit carrying(OptionalDouble amperes) {
        return new Limit(low, nominal, high, lowGiven, by, amperes);
    }

    /** Which rule of the order of authority led to {@link #high}. */
    public Rule rule() {
        return by.rule();
    }

    /** The rule, its inputs and its source in one sentence. */
    public Message derivation() {
        return by.sentence();
    }

    public Limit {
        if (low.compareTo(high) > 0) {
            throw new IllegalArgumentException(
                    "Limit: low (" + low.text() + ") must not be above high (" + high.text() + ").");
        }
    }
}
