package zestymarten.core.insulation;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import zestymarten.core.quantity.English;

class AbsorptionTest {
    @Test
    void aTimeStandsBehindTheReading() {
        assertThat(TimedText.of("320M@15")).isEqualTo(new TimedText("320M", java.util.OptionalDouble.of(15)));
        assertThat(TimedText.of(">2G @ 10 min")).isEqualTo(new TimedText(">2G", java.util.OptionalDouble.of(600)));
        assertThat(TimedText.of("38M@1,5min").seconds()).hasValue(90);
        assertThat(TimedText.of("320M").seconds()).isEmpty();
        assertThat(TimedText.of("320M@0").reading()).as("no time at all").isEqualTo("320M@0");
        assertThat(TimedText.of("320M@soon").seconds()).isEmpty();
    }

    @Test
    void theRatiosComeFromTheirReadings() {
        Absorption curve = new Absorption(List.of(
                new Absorption.AbsorptionPoint(600, 90e6),
                new Absorption.AbsorptionPoint(30, 30e6),
                new Absorption.AbsorptionPoint(61, 38e6),
                new Absorption.AbsorptionPoint(15, 21e6)));
        assertThat(curve.points())
                .extracting(Absorption.AbsorptionPoint::seconds)
                .containsExactly(15.0, 30.0, 61.0, 600.0);
        assertThat(English.all(curve.said(34)))
                .containsExactly(
                        "DAR (60 s to 30 s) 1.27.",
                        "PI (10 min to 1 min) 2.37.",
                        "At 20 °C 100.3 MΩ (rule of thumb: half for every 10 °C).");
    }

    @Test
    void whatWasNotReadIsNotSaid() {
        assertThat(English.all(new Absorption(List.of(new Absorption.AbsorptionPoint(15, 21e6))).said(20)))
                .isEmpty();
        assertThat(English.all(new Absorption(List.of(
                                new Absorption.AbsorptionPoint(60, 6e9), new Absorption.AbsorptionPoint(600, 9e9)))
                        .said(20)))
                .contains("PI means nothing above 5 GΩ.");
    }
}
