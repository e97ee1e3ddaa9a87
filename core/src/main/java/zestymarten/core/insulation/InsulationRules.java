package zestymarten.core.insulation;

import java.util.OptionalDouble;
import zestymarten.core.quantity.Bounds;

/** Formulas of insulation. Resistances in ohms, lengths in metres, temperatures in °C, capacitances in farads. */
public final class InsulationRules {
    /** Above this many ohms after a minute the polarisation index means nothing: 5 gigaohm. */
    public static final double INDEX_UP_TO_OHM = 5e9;

    private static final double MIN_SHARE = 0.5;

    private InsulationRules() {}

    /** To 20 °C: {@code R20 = R x 2^((t - 20) / 10)}. A rule of thumb, and to be named as such. */
    public static double at20(double ohm, double celsius) {
        return Bounds.aboveZero("insulation_rules.what_resistance", ohm) * Math.pow(2, (celsius - 20) / 10);
    }

    /** Dielectric absorption ratio: after 60 s to after 30 s. */
    public static double absorption(double after60s, double after30s) {
        return Bounds.aboveZero("insulation_rules.what_reading_after_60_s", after60s)
                / Bounds.aboveZero("insulation_rules.what_reading_after_30_s", after30s);
    }

    /** Polarisation index: after 600 s to after 60 s; empty where the reading after 60 s is above {@link #INDEX_UP_TO_OHM}. */
    public static OptionalDouble polarisation(double after600s, double after60s) {
        return Bounds.aboveZero("insulation_rules.what_reading_after_60_s", after60s) > INDEX_UP_TO_OHM
                ? OptionalDouble.empty()
                : OptionalDouble.of(
                        Bounds.aboveZero("insulation_rules.what_reading_after_600_s", after600s) / after60s);
    }

    /** Charging current of a cable under an alternating voltage in amperes: {@code Ic = 2 pi f C U}. */
    public static double chargingAmperes(double volts, double hertz, double faradPerMetre, double lengthM) {
        return 2
                * Math.PI
                * Bounds.aboveZero("insulation_rules.what_frequency", hertz)
                * Bounds.aboveZero("insulation_rules.what_capacitance_per_metre", faradPerMetre)
                * Bounds.aboveZero("insulation_rules.what_length", lengthM)
                * Bounds.aboveZero("insulation_rules.what_voltage", volts);
    }

    /** Leakage in amperes from the total under alternating voltage, charging current taken off in quadrature. */
    public static double leakageAmperes(double total, double charging) {
        return Math.sqrt(Math.max(0, total * total - charging * charging));
    }

    /** Whether a current proves that the clips were on: at least half of the charging current that the length predicts. */
    public static boolean provesConnection(double total, double predictedCharging) {
        return total
                >= MIN_SHARE * Bounds.aboveZero("insulation_rules.what_predicted_charging_current", predictedCharging);
    }

    /** The usual withstand voltage in volts AC rms: {@code 2 U + 1000}. */
    public static double withstandVolts(double nominalVolts) {
        return 2 * Bounds.aboveZero("insulation_rules.what_nominal_voltage", nominalVolts) + 1000;
    }

    /** Seconds to discharge after a test: four times the time under voltage. */
    public static double dischargeSeconds(double secondsUnderVoltage) {
        return 4 * Bounds.aboveZero("insulation_rules.what_time_under_voltage", secondsUnderVoltage);
    }
}
