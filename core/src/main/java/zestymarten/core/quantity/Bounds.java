package zestymarten.core.quantity;

import java.util.Arrays;
import java.util.stream.Stream;

/** The bounds of figures that come from outside. What lies beyond them, or is no figure, is refused in a sentence. */
public final class Bounds {
    private Bounds() {}

    /**
     * A figure above 0.
     *
     * @param what what it is, as a sentence begins: "The length"
     * @throws NotAccepted if it is not above 0 or not finite
     */
    public static double aboveZero(String what, double value) {
        if (!(value > 0 && value < Double.POSITIVE_INFINITY)) {
            throw new NotAccepted("bounds.finite", Message.of(what), value);
        }
        return value;
    }

    /**
     * A figure above 0 and at most so much.
     *
     * @throws NotAccepted if it is not
     */
    public static double aboveZero(String what, double value, double maximum, String unit) {
        return aboveZero(value, maximum, unit, "bounds.above_zero", Message.of(what));
    }

    /**
     * The same, refused in a sentence of its own.
     *
     * @param first what the sentence takes before the figure and its maximum
     * @throws NotAccepted if the figure is not above 0 and at most so much
     */
    public static double aboveZero(double value, double maximum, String unit, String sentence, Object... first) {
        if (!(value > 0 && value <= maximum)) {
            throw refusal(value, maximum, unit, sentence, first);
        }
        return value;
    }

    /**
     * A figure from 0 to so much.
     *
     * @throws NotAccepted if it is not
     */
    public static double fromZero(String what, double value, double maximum, String unit) {
        if (!(value >= 0 && value <= maximum)) {
            throw refusal(value, maximum, unit, "bounds.from_zero", Message.of(what));
        }
        return value;
    }

    private static NotAccepted refusal(double value, double maximum, String unit, String sentence, Object... first) {
        return new NotAccepted(
                sentence,
                Stream.concat(
                                Arrays.stream(first),
                                Stream.of(NotAccepted.given(value, unit), NotAccepted.given(maximum, unit)))
                        .toArray());
    }
}
