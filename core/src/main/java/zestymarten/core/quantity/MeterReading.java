package zestymarten.core.quantity;

import java.util.List;
import java.util.OptionalDouble;

/** What a typed reading was understood to say. A closed family: a new way to read must be handled everywhere. */
public sealed interface MeterReading {

    /** A figure in its base unit: ohms from 0, volts or amperes of either sign; always finite. */
    record Value(double value, Unit unit) implements MeterReading {
        public Value {
            double minimum = unit == Unit.OHM ? 0 : -Ohms.MAX;
            if (!(value >= minimum && value <= Ohms.MAX)) {
                throw new NotAccepted("meter_reading.out_of_range", value, minimum, Ohms.MAX);
            }
            value += 0.0;
        }

        public static Value ohms(double value) {
            return new Value(value, Unit.OHM);
        }
    }

    /** The meter showed its over-range mark: more than the range in use. */
    record OverRange() implements MeterReading {}

    /** More than a figure, as insulation testers show at the top of their range. */
    record Above(double value, Unit unit) implements MeterReading {}

    /** Less than a figure. */
    record Below(double value, Unit unit) implements MeterReading {}

    /** The continuity tone sounded. */
    record Tone() implements MeterReading {}

    /** The continuity tone stayed silent. */
    record Silent() implements MeterReading {}

    /** The reading moved about. {@code between} holds its ends as typed, in order, and is empty for a bare "jumps". */
    record Unstable(List<MeterReading> between) implements MeterReading {
        public Unstable {
            between = List.copyOf(between);
        }
    }

    /** The text can mean several things; the technician says which. */
    record Ambiguous(List<MeterReading> candidates, Message question) implements MeterReading {
        public Ambiguous {
            candidates = List.copyOf(candidates);
        }
    }

    /** The text says nothing that could be recorded. */
    record Refused(Message message) implements MeterReading {}

    /** One answer for each member of the family. */
    interface ReadingCases<T> {
        T value(Value value);

        T overRange();

        T above(Above above);

        T below(Below below);

        T tone();

        T silent();

        T unstable(Unstable unstable);

        T ambiguous(Ambiguous ambiguous);

        T refused(Refused refused);
    }

    /** Chooses the answer that fits this member. */
    default <T> T fold(ReadingCases<T> cases) {
        if (this instanceof Value value) {
            return cases.value(value);
        } else if (this instanceof OverRange) {
            return cases.overRange();
        } else if (this instanceof Above above) {
            return cases.above(above);
        } else if (this instanceof Below below) {
            return cases.below(below);
        } else if (this instanceof Tone) {
            return cases.tone();
        } else if (this instanceof Silent) {
            return cases.silent();
        } else if (this instanceof Unstable unstable) {
            return cases.unstable(unstable);
        } else if (this instanceof Ambiguous ambiguous) {
            return cases.ambiguous(ambiguous);
        } else {
            return cases.refused((Refused) this);
        }
    }

    /** Its kind as written in the open formats: {@code value}, {@code over_range}. */
    default String kind() {
        return fold(ReadingKinds.NAMES);
    }

    /** Its figure in its base unit, where it has one. */
    default OptionalDouble figure() {
        if (this instanceof Value value) {
            return OptionalDouble.of(value.value());
        } else if (this instanceof Above above) {
            return OptionalDouble.of(above.value());
        }
        return this instanceof Below below ? OptionalDouble.of(below.value()) : OptionalDouble.empty();
    }

    /** How it is said back to the technician: "0.64 Ω", "over-range", "tone". */
    default Message message() {
        return fold(Wording.SPOKEN);
    }

    /** The unit in which a figure was given or implied. */
    enum Unit {
        OHM("Ω"),
        VOLT("V"),
        AMPERE("A");

        private final String symbol;

        Unit(String symbol) {
            this.symbol = symbol;
        }

        public String symbol() {
            return symbol;
        }
    }
}
