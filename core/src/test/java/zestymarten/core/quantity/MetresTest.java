package zestymarten.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import zestymarten.core.assembly.CrossSection;

/** Lengths and sections as they stand on a drum or in a drawing. */
class MetresTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "8 | 8",
                "8 m | 8",
                "8,5m | 8.5",
                ".5 | 0.5",
                "120 cm | 1.2",
                "350mm | 0.35",
                "1.2 km | 1200",
                "125 ft | 38.1",
                "125' | 38.1",
                "10 FEET | 3.048",
                "12 in | 0.3048",
                "10 yd | 9.144",
                "0 | 0"
            })
    void aLengthIsReadWithItsUnit(String typed, double metres) {
        assertThat(Metres.of(typed).orElseThrow()).isCloseTo(metres, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "long", "-3", "8 kg", "1e3", "8 m 5", "m", "8 mΩ", "NaN"})
    void whatIsNoLengthIsNone(String typed) {
        assertThat(Metres.of(typed)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2.5 | 2.5",
                "0,75 mm² | 0.75",
                "4mm2 | 4",
                "14 | 14",
                "14 AWG | 2.081",
                "#14 | 2.081",
                "AWG 20 | 0.5176",
                "4/0 awg | 107.2",
                "250 kcmil | 126.7",
                "500 MCM | 253.4"
            })
    void aSectionIsReadInWhatItIsSoldIn(String typed, double mm2) {
        assertThat(CrossSection.mm2(typed).orElseThrow()).isCloseTo(mm2, within(mm2 / 1000));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "thick", "-1", "99 AWG", "#", "2.5 m", "kcmil"})
    void whatIsNoSectionIsNone(String typed) {
        assertThat(CrossSection.mm2(typed)).isEmpty();
    }

    @Test
    void whatIsExpectedIsAnExampleThatIsAccepted() {
        assertThat(Metres.of("26 ft")).isPresent();
        assertThat(CrossSection.mm2("250 kcmil")).isPresent();
    }
}
