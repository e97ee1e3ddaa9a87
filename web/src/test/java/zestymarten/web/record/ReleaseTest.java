package zestymarten.web.record;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.io.ByteArrayInputStream;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.Decision;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;
import zestymarten.web.platform.Qr;
import zestymarten.web.platform.Workbook;
import zestymarten.web.testrun.RunEntries;
import zestymarten.web.testrun.RunSnapshot;
import zestymarten.web.testrun.TestRuns;
import zestymarten.web.unit.Units;

/** What happens to a unit after its test. */
@ExtendWith(Workshop.class)
class ReleaseTest {
    private final Site site;
    private final Browser browser;
    private long wiring;

    ReleaseTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
    }

    @BeforeEach
    void wiring() {
        wiring = site.wiring(
                site.fresh("Lamp lead"), "wire,from,to,function,length_m,area_mm2\nW1,J1.1,J2.1,lamp,8,0.5\n");
        browser.desktop().signIn("bench");
    }

    /** A run of one wire that is ended, whatever it read. */
    private RunSnapshot ended(String serial, String ohms) {
        TestRuns runs = site.bean(TestRuns.class);
        RunSnapshot run = runs.find(site.run(wiring, serial));
        while (run.test().current().isPresent()) {
            TestStep step = run.test().current().get();
            String shown = step.fold(
                    probes -> probes.question() == TestStep.LeadCheck.LeadQuestion.TONE ? "b" : "0.3",
                    measurement -> measurement.red().isFrame() ? "n" : ohms,
                    manual -> "");
            RunEntries.SentEntry sent = new RunEntries.SentEntry(
                    UUID.randomUUID(), step, run.test().nextAttempt(step), shown, OptionalInt.of(0));
            run = ((RunEntries.EntryAnswer.EntryKept)
                            site.bean(RunEntries.class).enter(run.id(), sent, "bench"))
                    .run();
        }
        return runs.end(run.id(), "bench");
    }

    private String state(RunSnapshot run) {
        return site.bean(Units.class).find(run.unitId()).state().code();
    }

    @Test
    void aGoodUnitIsReleasedUntilItIsDueAgain() {
        RunSnapshot run = ended("R-1", "0.58");
        String due =
                LocalDate.now(site.bean(java.time.Clock.class)).plusDays(20).toString();
        browser.open("/runs/" + run.id() + "/record")
                .fill("input[name=due_on]", due)
                .fill("input[name=due_hours]", "400")
                .click(".release .do")
                .see(".release", "released by bench");
        browser.open("/units/" + run.unitId()).see("main", "in service, next test by " + due + " or after 400 h");
        browser.open("/").see(".today", "R-1").see(".today", "due by " + due);
    }

    @Test
    void aDayThatIsPastIsNoDayToBeTestedAgain() {
        RunSnapshot run = ended("R-2", "0.58");
        browser.open("/runs/" + run.id() + "/record").fill("input[name=due_on]", "2020-01-31");
        browser.click(".release .do")
                .see("#say", "“2020-01-31” is not accepted; expected a day to come, such as 2027-05-31.");
        assertThat(browser.find("input[name=due_on]").getDomProperty("value")).isEqualTo("2020-01-31");
    }

    @Test
    void aUnitWithAFaultStaysInQuarantineWhoeverAsks() {
        RunSnapshot run = ended("R-3", "OL");
        assertThat(state(run)).isEqualTo("quarantined");
        browser.signIn("lead").open("/runs/" + run.id() + "/record");
        assertThat(browser.post("/runs/" + run.id() + "/release", "decision=RELEASE"))
                .isEqualTo(422);
        assertThat(state(run)).isEqualTo("quarantined");
    }

    @Test
    void whereTheWiringAsksForItASecondRoleSigns() {
        browser.open("/assemblies/" + wiring);
        assertThat(browser.post("/assemblies/" + wiring + "/sign-off", "needed=true"))
                .as("a technician does not decide it")
                .isEqualTo(403);
        browser.signIn("lead").open("/assemblies/" + wiring).click("main form .button");
        browser.see("main form", "A second role signs for every test.");
        RunSnapshot run = ended("R-4", "0.58");
        assertThat(state(run)).as("until somebody has signed").isEqualTo("on the bench");
        browser.open("/runs/" + run.id() + "/record")
                .see(".release", "A lead hand has to sign for this assembly's tests.");
        browser.fill(".release input[name=note]", "seen")
                .click(".release form .do")
                .see(".release", "Signed for by lead");
        assertThat(state(run)).isEqualTo("in service");
        browser.signIn("bench").open("/runs/" + run.id() + "/record");
        assertThat(browser.post("/runs/" + run.id() + "/sign-off", "note=")).isEqualTo(403);
    }

    @Test
    void nobodySignsForTheirOwnTest() {
        RunSnapshot run = ended("R-5", "0.58");
        site.bean(Releases.class).sign(run.id(), "", "lead");
        assertThat(site.bean(Releases.class).of(run).signOff()).isPresent();
        RunSnapshot own = ended("R-6", "0.58");
        org.assertj.core.api.Assertions.assertThatThrownBy(
                        () -> site.bean(Releases.class).sign(own.id(), "", "bench"))
                .hasMessageContaining("You made this test yourself");
    }

    @Test
    void theLabelLeadsToTheUnit() throws Exception {
        RunSnapshot run = ended("R-7", "0.58");
        Qr code = Qr.of(site.url() + "/units/" + run.unitId());
        assertThat(read(code)).isEqualTo(site.url() + "/units/" + run.unitId());
        browser.open("/units/" + run.unitId());
        String svg = (String)
                browser.run("return fetch('/units/" + run.unitId() + "/label.svg').then((answer) => answer.text())");
        assertThat(svg).contains("R-7", "Lamp lead").contains(code.path());
        byte[] pdf = site.bean(Certificates.class)
                .labels(List.of(new LabelController.LabelSheet(
                        "R-7",
                        "Lamp lead",
                        "in service",
                        "",
                        code,
                        List.of(new LabelController.EndLabel("W1", "J1.1", "J2.1", "brown lamp")))));
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(new PDFTextStripper().getText(document)).contains("R-7", "W1", "J1.1", "to J2.1", "brown lamp");
        }
    }

    private static String read(Qr code) throws Exception {
        int margin = 4;
        int side = (code.size() + 2 * margin) * 4;
        int[] pixels = new int[side * side];
        for (int i = 0; i < pixels.length; i++) {
            int x = i % side / 4 - margin;
            int y = i / side / 4 - margin;
            boolean inside = x >= 0 && y >= 0 && x < code.size() && y < code.size();
            pixels[i] = inside && code.modules().get(x, y) ? 0xff000000 : 0xffffffff;
        }
        return new QRCodeReader()
                .decode(new BinaryBitmap(new HybridBinarizer(new RGBLuminanceSource(side, side, pixels))))
                .getText();
    }

    @Test
    void theSpreadsheetHasTheFiguresOfTheCertificate() throws Exception {
        RunSnapshot run = ended("R-8", "0.58");
        RecordView view = site.bean(SealedRecords.class).view(run);
        try (XSSFWorkbook book = new XSSFWorkbook(new ByteArrayInputStream(
                Workbook.write("Readings", ReadingsTable.COLUMNS, ReadingsTable.rows(view).stream())))) {
            assertThat(book.getSheetAt(0).getPhysicalNumberOfRows())
                    .isEqualTo(view.result().readings().size() + 1);
            int value = ReadingsTable.COLUMNS.indexOf("value");
            assertThat(book.getSheetAt(0).getRow(3).getCell(value).getNumericCellValue())
                    .isEqualTo(0.58);
        }
        browser.open("/runs/" + run.id() + "/record");
        String json =
                (String) browser.run("return fetch('/runs/" + run.id() + "/run.json').then((answer) => answer.text())");
        assertThat(json).contains("\"format\":\"zesty-marten/run\"", "\"unit\":\"R-8\"", "\"as_typed\":\"0.58\"");
    }

    /** Of two decisions at the same moment the last one counts altogether: where the unit goes, and when it is due. */
    @Test
    void twoDecisionsAtOnceLeaveTheUnitWhereTheLastSaysItIs() {
        Releases releases = site.bean(Releases.class);
        Units units = site.bean(Units.class);
        RunSnapshot run = ended("TW-1", "0.5");
        String due = LocalDate.now(ZoneId.systemDefault()).plusDays(100).toString();
        for (int round = 0; round < 25; round++) {
            CompletableFuture.allOf(
                            CompletableFuture.runAsync(() -> releases.decide(
                                    run.id(), Decision.RELEASE, new Releases.DueForm(due, "", ""), "", "lead", true)),
                            CompletableFuture.runAsync(() -> releases.decide(
                                    run.id(),
                                    Decision.QUARANTINE,
                                    new Releases.DueForm("", "", ""),
                                    "",
                                    "bench",
                                    false)))
                    .join();
            String last = releases.of(run).release().orElseThrow().decision();
            assertThat(units.find(run.unitId()).state().code())
                    .as("round " + round)
                    .isEqualTo(last.equals("RELEASE") ? "in service" : "quarantined");
            assertThat(units.find(run.unitId()).due().isSaid()).isEqualTo(last.equals("RELEASE"));
        }
    }
}
