package zestymarten.core.meter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class TestConditionsTest {
    private static final MeterProfile METER = new MeterProfile("bench meter", 0.008, 0.01, 30, false, 20e6);

    private static TestConditions with(LeadPolicy policy, double leads) {
        return new TestConditions(20, METER, OptionalDouble.of(leads), policy, false, 10_000);
    }

    @Test
    void takesOffTheLeadsByPolicy() {
        assertThat(with(LeadPolicy.FULL, 3.7).corrected(9.4).value()).isCloseTo(5.7, within(1e-9));
        assertThat(with(LeadPolicy.EXCESS, 3.7).corrected(9.4).value()).isCloseTo(6.7, within(1e-9));
        assertThat(with(LeadPolicy.NONE, 3.7).corrected(9.4).value()).isCloseTo(9.4, within(1e-9));
        assertThat(with(LeadPolicy.EXCESS, 0.4).corrected(9.4).value()).isCloseTo(9.4, within(1e-9));
        assertThat(with(LeadPolicy.FULL, 0.3).corrected(0.1).value()).isZero();
    }

    @Test
    void reckonsTheUncertaintyOfACorrectedReading() {
        assertThat(with(LeadPolicy.FULL, 0.3).uncertaintyOhm(0.93)).isCloseTo(0.010, within(0.0005));
    }

    @Test
    void aDriftedZeroAndOneFromAnotherRangeMakeAReadingLessSure() {
        TestConditions conditions = with(LeadPolicy.FULL, 0.3);
        double fresh = conditions.uncertaintyOhm(0.93);
        double drifted = conditions.uncertaintyOhm(0.93, new TestConditions.Zero(0.06, 0, 0));
        double other = conditions.uncertaintyOhm(0.93, new TestConditions.Zero(0, 0.02, 0.2));
        assertThat(drifted).isCloseTo(2 * Math.sqrt(fresh * fresh / 4 + 0.06 * 0.06 / 12), within(1e-9));
        assertThat(other).isCloseTo(2 * Math.sqrt(fresh * fresh / 4 + (0.02 * 0.02 + 0.2 * 0.2) / 3), within(1e-9));
        assertThat(new TestConditions.Zero(0.05, 0, 0).isInDoubt(0.01, 0.4)).isTrue();
        assertThat(new TestConditions.Zero(0.04, 0, 0).isInDoubt(0.01, 0.4)).isFalse();
        assertThat(new TestConditions.Zero(0.05, 0, 0).isInDoubt(0.1, 0.4)).isFalse();
        assertThatThrownBy(() -> new TestConditions.Zero(Double.NaN, 0, 0))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void refusesWhatNoMeterHas() {
        assertThatThrownBy(() -> new MeterProfile("m", 1.5, 0.01, 30, false, 20e6))
                .hasMessage("meter_profile.accuracy_out_of_range[150 %]");
        assertThatThrownBy(() -> new MeterProfile("m", 0.01, 0, 30, false, 20e6))
                .hasMessage("meter_profile.resolution_out_of_range[0 Ω]");
        assertThatThrownBy(() -> with(LeadPolicy.FULL, -1)).hasMessage("test_conditions.test_leads_ohm[-1 Ω]");
    }
}
