package zestymarten.core.limit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zestymarten.core.assembly.Allowances;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.WireList;
import zestymarten.core.quantity.English;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Ohms;

class LimitRulesTest {
    private static Conductor wire(String columns, String cells) {
        WireList list = WireList.read("from,to," + columns + "\nJ1.1,J2.1," + cells + "\n");
        assertThat(list.problems()).isEmpty();
        return list.conductors().get(0);
    }

    @Test
    void derivesTheLimitFromTheStandardByLengthSectionClassAndTemperature() {
        Limit limit = new LimitRules(31).of(wire("length_m,area_mm2", "8.2,0.5"));
        assertThat(limit.high().value()).isCloseTo(0.3336, within(0.00005));
        assertThat(limit.rule()).isEqualTo(Limit.Rule.STANDARD);
        assertThat(English.of(limit.derivation()))
                .isEqualTo(
                        "Maximum 0.3336 Ω: IEC 60228 class 5 (flexible), plain copper 0.5 mm², 39 mΩ/m × 8.2 m × 1.043 for"
                                + " 31 °C.");
        assertThat(limit.nominal().orElseThrow().value()).isCloseTo(0.017241 / 0.5 * 8.2 * 1.04323, within(1e-6));
        assertThat(limit.low().value())
                .isCloseTo(0.8 * limit.nominal().orElseThrow().value(), within(1e-9));
        assertThat(limit.lowGiven()).isFalse();
    }

    @Test
    void aFigureGivenForTheWireGoesBeforeTheStandard() {
        Limit limit = new LimitRules(20).of(wire("length_m,area_mm2,max_ohm,min_ohm", "8.2,0.5,0.45,0.2"));
        assertThat(limit.high().value()).isEqualTo(0.45);
        assertThat(limit.low().value()).isEqualTo(0.2);
        assertThat(limit.lowGiven()).isTrue();
        assertThat(English.of(limit.derivation()))
                .isEqualTo("Maximum 0.45 Ω: the figure given for W1. At least 0.2 Ω: given too.");
    }

    @Test
    void aWireOfWhichNothingIsKnownHasARoundFigure() {
        assertThat(English.of(new LimitRules(20).of(wire("wire", "Tail")).derivation()))
                .isEqualTo("Maximum 1 Ω: a round figure, because the length of Tail is not known.");
        assertThat(English.of(new LimitRules(20).of(wire("length_m", "3")).derivation()))
                .contains("because the section of W1");
    }

