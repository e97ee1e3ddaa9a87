package zestymarten.core.quantity;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What stands in a {@link Message}: a closed family, so that whoever puts words to it knows how to write each.
 *
 * <p>A message is an argument of another where a sentence names something that has a word of its own.
 */
public sealed interface MessageArgument
        permits Message, MessageArgument.Text, MessageArgument.Figure, MessageArgument.Count, MessageArgument.Listing {

    /** Text that stays as it is in every language: names, pins, what somebody typed. */
    record Text(String value) implements MessageArgument {
        @Override
        public String toString() {
            return value;
        }
    }

    /**
     * A quantity.
     *
     * @param value finite, in the base unit
     * @param unit its symbol, such as {@code Ω}; empty for a bare figure
     */
    record Figure(double value, String unit) implements MessageArgument {
        public Figure {
            if (!Double.isFinite(value)) {
                throw new IllegalArgumentException(
                        "Figure (" + value + ") must be finite to be printed in " + unit + ".");
            }
        }

        @Override
        public String toString() {
            return EngineeringFormat.text(value, unit);
        }
    }

    /** How many of something: what decides between one and several. */
    record Count(long value) implements MessageArgument {
        @Override
        public String toString() {
            return Long.toString(value);
        }
    }

    /** Several in a row, as the language strings them together. */
    record Listing(Link link, List<MessageArgument> members) implements MessageArgument {
        /** How the members of a list hang together. */
        public enum Link {
            /** {@code A, B and C}. */
            AND,
            /** {@code A, B or C}. */
            OR,
            /** {@code A, B, C}. */
            COMMA,
            /** {@code A; B; C}. */
            SEMICOLON,
            /** Sentences one after the other. */
            SENTENCES
        }

        public Listing {
            members = List.copyOf(members);
        }

        @Override
        public String toString() {
            return members.toString();
        }
    }

    /** Every kind of argument, named. */
    interface ArgumentCases<T> {
        T message(Message message);

        T text(Text text);

        T figure(Figure figure);

        T count(Count count);

        T listing(Listing listing);
    }

    /** What {@code cases} says of this one. */
    default <T> T fold(ArgumentCases<T> cases) {
        if (this instanceof Message message) {
            return cases.message(message);
        } else if (this instanceof Text text) {
            return cases.text(text);
        } else if (this instanceof Figure figure) {
            return cases.figure(figure);
        } else if (this instanceof Count count) {
            return cases.count(count);
        } else {
            return cases.listing((Listing) this);
        }
    }

    /**
     * A value of the core as an argument: quantities keep their unit, whole numbers count, {@code true} and {@code false} choose,
     * constants have the word of {@link Message#of(Enum)}, collections are strung together by "and", an empty optional is
     * {@link Message#NONE}; anything else is text as it prints itself.
     *
     * @throws IllegalArgumentException for a bare figure: whether it has a unit must be said by {@link Message#figure}
     */
    static MessageArgument of(Object value) {
        if (value instanceof MessageArgument argument) {
            return argument;
        } else if (value instanceof Ohms ohms) {
            return new Figure(ohms.value(), "Ω");
        } else if (value instanceof MeterReading reading) {
            return reading.message();
        } else if (value instanceof Integer || value instanceof Long) {
            return new Count(((Number) value).longValue());
        } else if (value instanceof Double || value instanceof Float || value instanceof OptionalDouble) {
            throw new IllegalArgumentException(
                    "A figure (" + value + ") of a message must say its unit, or that it has none.");
        } else if (value instanceof Enum<?> constant) {
            return Message.of(constant);
        } else if (value instanceof Collection<?> several) {
            return new Listing(
                    Listing.Link.AND, several.stream().map(MessageArgument::of).toList());
        } else if (value instanceof Optional<?> optional) {
            return optional.<MessageArgument>map(MessageArgument::of).orElse(Message.NONE);
        }
        return new Text(value.toString());
    }
}
