package zestymarten.core.check;

import java.util.Collections;
import java.util.NavigableMap;
import java.util.OptionalDouble;
import java.util.TreeMap;
import zestymarten.core.limit.Sensors;
import zestymarten.core.quantity.Bounds;
import zestymarten.core.quantity.NotAccepted;

/** What a temperature sensor reads over its range; always rising or always falling. Temperatures in °C. */
public sealed interface SensorCurve {
    /** Lowest and highest temperature for which it is known. */
    double lowestC();

    double highestC();

    /** What it reads at a temperature within its range, in ohms. */
    double ohmAt(double celsius);

    /** The part of its resistance by which a good one may be off. */
    double tolerance();

    /**
     * A platinum sensor to IEC 60751.
     *
     * @param r0Ohm 100 or 1000 ohm at 0 °C
     */
    record Platinum(double r0Ohm) implements SensorCurve {
        @Override
        public double lowestC() {
            return -200;
        }

        @Override
        public double highestC() {
            return 850;
        }

        @Override
        public double ohmAt(double celsius) {
            return Sensors.platinum(r0Ohm, celsius);
        }

        @Override
        public double tolerance() {
            return 0.005;
        }
    }

    /**
     * An NTC by its beta.
     *
     * @param r25Ohm at 25 °C, above 0
     * @param betaK 1,000 to 10,000 K
     */
    record Beta(double r25Ohm, double betaK) implements SensorCurve {
        public Beta {
            Bounds.aboveZero("check_figures.what_the_resistance_at_25_c", r25Ohm, 1e9, "Ω");
            if (!(betaK >= 1000 && betaK <= 10_000)) {
                throw new NotAccepted("sensor_curve.beta_out_of_range", NotAccepted.given(betaK, "K"));
            }
        }

        @Override
        public double lowestC() {
            return -80;
        }

        @Override
        public double highestC() {
            return 250;
        }

        @Override
        public double ohmAt(double celsius) {
            return Sensors.ntc(r25Ohm, betaK, celsius);
        }

        @Override
        public double tolerance() {
            return 0.05;
        }
    }

    /** A table of resistances by temperature: at least two rows, always rising or always falling. */
    record Table(NavigableMap<Double, Double> rows) implements SensorCurve {
        public Table {
            rows = Collections.unmodifiableNavigableMap(new TreeMap<>(rows));
            if (rows.size() < 2 || !isMonotone(rows)) {
                throw new NotAccepted("sensor_curve.sensor_table_needs");
            }
        }

        private static boolean isMonotone(NavigableMap<Double, Double> rows) {
            boolean falls = rows.lastEntry().getValue() < rows.firstEntry().getValue();
            double last = falls ? Double.POSITIVE_INFINITY : 0;
            for (double ohm : rows.values()) {
                if (!(ohm > 0) || (falls ? ohm >= last : ohm <= last)) {
                    return false;
                }
                last = ohm;
            }
            return true;
        }

        @Override
        public double lowestC() {
            return rows.firstKey();
        }

        @Override
        public double highestC() {
            return rows.lastKey();
        }

        @Override
        public double ohmAt(double celsius) {
            return Sensors.ntc(rows, celsius);
        }

        @Override
        public double tolerance() {
            return 0.05;
        }
    }

    /** Whether it is known at a temperature. */
    default boolean covers(double celsius) {
        return celsius >= lowestC() && celsius <= highestC();
    }

    /** The temperature at which it reads such a resistance, by halving; empty beyond its range. */
    default OptionalDouble celsiusAt(double ohm) {
        double from = lowestC();
        double to = highestC();
        boolean rises = ohmAt(to) > ohmAt(from);
        if (ohm < Math.min(ohmAt(from), ohmAt(to)) || ohm > Math.max(ohmAt(from), ohmAt(to))) {
            return OptionalDouble.empty();
        }
        for (int i = 0; i < 60; i++) {
            double middle = (from + to) / 2;
            if (ohmAt(middle) < ohm == rises) {
                from = middle;
            } else {
                to = middle;
            }
        }
        return OptionalDouble.of((from + to) / 2);
    }
}
