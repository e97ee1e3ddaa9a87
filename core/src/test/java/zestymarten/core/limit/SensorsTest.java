package zestymarten.core.limit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

class SensorsTest {
    @Test
    void anNtcTableIsReadBetweenItsRows() {
        NavigableMap<Double, Double> table = new TreeMap<>(Map.of(0.0, 33_000.0, 25.0, 10_000.0, 50.0, 3600.0));
        assertThat(Sensors.ntc(table, 25)).isEqualTo(10_000);
        double between = Sensors.ntc(table, 10);
        double beta = Math.log(3.3) / (1 / 273.15 - 1 / 298.15);
        assertThat(between).isCloseTo(Sensors.ntc(10_000, beta, 10), within(0.01));
        assertThatThrownBy(() -> Sensors.ntc(table, 51))
                .hasMessage("sensors.temperature_within_table[51 °C, 0 °C, 50 °C]");
    }

    @Test
    void anNtcOfTenKilohmReadsTwentyTwoInTheCold() {
        assertThat(Sensors.ntc(10_000, 3950, 8) / 1000).isCloseTo(22.28, within(0.005));
        assertThat(Sensors.ntc(10_000, 3950, 25)).isCloseTo(10_000, within(1e-9));
        assertThat(Sensors.ntc(10_000, 3950, 60)).isLessThan(10_000);
    }

    /** Points of the table in IEC 60751. */
    @Test
    void platinumFollowsTheStandard() {
        assertThat(Sensors.platinum(100, 0)).isEqualTo(100);
        assertThat(Sensors.platinum(100, 100)).isCloseTo(138.51, within(0.005));
        assertThat(Sensors.platinum(100, -100)).isCloseTo(60.26, within(0.005));
        assertThat(Sensors.platinum(1000, 850)).isCloseTo(3904.8, within(0.05));
    }

    @Test
    void refusesTemperaturesOutsideTheirRange() {
        assertThatThrownBy(() -> Sensors.platinum(100, 851)).hasMessage("sensors.platinum_range[851 °C]");
        assertThatThrownBy(() -> Sensors.ntc(10_000, 3950, -273.15))
                .hasMessage("sensors.above_absolute_zero[-273.2 °C]");
        assertThatThrownBy(() -> Sensors.platinum(100, Double.NaN)).isInstanceOf(IllegalArgumentException.class);
    }
}
