package zestymarten.core.check;

import zestymarten.core.limit.Limit;
import zestymarten.core.quantity.NotAccepted;

/** What a good one shows at one measurement. */
public sealed interface GoodReading {
    /** A resistance within a limit. */
    record Resistance(Limit limit) implements GoodReading {}

    /** A resistance whatever it is: nobody knows more. */
    record AnyResistance() implements GoodReading {}

    /** No continuity. */
    record NoContinuity() implements GoodReading {}

    /**
     * A forward voltage on the diode range, in volts.
     *
     * @param minimum above 0
     * @param maximum above {@code minimum}
     */
    record Forward(double minimum, double maximum) implements GoodReading {
        public Forward {
            if (!(minimum > 0 && maximum > minimum)) {
                throw new NotAccepted(
                        "good_reading.forward_voltage_above",
                        NotAccepted.given(minimum, "V"),
                        NotAccepted.given(maximum, "V"));
            }
        }
    }

    /** Over-range on the diode range: it blocks. */
    record Blocks() implements GoodReading {}
}
