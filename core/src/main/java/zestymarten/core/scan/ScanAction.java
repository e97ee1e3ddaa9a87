package zestymarten.core.scan;

import java.util.List;
import java.util.TreeSet;
import java.util.function.Function;
import zestymarten.core.judgement.Quantity;

/** One line of a program. */
public sealed interface ScanAction {
    /** Connects points to buses; what else is connected stays. */
    record Close(List<ScanContact> contacts) implements ScanAction {
        public Close {
            contacts = List.copyOf(new TreeSet<>(contacts));
        }
    }

    /** Disconnects points. */
    record OpenContact(List<ScanContact> contacts) implements ScanAction {
        public OpenContact {
            contacts = List.copyOf(new TreeSet<>(contacts));
        }
    }

    /** Waits until somebody has set switches and relays; empty for the state at rest. */
    record Await(String state) implements ScanAction {}

    /**
     * Measures between bus A and bus B.
     *
     * @param quantity ohms of a meter, or of insulation under voltage
     * @param lowOhm the least that it may read, 0 for anything
     * @param highOhm the most that it may read, infinite for anything
     * @param testV volts for insulation, 0 for a meter
     * @param dwellS seconds under voltage, 0 for a meter
     */
    record MeasureContacts(Quantity quantity, double lowOhm, double highOhm, double testV, double dwellS)
            implements ScanAction {
        private static final double MOST_V = 5000;
        private static final double MOST_S = 3600;

        public MeasureContacts {
            if (quantity != Quantity.RESISTANCE && quantity != Quantity.INSULATION) {
                throw new IllegalArgumentException(
                        "A scanner measures resistance or insulation, not " + quantity + ".");
            }
            if (!(lowOhm >= 0 && highOhm > lowOhm)) {
                throw new IllegalArgumentException("Limits (" + lowOhm + " to " + highOhm
                        + " ohm) must begin at 0 or above and end above where they begin.");
            }
            boolean under = quantity == Quantity.INSULATION;
            if (under
                    ? !(testV > 0 && testV <= MOST_V && dwellS >= 0 && dwellS <= MOST_S)
                    : testV != 0 || dwellS != 0) {
                throw new IllegalArgumentException(
                        "Insulation takes up to 5000 V for up to 3600 s, resistance takes neither; read " + testV
                                + " V for " + dwellS + " s.");
            }
        }

        /** Ohms of a meter. */
        public static MeasureContacts ohms(double lowOhm, double highOhm) {
            return new MeasureContacts(Quantity.RESISTANCE, lowOhm, highOhm, 0, 0);
        }

        /** Whether the two sides should have a way through. */
        public boolean expectsWayThrough() {
            return highOhm < Double.POSITIVE_INFINITY;
        }
    }

    /** Chooses by kind. */
    default <T> T fold(
            Function<Close, T> close,
            Function<OpenContact, T> open,
            Function<Await, T> await,
            Function<MeasureContacts, T> measure) {
        if (this instanceof Close one) {
            return close.apply(one);
        } else if (this instanceof OpenContact one) {
            return open.apply(one);
        } else if (this instanceof Await one) {
            return await.apply(one);
        }
        return measure.apply((MeasureContacts) this);
    }
}
