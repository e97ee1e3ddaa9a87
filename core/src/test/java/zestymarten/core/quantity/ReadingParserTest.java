package zestymarten.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ReadingParserTest {
    private final ReadingParser language = new ReadingParser(false);
    private final ReadingParser ofAMeterThatShowsOne = new ReadingParser(true);

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0.64 | 0.64",
                "0,64 | 0.64",
                ".5 | 0.5",
                "5. | 5",
                "15k8 | 15800",
                "3k9 | 3900",
                "0R68 | 0.68",
                "R33 | 0.33",
                "1M5 | 1500000",
                "4m7 | 0.0047",
                "6.31k | 6310",
                "6,31 kΩ | 6310",
                "475 k | 475000",
                "2.7M | 2700000",
                "820M | 820000000",
                "9.1G | 9100000000",
                "12m | 0.012",
                "12M | 12000000",
                "26u | 0.000026",
                "26µ | 0.000026",
                "0 | 0",
                "0.00 | 0",
                "680R | 680",
                "12 ohm | 12",
                "12 Ω | 12",
                "12 Ω | 12",
                "1 | 1",
                "6.8e3 | 6800",
                "1２ | 12",
            })
    void understandsFigures(String typed, double ohm) {
        assertThat(language.understand(typed)).isEqualTo(MeterReading.Value.ohms(ohm));
    }

    @Test
    void neverFoldsMilliAndMega() {
        assertThat(English.of(language.understand("12m").message())).isEqualTo("12 mΩ");
        assertThat(English.of(language.understand("12M").message())).isEqualTo("12 MΩ");
    }

    @Test
    void keepsTheUnitThatWasTyped() {
        assertThat(language.understand("26uA")).isEqualTo(new MeterReading.Value(26e-6, MeterReading.Unit.AMPERE));
        assertThat(language.understand("0.6 V")).isEqualTo(new MeterReading.Value(0.6, MeterReading.Unit.VOLT));
    }

    @ParameterizedTest
    @ValueSource(strings = {"OL", "ol", "0L", "0l", "O.L", "0.L", ".OL", "inf", "∞", "open", "over-range", "OL MΩ"})
    void understandsOverRange(String typed) {
        assertThat(language.understand(typed)).isEqualTo(new MeterReading.OverRange());
    }

    @Test
    void asksWhatABareOneMeansOnAMeterWhoseOverRangeMarkIsOne() {
        for (String typed : List.of("1", "1 .", "1.")) {
            assertThat(ofAMeterThatShowsOne.understand(typed))
                    .isInstanceOfSatisfying(MeterReading.Ambiguous.class, asked -> {
                        assertThat(asked.candidates())
                                .containsExactly(MeterReading.Value.ohms(1), new MeterReading.OverRange());
                        assertThat(English.of(asked.question()))
                                .isEqualTo("Does the meter show one ohm, or is the 1 its over-range mark?");
                    });
        }
        assertThat(ofAMeterThatShowsOne.understand("1.0")).isEqualTo(MeterReading.Value.ohms(1));
    }

    @ParameterizedTest
    @ValueSource(strings = {"b", "B", "beep", "tone"})
    void understandsTheTone(String typed) {
        assertThat(language.understand(typed)).isEqualTo(new MeterReading.Tone());
    }

    @ParameterizedTest
    @ValueSource(strings = {"n", "no", "-", "silent", " – "})
    void understandsSilence(String typed) {
        assertThat(language.understand(typed)).isEqualTo(new MeterReading.Silent());
    }

    @Test
    void understandsBounds() {
        assertThat(language.understand(">900M")).isEqualTo(new MeterReading.Above(9e8, MeterReading.Unit.OHM));
        assertThat(language.understand("<0.05")).isEqualTo(new MeterReading.Below(0.05, MeterReading.Unit.OHM));
        assertThat(English.of(language.understand(">900M").message())).isEqualTo("more than 900 MΩ");
    }

    @Test
    void understandsReadingsThatJump() {
        assertThat(language.understand("jumps")).isEqualTo(new MeterReading.Unstable(List.of()));
        assertThat(language.understand("~0.4..OL"))
                .isEqualTo(
                        new MeterReading.Unstable(List.of(MeterReading.Value.ohms(0.4), new MeterReading.OverRange())));
        assertThat(English.of(language.understand("0.4…12").message())).isEqualTo("jumps between 0.4 Ω and 12 Ω");
    }

    @ParameterizedTest
    @ValueSource(strings = {"abc", "1.2.3", "1.234,5", "k", "=1+1", "12 x", "NaN", ">OL", "..", "9e99", "1 2"})
    void refusesWhatIsNoReading(String typed) {
        assertThat(language.understand(typed)).isInstanceOf(MeterReading.Refused.class);
        assertThat(English.of(language.understand(typed).message()))
                .isEqualTo("“" + typed + "” is no reading. Type what the meter shows, such"
                        + " as 0.64, 15k8, 2.7M, OL, >900M; b for a tone, n for no beep.");
    }

    @Test
    void saysWhyANegativeResistanceIsRefused() {
        assertThat(English.of(language.understand("-0.5").message()))
                .isEqualTo("“-0.5”: a resistance cannot be negative. If the meter was nulled on"
                        + " its leads and shows a little below zero, type 0.");
    }

    @Test
    void aVoltageMayBeNegativeAndSoMayARoundedZero() {
        assertThat(language.understand("-48 V")).isEqualTo(new MeterReading.Value(-48, MeterReading.Unit.VOLT));
        assertThat(language.understand("-0.00")).isEqualTo(MeterReading.Value.ohms(0));
        assertThat(language.understand("-2 mA")).isEqualTo(new MeterReading.Value(-0.002, MeterReading.Unit.AMPERE));
        assertThat(language.understand("---")).isInstanceOf(MeterReading.Refused.class);
        assertThat(English.of(language.understand("---").message())).doesNotContain("negative");
    }

    @ParameterizedTest
    @ValueSource(strings = {"+3", "3.", "3 Ω.", "3 ohms", "0.003 kilohm"})
    void takesOtherWaysToWriteThreeOhms(String typed) {
        assertThat(language.understand(typed)).isEqualTo(MeterReading.Value.ohms(3));
    }

    @Test
    void takesUnitsThatAreWrittenOut() {
        assertThat(language.understand("2.7 megohm")).isEqualTo(MeterReading.Value.ohms(2.7e6));
        assertThat(language.understand("2 megohms")).isEqualTo(MeterReading.Value.ohms(2e6));
        assertThat(language.understand("1 kΩ.")).isEqualTo(MeterReading.Value.ohms(1000));
    }

    @ParameterizedTest
    @ValueSource(strings = {"5²", "10³", "R₂"})
    void aRaisedOrLoweredDigitIsNoPartOfAReading(String typed) {
        assertThat(language.understand(typed)).isInstanceOf(MeterReading.Refused.class);
    }

    @ParameterizedTest
    @ValueSource(strings = {"OL mΩ", "OL Ω", "OL kΩ"})
    void overRangeOfALowRangeIsNoBreak(String typed) {
        assertThat(English.of(language.understand(typed).message())).contains("only says \"more than that range\"");
    }

    @ParameterizedTest
    @ValueSource(strings = {"1", "1 M", "1k", "1,", "1 Ω", "1 ."})
    void aOneWithAUnitIsAskedOnAMeterWhoseMarkIsOne(String typed) {
        assertThat(new ReadingParser(true).understand(typed)).isInstanceOf(MeterReading.Ambiguous.class);
    }

    @Test
    void aSpanFromOneIsASpanOnEveryMeter() {
        assertThat(new ReadingParser(true).understand("1..3")).isInstanceOf(MeterReading.Unstable.class);
    }

    @Test
    void refusesNothingAndTooMuch() {
        assertThat(English.of(language.understand("   ").message())).startsWith("Nothing was typed.");
        assertThat(English.of(language.understand("9".repeat(41)).message()))
                .startsWith("Read 41 characters; a reading has at most 40.");
    }

    @Test
    void doesNotDependOnTheLocale() {
        Locale before = Locale.getDefault();
        try {
            for (Locale locale :
                    List.of(Locale.GERMANY, Locale.forLanguageTag("tr-TR"), Locale.forLanguageTag("ar-EG"))) {
                Locale.setDefault(locale);
                assertThat(language.understand("INF")).isEqualTo(new MeterReading.OverRange());
                assertThat(English.of(language.understand("0.64").message())).isEqualTo("0.64 Ω");
                assertThat(English.of(language.understand("15k8").message())).isEqualTo("15.8 kΩ");
            }
        } finally {
            Locale.setDefault(before);
        }
    }
}
