package zestymarten.web.meter;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import zestymarten.core.quantity.Message;
import zestymarten.web.platform.Refusal;

/**
 * What an instrument showed.
 *
 * @param value in ohms or amperes; infinite for more than its range
 * @param shown the same as it would be typed from the display
 */
public record InstrumentReading(double value, String shown) {
    /** From here on a figure stands for more than the range (SCPI-99). */
    public static final double OVER_RANGE = 9e37;

    private static final int FIGURES = 5;
    private static final double TESTER_TOP_OHM = 2e9;
    private static final String TRIPPED = "301,";

    /** Whether a tester's answer says that it tripped. */
    public static boolean isTrip(String answer) {
        return answer.startsWith(TRIPPED);
    }

    /**
     * What an insulation or withstand tester answered.
     *
     * @param leaks whether amperes were asked for, rather than ohms
     * @param seconds for which the voltage was on
     * @param address of the tester, to say of what is no figure
     * @throws Refusal for what is neither a figure nor a trip
     */
    public static InstrumentReading ofTester(String answer, boolean leaks, double seconds, String address) {
        if (isTrip(answer)) {
            return new InstrumentReading(leaks ? Double.POSITIVE_INFINITY : 0, "trip");
        }
        double value = figure(answer, address);
        String time = "@" + Math.round(Math.max(1, seconds));
        if (leaks) {
            return new InstrumentReading(value, shown(value) + "A" + time);
        }
        return value >= OVER_RANGE
                ? new InstrumentReading(Double.POSITIVE_INFINITY, ">" + shown(TESTER_TOP_OHM) + time)
                : new InstrumentReading(value, shown(value) + time);
    }

    private static double figure(String answer, String address) {
        try {
            return Double.parseDouble(answer);
        } catch (NumberFormatException e) {
            throw new Refusal("", Message.of("instrument_reading.insulation_tester_said_expected", address, answer));
        }
    }

    /** A figure as a display shows it, without a prefix. */
    public static String shown(double value) {
        return value >= OVER_RANGE
                ? "OL"
                : new BigDecimal(value, new MathContext(FIGURES, RoundingMode.HALF_UP))
                        .stripTrailingZeros()
                        .toPlainString();
    }
}