    @Test
    void knowsVehicleWireCoatedCopperAndAluminium() {
        LimitRules limits = new LimitRules(20);
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
    void aSectionThatNoTableListsIsScaledFromTheNearest() {
        Limit gauge = new LimitRules(20).of(wire("length_m,awg", "10,20"));
        assertThat(gauge.high().value()).isCloseTo(0.39 * 0.5 / 0.51757, within(1e-4));
        assertThat(English.of(gauge.derivation())).contains("0.5176 mm² (scaled from 0.5 mm²)");
        double thick =
                new LimitRules(20).of(wire("length_m,awg", "10,14")).high().value();
        assertThat(thick).as("AWG 14 is not 1.5 mm²").isCloseTo(0.0798 * 2.5 / 2.0809, within(1e-4));
        assertThat(new LimitRules(20)
                        .of(wire("length_m,area_mm2", "100,630"))
                        .high()
                        .value())
                .isCloseTo(0.00287, within(1e-9));
        assertThat(new LimitRules(20)
                        .of(wire("length_m,area_mm2,metal,class", "100,16,aluminium,1"))
                        .rule())
                .isEqualTo(Limit.Rule.STANDARD);
        Limit thin = new LimitRules(20).of(wire("length_m,area_mm2", "10,0.25"));
        assertThat(thin.high().value()).isCloseTo(0.78, within(1e-9));
    }

    @Test
    void aMetalWithoutATableGoesByTheHandbook() {
        Limit limit = new LimitRules(20).of(wire("length_m,area_mm2,metal", "2,1,constantan"));
        assertThat(limit.rule()).isEqualTo(Limit.Rule.HANDBOOK);
        assertThat(limit.high().value()).isCloseTo(0.49 * 2 * 1.15, within(1e-9));
    }

    private static Allowances allowing(double assemblyOhm, double heatW, double dropV) {
        return new Allowances(
                assemblyOhm > 0 ? OptionalDouble.of(assemblyOhm) : OptionalDouble.empty(),
                heatW > 0 ? OptionalDouble.of(heatW) : OptionalDouble.empty(),
                dropV > 0 ? OptionalDouble.of(dropV) : OptionalDouble.empty(),
                OptionalDouble.of(2));
    }

    private static LimitRules limits(Allowances allowances) {
        return new LimitRules(
                20,
                allowances,
                Map.of("W1", LearntResistance.of(List.of(Ohms.of(0.40), Ohms.of(0.42), Ohms.of(0.44)))));
    }

    @Test
    void theOrderOfAuthorityIsKept() {
        Allowances all = allowing(0.9, 0.5, 0);
        assertThat(limits(all).of(wire("max_ohm", "0.45")).rule()).isEqualTo(Limit.Rule.GIVEN);
        assertThat(English.of(limits(all).of(wire("length_m,area_mm2", "8,0.5")).derivation()))
                .isEqualTo("Maximum 0.9 Ω: the figure given for every wire of the assembly.");
        Allowances some = allowing(0, 0.5, 0);
        assertThat(limits(some).of(wire("length_m,area_mm2", "8,0.5")).rule()).isEqualTo(Limit.Rule.STANDARD);
        assertThat(English.of(limits(some).of(wire("current_a", "8")).derivation()))
                .isEqualTo("Maximum 7.813 mΩ: allowed heat of 0.5 W at 8 A, P / I².");
        assertThat(English.of(limits(some).of(wire("wire", "W1")).derivation()))
                .isEqualTo("Maximum 0.48 Ω: learnt from 3 good units, 0.42 Ω with a spread of 20 mΩ.");
        assertThat(limits(some).of(wire("wire", "W2")).high()).isEqualTo(Ohms.of(2));
    }

    @Test
    void theLowerOfHeatAndDropCountsAndATighterOneIsAlwaysSaid() {
        assertThat(English.of(
                        limits(allowing(0, 8, 0.4)).of(wire("current_a", "2")).derivation()))
                .isEqualTo("Maximum 0.2 Ω: allowed drop of 0.4 V at 2 A, dU / I.");
        assertThat(English.of(limits(allowing(0, 0.5, 0))
                        .of(wire("max_ohm,current_a", "0.45,8"))
                        .derivation()))
                .isEqualTo("Maximum 0.45 Ω: the figure given for W1. Its allowed heat is tighter: 7.813 mΩ.");
    }

    @Test
    void aDerivationKeepsItsInputsAndSource() {
        Derivation by =
                new LimitRules(31).of(wire("length_m,area_mm2", "8.2,0.5")).by();
        assertThat(English.of(by.source())).isEqualTo("IEC 60228");
        assertThat(by.formula()).isEqualTo("r20 × L × (1 + a (t - 20))");
        assertThat(by.inputs())
                .contains(
                        new Derivation.LimitInput("length", Message.figure(8.2, "m")),
                        new Derivation.LimitInput("temperature", Message.figure(31, "°C")));
    }

    @Test
    void aResistiveLeadHasOhmsByTheMetre() {
        Limit limit = new LeadClass("ignition lead", 16_000, 0.2, 1000).limit(0.5);
        assertThat(English.of(limit.derivation()))
                .isEqualTo("7.2 kΩ to 10.8 kΩ: ignition lead, 16 kΩ/m × 0.5 m ± 20 %.");
        assertThat(limit.lowGiven()).isTrue();
        assertThatThrownBy(() -> new LeadClass("lead", 16_000, 0.2, 0).limit(Double.NaN))
                .hasMessage("lead_class.lead_length_above[NaN]");
    }

    @Test
    void refusesAnAllowanceOfNothingAndTwoGoodUnits() {
        assertThatThrownBy(() -> new Allowances(
                        OptionalDouble.of(0), OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty()))
                .hasMessage("allowances.allowance_above_most[0]");
        assertThatThrownBy(() -> LearntResistance.of(List.of(Ohms.of(1), Ohms.of(1))))
                .hasMessage("learnt.limit_learnt_least[3, 2]");
    }

    @Test
    void refusesAnAbsurdTemperature() {
        assertThatThrownBy(() -> new LimitRules(451)).hasMessage("limit_rules.temperature_out_of_range[451 °C]");
        assertThatThrownBy(() -> new LimitRules(Double.NaN)).isInstanceOf(IllegalArgumentException.class);
    }
}
