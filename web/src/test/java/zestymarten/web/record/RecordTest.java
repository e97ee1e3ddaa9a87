package zestymarten.web.record;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;
import zestymarten.web.platform.Csv;
import zestymarten.web.testrun.RunLine;
import zestymarten.web.testrun.TestRuns;

/** The record of a run as a page, as PDF and as CSV: the same figures in all three. */
@ExtendWith(Workshop.class)
class RecordTest {
    private static final long CORRODED = 6;

    private final Site site;
    private final Browser browser;

    RecordTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
    }

    private RecordView view() {
        return site.bean(SealedRecords.class).view(site.bean(TestRuns.class).find(CORRODED));
    }

    private String pdf() throws IOException {
        byte[] bytes = site.bean(Certificates.class).pdf(view(), Optional.empty());
        try (PDDocument document = Loader.loadPDF(bytes)) {
            return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
        }
    }

    @Test
    void pageAndPdfAndCsvSayTheSame() throws IOException {
        RecordView record = view();
        assertThat(record.unit()).isEqualTo("DH-22");
        String pdf = pdf();
        browser.desktop().signIn("viewer").open("/runs/" + CORRODED + "/record");
        String page = browser.text(".certificate").replaceAll("\\s+", " ");
        List<String> csv = Csv.write(ReadingsTable.COLUMNS, ReadingsTable.rows(record))
                .lines()
                .toList();
        assertThat(csv).hasSize(record.result().readings().size() + 1);
        String pdfWithoutGaps = pdf.replace(" ", "");
        for (RecordResult.ReadingLine line : record.result().readings()) {
            String row = line.sequence() + " " + line.stage() + " " + line.a();
            assertThat(page).contains(row.strip());
            assertThat(page).contains(line.correctedText()).contains(line.source());
            assertThat(pdfWithoutGaps).contains(line.correctedText().replace(" ", ""));
            assertThat(pdfWithoutGaps).contains(line.source().replace(" ", ""));
            assertThat(csv.get(line.sequence()))
                    .contains("," + line.asTyped() + "," + line.value() + ",")
                    .contains("," + line.corrected() + ",");
        }
    }

    @Test
    void saysWhatACertificateMustSay() throws IOException {
        assertThat(pdf())
                .contains("Test certificate", "DH-22", "Driver's desk harness, revision 1 of")
                .contains("bench meter 2: 0.8 % of reading, 10 mΩ resolution, tone below about 30 Ω, up to 20 MΩ")
                .contains("0.3 Ω; all of it is taken off", "20 °C", "simple: up to the limit passes")
                .contains("W6 has a high resistance", "brake valve", "IEC 60228")
                .contains("Insulation was not tested")
                .contains("Local codes and licensed practice decide");
    }

    @Test
    void theFilesAreServedWithTheirNames() {
        browser.desktop().signIn("viewer").open("/runs/" + CORRODED + "/record");
        assertThat(browser.run("return fetch('/runs/6/certificate.pdf').then(a => a.headers.get('Content-Type'))"))
                .isEqualTo("application/pdf");
        assertThat((String) browser.run(
                        "return fetch('/runs/6/readings.csv').then(a => a.headers.get('Content-Disposition'))"))
                .contains("Driver%27s%20desk%20harness%20DH-22%20test%206.csv");
    }

    @Test
    void findsRecordsByWiringAndSerial() {
        browser.desktop().signIn("viewer").open("/records?search=dh-2");
        assertThat(browser.texts("tbody td:first-child")).containsExactly("DH-22", "DH-21");
        browser.open("/records?search=shore");
        assertThat(browser.texts("tbody td:first-child")).containsExactly("SL-03", "SL-02", "SL-01");
        browser.open("/records?search=nothing+like+it");
        assertThat(browser.text(".empty"))
                .isEqualTo("No ended test has that in its assembly, serial number or findings.");
    }

    @Test
    void listsTheLastEndedFirstPageByPage() {
        TestRuns runs = site.bean(TestRuns.class);
        List<RunLine> first = runs.ended("", TestRuns.ALL, 4);
        assertThat(first)
                .extracting(line -> Objects.requireNonNull(line.endedAt()))
                .isSortedAccordingTo(Comparator.reverseOrder());
        List<RunLine> older = runs.ended("", Objects.requireNonNull(first.get(3).endedAt()), 4);
        assertThat(older).doesNotContainAnyElementsOf(first).hasSize(4);
        browser.desktop()
                .signIn("viewer")
                .open("/records?before=" + first.get(3).endedAt());
        assertThat(browser.text("tbody td:first-child")).isEqualTo(older.get(0).serial());
    }

    @Test
    void aFormulaInASpreadsheetIsWrittenHarmlessly() {
        long run = site.run(site.wiring(site.fresh("Formula cable"), "wire,from,to\n'=A1,J1.1,J2.1\n"), "=1+1");
        HttpResponse<String> answer = site.send(site.as("bench", "/api/v1/runs/" + run));
        assertThat(answer.body()).contains("\"serial\":\"=1+1\"");
        RecordView record =
                site.bean(SealedRecords.class).view(site.bean(TestRuns.class).find(run));
        assertThat(Csv.write(ReadingsTable.COLUMNS, ReadingsTable.rows(record)))
                .doesNotContain(",=")
                .doesNotContain("\n=");
    }
}
