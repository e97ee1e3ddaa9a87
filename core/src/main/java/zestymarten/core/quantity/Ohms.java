package zestymarten.core.quantity;

/**
 * A resistance in ohms, 0 to 10^15. "No path" is not a large resistance and has no place here. Equality is exact.
 *
 * @param value ohms
 */
public record Ohms(double value) implements Comparable<Ohms> {
    /** The largest resistance that is still a number rather than "open": 10^15 ohm. */
    public static final double MAX = 1e15;

    public Ohms {
        if (!(value >= 0 && value <= MAX)) {
            throw new NotAccepted(
                    "ohms.resistance_say_open", NotAccepted.given(value, "Ω"), NotAccepted.given(MAX, "Ω"));
        }
        value += 0.0; // -0.0 and 0.0 are different to a record
    }

    public static Ohms of(double value) {
        return new Ohms(value);
    }

    public Ohms plus(Ohms other) {
        return new Ohms(value + other.value);
    }

    /** Reads as a person would write it: {@code 0.64 Ω}, {@code 15.8 kΩ}. */
    public String text() {
        return EngineeringFormat.text(value, "Ω");
    }

    @Override
    public int compareTo(Ohms other) {
        return Double.compare(value, other.value);
    }
}
