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
     * @param least above 0
     * @param most above {@code least}
     */
    record Forward(double least, double most) implements GoodReading {
        public Forward {
            if (!(least > 0 && most > least)) {
                throw new NotAccepted(
                        "good_reading.forward_voltage_above",
                        NotAccepted.given(least, "V"),
                        NotAccepted.given(most, "V"));
            }
        }
    }

    /** Over-range on the diode range: it blocks. */
    record Blocks() implements GoodReading {}
}
