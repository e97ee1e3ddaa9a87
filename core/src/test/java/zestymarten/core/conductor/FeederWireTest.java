package zestymarten.core.conductor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import zestymarten.core.assembly.Metal;

class FeederWireTest {
    private static final Metal COPPER = Metal.COPPER;
    private static final Metal ALUMINIUM = Metal.of("aluminium").orElseThrow();
    private static final double LOOP = 7.62;

    @Test
    void aFeederIsNotWhatItSays() {
        assertThat(FeederWire.impliedMm2(COPPER, 76, LOOP, 12)).isCloseTo(0.1666, within(0.00005));
        assertThat(FeederWire.impliedMm2(ALUMINIUM, 76, LOOP, 12)).isCloseTo(0.2728, within(0.00005));
    }

    @Test
    void aDeadShortAtItsEndDecidesHotWhetherAnythingTrips() {
        double cold = FeederWire.shortAmperes(120, 0.4, LOOP);
        double hotLoop = FeederWire.ohmAt(COPPER, LOOP, 12, 70);
        double hot = FeederWire.shortAmperes(120, 0.4, hotLoop);
        assertThat(cold).isCloseTo(14.96, within(0.005));
        assertThat(hotLoop).isCloseTo(9.413, within(0.0005));
        assertThat(hot).isCloseTo(12.23, within(0.005));
        assertThat(FeederWire.watts(cold, LOOP)).isCloseTo(1706, within(0.5));
        assertThat(FeederWire.watts(cold, LOOP) / 38).isCloseTo(44.9, within(0.05));
        Breaker breaker = new Breaker(Breaker.Curve.C, 10);
        assertThat(cold / 10).isCloseTo(1.50, within(0.005));
        assertThat(hot / 10).isCloseTo(1.22, within(0.005));
        assertThat(breaker.at(cold)).isEqualTo(Breaker.Reaction.TRIPS_BY_HEAT);
        assertThat(breaker.at(hot)).isEqualTo(Breaker.Reaction.MAY_TRIP);
    }

    @Test
    void aBreakerActsByTheMultipleOfItsRating() {
        Breaker breaker = new Breaker(Breaker.Curve.B, 16);
        assertThat(breaker.at(16 * 1.12)).isEqualTo(Breaker.Reaction.HOLDS);
        assertThat(breaker.at(16 * 2.6)).isEqualTo(Breaker.Reaction.TRIPS_SOON);
        assertThat(breaker.at(16 * 4)).isEqualTo(Breaker.Reaction.BY_HEAT_OR_AT_ONCE);
        assertThat(breaker.at(16 * 5.1)).isEqualTo(Breaker.Reaction.AT_ONCE);
        assertThat(breaker.conventionalHours()).isEqualTo(1);
        assertThat(new Breaker(Breaker.Curve.D, 80).conventionalHours()).isEqualTo(2);
        assertThatThrownBy(() -> new Breaker(Breaker.Curve.B, 0)).hasMessage("breaker.breaker_rated_current[0 A]");
    }

    @Test
    void aThinSectionStandsItsShortForSeconds() {
        assertThat(FeederWire.adiabaticSeconds(FeederWire.Insulation.COPPER_PVC, 0.1666, 14.96))
                .isCloseTo(1.64, within(0.005));
    }

    @Test
    void halfAWattAtEightAmperesAllowsAJointMilliohms() {
        assertThat(FeederWire.ohmForWatts(0.5, 8) * 1000).isCloseTo(7.8, within(0.05));
        assertThat(FeederWire.dropVolts(8, 0.5)).isEqualTo(4);
        assertThatThrownBy(() -> FeederWire.ohmForWatts(0.5, Double.NaN))
                .hasMessage("bounds.finite[feeder_wire.what_current, NaN]");
    }
}
