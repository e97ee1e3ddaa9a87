package zestymarten.core.conductor;

import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;

/**
 * A residual-current device: it opens when line and neutral do not carry the same. Source: IEC 61008-1, table 1; for one in a
 * breaker IEC 61009-1 has the same times.
 *
 * @param wave which shapes of residual current it sees
 * @param delayed whether it is the selective kind, S, which waits so that one behind it opens first
 * @param residualA rated residual current in amperes, above 0 and at most 30 A, such as 0.03
 */
public record ResidualDevice(Wave wave, boolean delayed, double residualA) {
    /**
     * The shapes of residual current that a device is made to see. Source: IEC 61008-1 for AC and A, IEC 62423 for F and B.
     */
    public enum Wave {
        /** Sine waves alone. */
        AC,
        /** Half waves of rectifiers as well. */
        A,
        /** Mixed frequencies of single-phase drives as well. */
        F,
        /** Smooth direct current as well. */
        B,
        /** Nobody has said. */
        NOT_SAID
    }

    private static final double MAX_A = 30;
    /** Multiples of the rated residual current, the longest and the shortest time at each in seconds. */
    private static final double[] TIMES = {1, 2, 5};

    private static final double[] GENERAL_S = {0.3, 0.15, 0.04};
    private static final double[] DELAYED_S = {0.5, 0.2, 0.15};
    private static final double[] WAITS_S = {0.13, 0.06, 0.05};

    /** Where its times come from. */
    public static final String SOURCE = "IEC 61008-1, table 1";

    public ResidualDevice {
        if (!(residualA > 0 && residualA <= MAX_A)) {
            throw new NotAccepted(
                    "residual_device.rated_residual_current",
                    NotAccepted.given(residualA, "A"),
                    NotAccepted.given((int) MAX_A, "A"));
        }
    }

    /** Such as {@code RCD of 30 mA (type A)} or {@code RCD of 300 mA (type AC, selective)}. */
    public Message name() {
        return Message.of("residual_device.rcd", Message.figure(residualA, "A"), wave.name(), delayed);
    }

    /** What it does not show although its times are kept: loads whose residual current it may not see; none for type B. */
    public Optional<Message> blindTo() {
        return wave == Wave.B ? Optional.empty() : Optional.of(Message.of("residual_device.blind_to", wave.name()));
    }

    /** The longest time in seconds that it may take at a residual current; empty below its rated one, where it may stay closed. */
    public OptionalDouble longestSeconds(double amperes) {
        OptionalDouble longest = OptionalDouble.empty();
        for (int i = 0; i < TIMES.length; i++) {
            if (amperes >= TIMES[i] * residualA) {
                longest = OptionalDouble.of((delayed ? DELAYED_S : GENERAL_S)[i]);
            }
        }
        return longest;
    }

    /** The shortest time in seconds that it must wait at its rated residual current or above; 0 for one without delay. */
    public double shortestSeconds(double amperes) {
        double shortest = 0;
        for (int i = 0; i < TIMES.length; i++) {
            if (delayed && amperes >= TIMES[i] * residualA) {
                shortest = WAITS_S[i];
            }
        }
        return shortest;
    }
}
