package zestymarten.web.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Locale;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.context.i18n.LocaleContextHolder;
import zestymarten.core.quantity.MessageArgument.Figure;

/** How somebody reads a figure changes its writing, never its value. */
class PreferencesTest {
    private static final Preferences OTHER = new Preferences(Locale.UK, true, true, true, true);

    @AfterEach
    void nobodyAsks() {
        LocaleContextHolder.resetLocaleContext();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0.64 | Ω | 0.64 Ω | 0,64 Ω",
                "20 | °C | 20 °C | 68 °F",
                "-40 | °C | -40 °C | -40 °F",
                "36.6 | °C | 36.6 °C | 97,9 °F",
                "3.048 | m | 3.048 m | 10 ft",
                "0.75 | mm² | 0.75 mm² | 0,75 mm² (18 AWG)",
                "300 | mm² | 300 mm² | 300 mm²",
                "0 | mm² | 0 mm² | 0 mm²",
                "2.5 | s | 2.5 s | 2,5 s",
            })
    void aFigureIsWrittenAsItsReaderChose(double value, String unit, String usual, String other) {
        Figure figure = new Figure(value, unit);
        assertThat(Preferences.USUAL.write(figure)).isEqualTo(usual);
        assertThat(OTHER.write(figure)).isEqualTo(other);
    }

    @Test
    void outsideOfARequestEverythingIsAsUsual() {
        assertThat(Words.figure(0.64, "Ω")).isEqualTo("0.64 Ω");
    }

    @Test
    void aSentenceHasItsFiguresAsItsReaderChose() {
        LocaleContextHolder.setLocaleContext(new Preferences.PersonalContext(OTHER));
        assertThat(Words.figure(0.64, "Ω")).isEqualTo("0,64 Ω");
        assertThat(Words.say("record_views.maximum", new Figure(0.32, "Ω"))).isEqualTo("maximum 0,32 Ω");
    }

    @Test
    void whatIsStoredIsTheSameWhoeverAsksAndTheReaderIsServedAgainAfterwards() {
        LocaleContextHolder.setLocaleContext(new Preferences.PersonalContext(OTHER));
        assertThat(Preferences.usually(() -> Words.figure(0.64, "Ω"))).isEqualTo("0.64 Ω");
        assertThatThrownBy(() -> Preferences.usually(() -> {
                    throw new IllegalStateException("no room");
                }))
                .hasMessage("no room");
        assertThat(Words.figure(0.64, "Ω")).isEqualTo("0,64 Ω");
    }

    @Test
    void ordinaryNumbersAreNeverGroupedOrReadAsWords() {
        assertThat(Words.say("record_views.no", 12_345)).isEqualTo("no. 12345");
        assertThat(Words.say("record_views.repair", "W1 {0} it's", "'renewed'")).isEqualTo("W1 {0} it's: 'renewed'");
    }
}
