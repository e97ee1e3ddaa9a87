package zestymarten.core.scan;

import zestymarten.core.quantity.Bounds;
import zestymarten.core.quantity.NotAccepted;

/**
 * A test voltage of a scanning program.
 *
 * @param volts rms where it alternates, above 0 and at most {@value #MAX_V}
 * @param hertz 0 for DC, at most {@value #MAX_HZ}
 * @param rampS seconds in which it rises, 0 to {@value #MAX_RAMP_S}
 * @param dwellS seconds for which it is held then, 0 to {@value #MAX_S}
 */
public record ScanVoltage(double volts, double hertz, double rampS, double dwellS) {
    /** The rise where nothing else is said, in seconds. */
    public static final double USUAL_RAMP_S = 1;

    private static final double MAX_V = 20_000;
    private static final double MAX_HZ = 400;
    private static final double MAX_RAMP_S = 120;
    private static final double MAX_S = 3600;
    /** Discharged for four times as long as the voltage was on. */
    private static final double DISCHARGE = 4;

    public ScanVoltage {
        if (!(volts > 0 && volts <= MAX_V)) {
            throw new NotAccepted(
                    "scan_voltage.test_voltage_v", NotAccepted.given(volts, "V"), NotAccepted.given(MAX_V, "V"));
        }
        Bounds.fromZero("scan_voltage.what_its_frequency", hertz, MAX_HZ, "Hz");
        Bounds.fromZero("scan_voltage.what_the_ramp", rampS, MAX_RAMP_S, "s");
        Bounds.fromZero("scan_voltage.what_the_dwell", dwellS, MAX_S, "s");
    }

    public boolean alternates() {
        return hertz > 0;
    }

    /** Seconds until it has been on for its whole time. */
    public double onS() {
        return rampS + dwellS;
    }

    /** Seconds for which it is discharged after. */
    public double dischargeS() {
        return dischargeS(onS());
    }

    /** Seconds for which a unit is discharged that was under voltage for so many. */
    public static double dischargeS(double onS) {
        return DISCHARGE * onS;
    }
}
