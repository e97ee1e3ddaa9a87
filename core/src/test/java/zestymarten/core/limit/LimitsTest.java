package zestymarten.core.limit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.WireList;

class LimitsTest {
    private static Conductor wire(String columns, String cells) {
        WireList list = WireList.read("from,to," + columns + "\nJ1.1,J2.1," + cells + "\n");
        assertThat(list.problems()).isEmpty();
        return list.conductors().get(0);
    }

    @Test
    void derivesTheLimitFromTheStandardByLengthSectionClassAndTemperature() {
        Limit limit = new Limits(31).of(wire("length_m,area_mm2", "8.2,0.5"));
        assertThat(limit.high().value()).isCloseTo(0.3336, within(0.00005));
        assertThat(limit.rule()).isEqualTo(Limit.Rule.STANDARD);
        assertThat(limit.derivation())
                .isEqualTo(
                        "At most 0.3336 Ω: IEC 60228 class 5 (flexible), plain copper 0.5 mm², 39 mΩ/m × 8.2 m × 1.043 for"
                                + " 31 °C.");
        assertThat(limit.nominal().orElseThrow().value()).isCloseTo(0.017241 / 0.5 * 8.2 * 1.04323, within(1e-6));
        assertThat(limit.low().value())
                .isCloseTo(0.8 * limit.nominal().orElseThrow().value(), within(1e-9));
        assertThat(limit.lowGiven()).isFalse();
    }

    @Test
    void aFigureGivenForTheWireGoesBeforeTheStandard() {
        Limit limit = new Limits(20).of(wire("length_m,area_mm2,max_ohm,min_ohm", "8.2,0.5,0.45,0.2"));
        assertThat(limit.high().value()).isEqualTo(0.45);
        assertThat(limit.low().value()).isEqualTo(0.2);
        assertThat(limit.lowGiven()).isTrue();
        assertThat(limit.derivation()).isEqualTo("At most 0.45 Ω: the figure given for W1. At least 0.2 Ω: given too.");
    }

    @Test
    void aWireOfWhichNothingIsKnownHasARoundFigure() {
        assertThat(new Limits(20).of(wire("wire", "Tail")).derivation())
                .isEqualTo("At most 1 Ω: a round figure, because the length of Tail is not known.");
        assertThat(new Limits(20).of(wire("length_m", "3")).derivation()).contains("because the section of W1");
    }

    @Test
    void knowsVehicleWireCoatedCopperAndAluminium() {
        Limits limits = new Limits(20);
        assertThat(limits.of(wire("length_m,area_mm2,class", "10,0.35,vehicle"))
                        .high()
                        .value())
                .isCloseTo(0.544, within(1e-9));
        assertThat(limits.of(wire("length_m,area_mm2,metal", "10,0.5,copper-coated"))
                        .high()
                        .value())
                .isCloseTo(0.401, within(1e-9));
        assertThat(limits.of(wire("length_m,area_mm2,metal,class", "100,16,aluminium,2"))
                        .high()
                        .value())
                .isCloseTo(0.191, within(1e-9));
    }

    @Test
    void aSectionThatNoTableListsGoesByTheRowBelowIt() {
        Limit gauge = new Limits(20).of(wire("length_m,awg", "10,20"));
        assertThat(gauge.high().value()).isCloseTo(0.39, within(1e-9));
        assertThat(gauge.derivation()).contains("0.5176 mm² (by the row of 0.5 mm²)");
        Limit thin = new Limits(20).of(wire("length_m,area_mm2", "10,0.25"));
        assertThat(thin.high().value()).isCloseTo(0.78, within(1e-9));
    }

    @Test
    void aMetalWithoutATableGoesByTheHandbook() {
        Limit limit = new Limits(20).of(wire("length_m,area_mm2,metal", "2,1,constantan"));
        assertThat(limit.rule()).isEqualTo(Limit.Rule.HANDBOOK);
        assertThat(limit.high().value()).isCloseTo(0.49 * 2 * 1.15, within(1e-9));
    }

    @Test
    void refusesAnAbsurdTemperature() {
        assertThatThrownBy(() -> new Limits(451)).hasMessage("Temperature (451.0 °C) must be from -80 to 200 °C.");
        assertThatThrownBy(() -> new Limits(Double.NaN)).isInstanceOf(IllegalArgumentException.class);
    }
}
