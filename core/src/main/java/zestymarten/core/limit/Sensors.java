package zestymarten.core.limit;

import java.util.Map;
import java.util.NavigableMap;
import zestymarten.core.quantity.NotAccepted;

/** What temperature sensors read. Temperatures in °C, resistances in ohms. */
public final class Sensors {
    private static final double KELVIN = 273.15;
    private static final double A = 3.9083e-3;
    private static final double B = -5.775e-7;
    private static final double C = -4.183e-12;

    private Sensors() {}

    /**
     * An NTC sensor by its beta: {@code R = R25 exp(beta (1/T - 1/298.15))}.
     *
     * @param celsius above absolute zero
     */
    public static double ntc(double r25Ohm, double betaK, double celsius) {
        require(celsius > -KELVIN, "sensors.above_absolute_zero", celsius);
        return r25Ohm * Math.exp(betaK * (1 / (celsius + KELVIN) - 1 / (25 + KELVIN)));
    }

    /**
     * A platinum sensor to IEC 60751: {@code R0 (1 + A t + B t²)} from 0 °C, with {@code + C (t - 100) t³} below.
     *
     * @param r0Ohm at 0 °C: 100 for a Pt100
     * @param celsius from -200 to 850 °C
     */
    public static double platinum(double r0Ohm, double celsius) {
        require(celsius >= -200 && celsius <= 850, "sensors.platinum_range", celsius);
        double below = celsius < 0 ? C * (celsius - 100) * celsius * celsius * celsius : 0;
        return r0Ohm * (1 + A * celsius + B * celsius * celsius + below);
    }

    /**
     * An NTC sensor by its table, interpolated on the logarithm of the resistance against the inverse of the absolute
     * temperature, along which an NTC is nearly straight.
     *
     * @param ohmAt resistance by temperature in °C, at least two rows
     * @param celsius within the table
     */
    public static double ntc(NavigableMap<Double, Double> ohmAt, double celsius) {
        Map.Entry<Double, Double> below = ohmAt.floorEntry(celsius);
        Map.Entry<Double, Double> above = ohmAt.ceilingEntry(celsius);
        if (below == null || above == null) {
            throw new NotAccepted(
                    "sensors.temperature_within_table",
                    NotAccepted.given(celsius, "°C"),
                    NotAccepted.given(ohmAt.firstKey(), "°C"),
                    NotAccepted.given(ohmAt.lastKey(), "°C"));
        }
        if (below.getKey().equals(above.getKey())) {
            return below.getValue();
        }
        double from = 1 / (below.getKey() + KELVIN);
        double share = (1 / (celsius + KELVIN) - from) / (1 / (above.getKey() + KELVIN) - from);
        return Math.exp(Math.log(below.getValue()) * (1 - share) + Math.log(above.getValue()) * share);
    }

    private static void require(boolean holds, String code, double celsius) {
        if (!holds) {
            throw new NotAccepted(code, NotAccepted.given(celsius, "°C"));
        }
    }
}
