package zestymarten.web.record;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.WireList;
import zestymarten.web.drawing.AssemblyDrawing;
import zestymarten.web.record.RecordResult.ReadingLine;

/** A test of many readings: the certificate stays readable, and the annex has every line. */
class AnnexTest {
    private static ReadingLine line(int number, String state, String word, String ohm, boolean takenBack) {
        return new ReadingLine(
                number,
                number <= 100 ? "Continuity" : "Short circuits",
                "J1." + number,
                "Штекер.2",
                "",
                "",
                "0.3",
                ohm + " Ω",
                ohm,
                "Ω",
                "",
                ohm,
                ohm + " Ω",
                "",
                "",
                "≤ 0.5 Ω",
                "a source that is longer than its column",
                word,
                state,
                takenBack,
                "",
                "bench");
    }

    private static List<ReadingLine> lines(int count) {
        List<ReadingLine> lines = new ArrayList<>();
        for (int i = 1; i <= count; i++) {
            boolean fails = i % 1000 == 0;
            lines.add(line(
                    i, fails ? "fail" : "pass", fails ? "fail" : "pass", fails ? "9" : "0." + (2 + i % 3), i == 7));
        }
        return lines;
    }

    private static RecordView record(int readings) {
        RecordResult result = new RecordResult(
                "1", "", List.of(), List.of(), List.of(), List.of(), List.of(), "", List.of(), lines(readings));
        return new RecordView(
                5,
                true,
                "PC-07",
                "Pendant",
                1,
                "1",
                "meter",
                "",
                "",
                "20 °C",
                "",
                "",
                "pass",
                "pass",
                "",
                result,
                AssemblyDrawing.of(
                        WireList.read("wire,from,to\nW1,J1.1,J2.1\n")
                                .assembly("Pendant", AssemblyKind.CABLE, "", java.util.Map.of()),
                        List.of()));
    }

    @Test
    void aReadingOfARecordOfAnEarlierVersionIsCalledAsToday() {
        assertThat(line(1, "good", "pass", "0.3", false).state()).isEqualTo("pass");
        assertThat(line(1, "fault", "fail", "9", false).state()).isEqualTo("fail");
        assertThat(line(1, "a word of long ago", "fail", "9", false).state()).isEqualTo("a word of long ago");
    }

    @Test
    void aLongTestIsSummedUpAndEverythingThatIsNoPlainPassStandsThere() {
        ReadingDigest digest = record(20_000).digest();
        assertThat(digest.isWhole()).isFalse();
        assertThat(digest.shown().stream().map(ReadingLine::sequence))
                .hasSize(21)
                .startsWith(7, 1000, 2000);
        assertThat(digest.passed())
                .containsExactly(
                        new ReadingDigest.PassedReadings("Continuity", 99, "0.2 Ω to 0.4 Ω", "1 to 100"),
                        new ReadingDigest.PassedReadings("Short circuits", 19_880, "0.2 Ω to 0.4 Ω", "101 to 19999"));
        assertThat(record(300).digest().isWhole()).isTrue();
        assertThat(record(300).digest().shown()).hasSize(300);
    }

    @Test
    void theAnnexHasEveryLineWithinSeconds() throws IOException {
        Instant start = Instant.now();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Annex.write(record(20_000), Optional.empty(), out);
        assertThat(Duration.between(start, Instant.now())).isLessThan(Duration.ofSeconds(30));
        try (PDDocument document = Loader.loadPDF(out.toByteArray())) {
            PDFTextStripper first = new PDFTextStripper();
            first.setEndPage(1);
            assertThat(first.getText(document))
                    .contains(
                            "Readings of PC-07, Pendant, test 5",
                            "page 1 of",
                            "J1.7",
                            "Штекер.2",
                            "taken back",
                            "≤ 0.5 Ω");
            PDFTextStripper last = new PDFTextStripper();
            last.setStartPage(document.getNumberOfPages());
            assertThat(last.getText(document)).contains("20000", "J1.20000", "fail");
        }
    }
}
