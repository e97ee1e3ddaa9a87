package zestymarten.core.judgement;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What a reading is a reading of. */
public enum Quantity {
    /** Resistance of an ohmmeter. */
    RESISTANCE,
    /** Resistance of an insulation tester at its test voltage. */
    INSULATION,
    /** Amperes that leak at a withstand voltage. */
    LEAKAGE,
    /** Volts that are left, for the proof that nothing is live or charged. */
    VOLTAGE,
    /** Volts of a meter's diode range, red on the end from which the diode conducts or on the other one. */
    FORWARD_VOLTAGE;

    /** As written in files. */
    public String code() {
        return name().toLowerCase(Locale.ROOT);
    }

    public static Optional<Quantity> of(String code) {
        return Arrays.stream(values()).filter(each -> each.code().equals(code)).findFirst();
    }

    /** Whether it is taken under a test voltage, which has to be known. */
    public boolean needsTestVoltage() {
        return this == INSULATION || this == LEAKAGE;
    }
}
