package zestymarten.core.scan;

import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.Function;
import zestymarten.core.judgement.Quantity;
import zestymarten.core.quantity.NotAccepted;

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
     * @param quantity ohms of a meter, ohms of insulation under voltage, or amperes that leak under a withstand voltage
     * @param lowOhm the least that it may read in ohms, 0 for anything and for leakage
     * @param highOhm the most that it may read in ohms, infinite for anything and for leakage
     * @param maxA the most that may leak, in amperes; infinite for the others
     * @param voltage under which it is taken; empty for a meter
     */
    record MeasureContacts(Quantity quantity, double lowOhm, double highOhm, double maxA, Optional<ScanVoltage> voltage)
            implements ScanAction {
        private static final int MAX_INSULATION_V = 5000;
        private static final double NONE = Double.POSITIVE_INFINITY;

        public MeasureContacts {
            if (quantity == Quantity.VOLTAGE || quantity == Quantity.FORWARD_VOLTAGE) {
                throw new NotAccepted("scan_action.scanner_measures_resistance");
            }
            if (!(lowOhm >= 0 && highOhm > lowOhm)) {
                throw new NotAccepted(
                        "scan_action.limits_begin_or", NotAccepted.given(lowOhm, "Ω"), NotAccepted.given(highOhm, "Ω"));
            }
            if (quantity.needsTestVoltage() != voltage.isPresent()) {
                throw new NotAccepted("scan_action.needs_test_voltage", quantity.needsTestVoltage());
            }
            boolean leaks = quantity == Quantity.LEAKAGE;
            if (leaks ? !(maxA > 0 && maxA < NONE && lowOhm == 0 && highOhm == NONE) : maxA != NONE) {
                throw new NotAccepted("scan_action.withstand_maximum_leakage");
            }
            if (quantity == Quantity.INSULATION
                    && voltage.filter(each -> each.alternates() || each.volts() > MAX_INSULATION_V)
                            .isPresent()) {
                throw new NotAccepted("scan_action.insulation_measured_with", NotAccepted.given(MAX_INSULATION_V, "V"));
            }
        }

        /** Resistance of a meter. */
        public static MeasureContacts ohms(double lowOhm, double highOhm) {
            return new MeasureContacts(Quantity.RESISTANCE, lowOhm, highOhm, NONE, Optional.empty());
        }

        /** Resistance of insulation, with their minimum. */
        public static MeasureContacts insulation(double minOhm, ScanVoltage voltage) {
            return new MeasureContacts(Quantity.INSULATION, minOhm, NONE, NONE, Optional.of(voltage));
        }

        /** Amperes that leak, with their maximum. */
        public static MeasureContacts withstand(double maxA, ScanVoltage voltage) {
            return new MeasureContacts(Quantity.LEAKAGE, 0, NONE, maxA, Optional.of(voltage));
        }

        /** Whether the two sides should have a path. */
        public boolean expectsWayThrough() {
            return highOhm < NONE;
        }

        /** Whether a reading, in ohms or amperes, is within its limits. */
        public boolean isWithin(double value) {
            return quantity == Quantity.LEAKAGE ? value <= maxA : value >= lowOhm && value <= highOhm;
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
