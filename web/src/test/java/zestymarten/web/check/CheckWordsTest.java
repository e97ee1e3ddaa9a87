package zestymarten.web.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.Properties;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zestymarten.core.check.Check;
import zestymarten.core.check.CheckQuestion;
import zestymarten.core.check.Conclusion;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.Message;
import zestymarten.web.platform.TypedForm;
import zestymarten.web.platform.Words;

/** Every code has its words, and no word is left over. */
class CheckWordsTest {
    private static final TestConditions CONDITIONS = new TestConditions(
            20,
            new MeterProfile("meter", 0.008, 0.01, 30, false, 20e6),
            OptionalDouble.of(0.2),
            LeadPolicy.FULL,
            false,
            TestConditions.JOINED_BELOW_OHM);

    private static Properties words() throws IOException {
        Properties words = new Properties();
        try (InputStream file =
                Objects.requireNonNull(CheckWordsTest.class.getResourceAsStream("/messages/check.properties"))) {
            words.load(new InputStreamReader(file, StandardCharsets.UTF_8));
        }
        return words;
    }

    private static CheckWords checkWords() {
        return new CheckWords(Words.source());
    }

    @Test
    void everyConclusionAndQuestionHasItsSentence() throws IOException {
        Properties words = words();
        List<String> needed = new ArrayList<>();
        Stream.of(Conclusion.Code.values()).forEach(each -> needed.add("check.says." + each.code()));
        Stream.of(CheckQuestion.CheckMeasurement.values()).forEach(each -> needed.add("check.ask." + each.code()));
        Stream.of(Check.CheckOutcome.values())
                .forEach(each -> needed.add(Message.of(each).code()));
        Stream.of(CheckForm.Thing.values()).forEach(each -> needed.add("check.thing." + each.code()));
        assertThat(words.stringPropertyNames()).containsAll(needed);
    }

    @Test
    void noSentenceIsLeftOver() throws IOException {
        StringBuilder used = new StringBuilder();
        for (String file : List.of("check/check.html", "check/fields.html")) {
            used.append(Files.readString(Path.of("src/main/resources/templates", file)));
        }
        for (String file : List.of("CheckWords.java", "CheckController.java")) {
            used.append(Files.readString(Path.of("src/main/java/zestymarten/web/check", file)));
        }
        List<String> families = List.of(
                "says",
                "ask",
                "thing",
                "reason",
                "source",
                "subject",
                "setting",
                "expect",
                "contacts",
                "curve",
                "expects");
        assertThat(words().stringPropertyNames())
                .filteredOn(key -> key.startsWith("check."))
                .filteredOn(key -> !families.contains(key.split("\\.")[1]) || key.split("\\.").length == 2)
                .allSatisfy(key -> assertThat(used).containsAnyOf(key, '"' + key.substring("check.".length()) + '"'));
    }

    @Test
    void noFigureIsLeftUnsaidAndNoPlaceUnfilled() {
        Map<String, String> readings = new HashMap<>();
        readings.put("read.coil", "96.2");
        readings.put("read.contact_at_rest.making", "0.3");
        readings.put("read.contact_operated.making", "4.7");
        CheckView view = view("relay", readings);
        assertThat(view.word()).isEqualTo("fail");
        assertThat(view.says())
                .containsExactly(
                        "Open-at-rest contact, at rest: the contact is closed (0.1 Ω) and should be open: welded, bridged, or"
                                + " another path lies beside it.",
                        "Open-at-rest contact, operated: the contact has 4.5 Ω, at most 0.2 Ω is usual: clean or replace it.");
        assertThat(view.next()).isEqualTo("Closed-at-rest contact, at rest");
        assertThat(view.rows().get(0).read()).isEqualTo("96.2 Ω, 96 Ω without the leads");
    }

    @ParameterizedTest
    @EnumSource(CheckForm.Thing.class)
    void everyThingIsSaidWithoutAReadingAndWithEveryOddOne(CheckForm.Thing thing) {
        for (String reading : List.of(
                "", "OL", "0", "0.22", "4.7", "80k", "12M", "beep", "no", "jumps", ">20M", "<0.1", "x", "3A",
                "0.58V")) {
            Map<String, String> readings = new HashMap<>();
            view(thing.code(), Map.of()).rows().forEach(row -> readings.put(row.id(), reading));
            CheckView view = view(thing.code(), readings);
            assertThat(view.word()).isNotBlank();
            assertThat(view.inOneText() + view.next()).doesNotContain("{").doesNotContain("NaN");
            view.rows()
                    .forEach(row ->
                            assertThat(row.ask() + row.expected() + row.read()).doesNotContain("{"));
            assertThat(view.word())
                    .as("%s with %s", thing, reading)
                    .isNotEqualTo(reading.isEmpty() || reading.equals("x") || reading.equals("3A") ? "pass" : "");
        }
    }

    private static CheckView view(String thing, Map<String, String> readings) {
        Map<String, String> fields = new HashMap<>(readings);
        fields.put("thing", thing);
        Map<String, String> own = new HashMap<>();
        readings.forEach((name, text) -> own.put(name.substring(CheckView.READING.length()), text));
        Check check = Check.of(new CheckForm(new TypedForm(fields)).item().orElseThrow(), own, CONDITIONS);
        return checkWords().view(check, own, Locale.UK);
    }
}
