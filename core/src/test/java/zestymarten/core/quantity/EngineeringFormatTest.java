package zestymarten.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class EngineeringFormatTest {
    @ParameterizedTest
    @CsvSource({
        "0, 0 Ω",
        "0.64, 0.64 Ω",
        "0.6399999999, 0.64 Ω",
        "0.33364, 0.3336 Ω",
        "0.0078, 7.8 mΩ",
        "999.96, 1 kΩ",
        "15800, 15.8 kΩ",
        "20000000, 20 MΩ",
        "900000000, 900 MΩ",
        "9.1e9, 9.1 GΩ",
        "0.000026, 26 μΩ",
        "1e15, 1000 TΩ",
    })
    void printsAsAPersonWouldWriteIt(double value, String text) {
        assertThat(EngineeringFormat.text(value, "Ω")).isEqualTo(text);
    }

    @Test
    void refusesWhatIsNoNumber() {
        assertThatThrownBy(() -> EngineeringFormat.text(Double.NaN, "Ω"))
                .hasMessage("Value (NaN) must be finite to be printed in Ω.");
    }

    @Test
    void ohmsCannotBeWrong() {
        assertThatThrownBy(() -> Ohms.of(-1)).hasMessage("ohms.resistance_say_open[-1 Ω, 1000 TΩ]");
        assertThatThrownBy(() -> Ohms.of(Double.NaN)).isInstanceOf(IllegalArgumentException.class);
        assertThat(Ohms.of(-0.0)).isEqualTo(Ohms.of(0));
        assertThat(Ohms.of(Ohms.MAX).value()).isEqualTo(1e15);
    }

    @Test
    void aColumnHasOneUnitAndThreeFigures() {
        EngineeringFormat.FigureColumn ohms = EngineeringFormat.column(0.1053, "Ω");
        assertThat(ohms.text(0.01552)).isEqualTo("0.0155 Ω");
        assertThat(ohms.text(0.1053)).isEqualTo("0.105 Ω");
        assertThat(ohms.text(0)).isEqualTo("0 Ω");
        assertThat(EngineeringFormat.column(0.0468, "Ω").text(0.0176)).isEqualTo("17.6 mΩ");
        assertThat(EngineeringFormat.column(13_160, "Ω").text(820)).isEqualTo("0.82 kΩ");
    }
}
