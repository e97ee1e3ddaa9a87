package zestymarten.core.insulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import zestymarten.core.limit.InsulationLimit;
import zestymarten.core.quantity.English;

class InsulationRulesTest {
    @Test
    void limitsFollowTheVoltageOfTheCircuit() {
        assertThat(English.of(InsulationLimit.ofCircuit(24, true).derivation()))
                .isEqualTo("At least 500 kΩ at 250 V DC: IEC 60364-6, SELV and PELV.");
        assertThat(English.of(InsulationLimit.ofCircuit(230, false).derivation()))
                .isEqualTo("At least 1 MΩ at 500 V DC: IEC 60364-6, up to and including 500 V (and FELV).");
        assertThat(InsulationLimit.ofCircuit(690, false).testV()).isEqualTo(1000);
        assertThat(InsulationLimit.ofTest(250).minimum().value()).isEqualTo(500_000);
        assertThat(InsulationLimit.ofTest(600).testV()).isEqualTo(500);
        assertThatThrownBy(() -> InsulationLimit.ofCircuit(60, true))
                .hasMessage("insulation_limit.nominal_voltage_above[60 V, true]");
        assertThatThrownBy(() -> InsulationLimit.ofTest(Double.NaN)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void aLongerCableMayHaveLess() {
        InsulationLimit limit = InsulationLimit.ofLength(20, 350);
        assertThat(limit.minimum().value() / 1e6).isCloseTo(57.1, within(0.05));
        assertThat(English.of(limit.derivation())).isEqualTo("At least 57.14 MΩ: 20 MΩ·km over 350 m.");
    }

    @Test
    void warmInsulationReadsLess() {
        assertThat(InsulationRules.at20(38e6, 34) / 1e6).isCloseTo(100.3, within(0.05));
    }

    @Test
    void chargingCurrentIsNotLeakage() {
        double charging = InsulationRules.chargingAmperes(1500, 50, 120e-12, 60);
        assertThat(charging * 1000).isCloseTo(3.39, within(0.005));
        assertThat(InsulationRules.leakageAmperes(5e-3, 4e-3)).isCloseTo(3e-3, within(1e-12));
        assertThat(InsulationRules.leakageAmperes(3e-3, charging)).isZero();
        assertThat(InsulationRules.provesConnection(1.7e-3, charging)).isTrue();
        assertThat(InsulationRules.provesConnection(1.6e-3, charging)).isFalse();
        assertThat(InsulationRules.withstandVolts(230)).isEqualTo(1460);
        assertThat(InsulationRules.dischargeSeconds(60)).isEqualTo(240);
    }

    @Test
    void ratiosOverTimeMeanSomethingUpToFiveGigaohms() {
        assertThat(InsulationRules.absorption(60e6, 40e6)).isEqualTo(1.5);
        assertThat(InsulationRules.polarisation(200e6, 100e6)).hasValue(2);
        assertThat(InsulationRules.polarisation(20e9, 6e9)).isEmpty();
        assertThatThrownBy(() -> InsulationRules.absorption(0, 1))
                .hasMessage("bounds.finite[insulation_rules.what_reading_after_60_s, 0]");
    }
}
