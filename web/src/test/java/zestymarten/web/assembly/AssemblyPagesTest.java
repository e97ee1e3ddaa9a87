package zestymarten.web.assembly;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.apache.poi.xssf.usermodel.XSSFRow;
import org.apache.poi.xssf.usermodel.XSSFSheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/** Assemblies in the browser: pasted, described, seen, changed. */
@ExtendWith(Workshop.class)
class AssemblyPagesTest {
    private final Site site;
    private final Browser browser;

    AssemblyPagesTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
    }

    @BeforeEach
    void signIn() {
        browser.desktop().signIn("bench");
    }

    @AfterEach
    void nothingWasRefusedByTheBrowser() {
        assertThat(browser.complaints()).isEmpty();
    }

    private void paste(String text) {
        browser.run(
                "const f = document.getElementById('list'); f.value = arguments[0];"
                        + "f.dispatchEvent(new Event('input', {bubbles: true}));",
                text);
    }

    @Test
    void previewsAPasteAndKeepsItOnlyWhole() {
        String name = site.fresh("Pasted harness");
        browser.open("/assemblies/new").fill("input[name=name]", name);
        paste(
                "wire\tfrom\tto\tcolour\tlength_m\tarea_mm2\nW1\tJ1.1\tJ2.1\tWHRD\t2,5\t0,75\nW1\tJ1.2\tJ1.2\tmauve\t-3\t\nW1\tJ1.3\tJ2.3\t\t\t\n");
        browser.see("#preview", "3 problems. Nothing is saved until they are corrected.");
        assertThat(browser.texts("#preview li"))
                .containsExactly(
                        "line 3, to: “J1.2” is not accepted; expected a terminal other than 'from': a wire to itself is no wire.",
                        "line 3, length_m: “-3” is not accepted; expected a number above 0 and at most 100000 m, or nothing if it is"
                                + " not known.",
                        "line 4, wire: “W1”, which line 2 already has. Each wire needs a name of its own.");
        assertThat(browser.text("#preview tbody tr:first-child")).isEqualTo("2 W1 J1.1 J2.1 white-red 2.50 m 0.75 mm²");
        browser.click("form .do").see("#say", "line 3, to");
        assertThat(browser.find("#list").getDomProperty("value"))
                .as("the paste is still there")
                .contains("mauve");

        paste(
                "wire\tfrom\tto\tcolour\tlength_m\tarea_mm2\nW1\tJ1.1\tJ2.1\tWHRD\t2,5\t0,75\nW2\tJ1.2\tJ2.2\tmauve\t3\t\n");
        browser.see("#preview", "2 wires understood.").click("form .do").waitForPath("/assemblies/\\d+");
        assertThat(browser.text("h1")).isEqualTo(name);
        assertThat(browser.text("tr[data-wire=W2]")).contains("mauve").contains("1 Ω");
    }

    @Test
    void aPickInTheListIsAPickInTheDrawingAndBack() {
        long id = site.wiring(
                site.fresh("Picked cable"),
                "wire,from,to,colour,length_m,area_mm2,current_a\nW1,J1.1,J2.1,RD,8.2,0.5,\nW2,J1.2,J2.2,BU,8.2,0.5,2\n");
        browser.open("/assemblies/" + id).click("tr[data-wire=W2] td");
        browser.find("g.strand.picked[data-wire=W2]");
        assertThat(browser.text("#derivation"))
                .isEqualTo("W2, J1.2 to J2.2. A good unit reads about 0.2828 Ω. Maximum 0.3198 Ω: IEC 60228 class 5"
                        + " (flexible), plain copper 0.5 mm², 39 mΩ/m × 8.2 m at 20 °C. It carries 2 A: a tone is not"
                        + " enough.");
        browser.run("document.querySelector('g.strand[data-wire=W1] .hit').dispatchEvent("
                + "new MouseEvent('click', {bubbles: true}))");
        browser.find("tr.picked[data-wire=W1]");
        assertThat(browser.count("tr.picked")).isEqualTo(1);
        assertThat(browser.text("#derivation"))
                .startsWith("W1, J1.1 to J2.1.")
                .endsWith("It is a signal: a tone may do.");
    }

    @Test
    void describesACableAndHasTheProbesOnItInHalfAMinute() {
        Instant before = Instant.now();
        browser.open("/").click(".begin .do").waitForPath("/start");
        browser.fill("input[name=name]", site.fresh("Quick cable"));
        browser.fill("input[name=cores]", "4").fill("input[name=length_m]", "12,5");
        browser.fill("input[name=area_mm2]", "AWG 20").fill("input[name=colours]", "BN BK GY BU");
        browser.keys(Keys.ENTER).waitForPath("/assemblies/\\d+/test");
        browser.fill("input[name=ambient]", "68 F")
                .fill("input[name=serial]", "Q-1")
                .keys(Keys.ENTER);
        browser.waitForPath("/runs/\\d+").see(".sentence", "Look at J1.");
        browser.keys(Keys.ENTER).see(".sentence", "Look at J2.");
        browser.keys(Keys.ENTER).see(".sentence", "Touch the probes together");
        browser.keys("b").see(".sentence", "what do the leads read?");
        browser.keys("0.3", Keys.ENTER).see(".sentence", "Black on J1.1, red on J2.1.");
        assertThat(browser.text(".why"))
                .isEqualTo(
                        "W1 brown. Expect about 0.4164 Ω. Maximum 0.4709 Ω: IEC 60228 class 5 (flexible), plain copper"
                                + " 0.5176 mm² (scaled from 0.5 mm²), 37.67 mΩ/m × 12.5 m at 20 °C.");
        assertThat(Duration.between(before, Instant.now())).isLessThan(Duration.ofSeconds(30));
    }

    @Test
    void theQuickFormSaysAllThatIsWrongAndKeepsWhatWasTyped() {
        browser.open("/start").fill("input[name=name]", "Broken cable").fill("input[name=cores]", "900");
        browser.fill("input[name=to]", "J1").fill("input[name=length_m]", "-4").keys(Keys.ENTER);
        browser.see("#say", "“900” is not accepted; expected 1 to 200.");
        assertThat(browser.texts("#say p"))
                .contains("to “J1” at both ends; expected two different connectors.")
                .anyMatch(each -> each.startsWith("length_m “-4 m” is not accepted; expected above 0"));
        assertThat(browser.find("input[name=cores]").getDomProperty("value")).isEqualTo("900");
    }

    @Test
    void aChangeBecomesTheNextRevision() {
        long id = site.wiring(site.fresh("Changed cable"), "wire,from,to\nW1,J1.1,J2.1\n");
        browser.open("/assemblies/" + id + "/change").find("#list");
        browser.see("#preview", "1 wire understood.");
        paste("wire,from,to,function\nW1,J1.1,J2.1,bell\nW2,J1.2,J2.2,lamp\n");
        browser.see("#preview", "2 wires understood.").fill("input[name=face-J2]", "2x3");
        browser.click("form .do").waitForPath("/assemblies/" + id);
        assertThat(browser.text(".head")).contains("revision 2").contains("2 wires");
        assertThat(browser.count(".body.right .hollow"))
                .as("four cavities of J2 are empty")
                .isEqualTo(4);
    }

    @Test
    void aNameThatIsTakenIsRefused() {
        String name = site.fresh("Taken cable");
        site.wiring(name, "from,to\nJ1.1,J2.1\n");
        browser.open("/assemblies/new").fill("input[name=name]", name);
        paste("from,to\nJ1.1,J2.1\n");
        browser.see("#preview", "1 wire understood.").click("form .do");
        browser.see("#say", "“" + name + "” is an assembly already.");
    }

    @Test
    void refusesAnEnormousPasteAndTakesASharedCavity() {
        browser.open("/assemblies/new");
        paste("from\tto\tnote\n" + ("J1.1\tJ2.1\t" + "x".repeat(90) + "\n").repeat(50_000));
        browser.see("#preview", "The list has 5.1 MB; at most 2 MB are read, which is about 10000 wires.");
        paste("from\tto\nJ1.1\tJ2.1\nJ1.1\tJ2.2\n");
        browser.see("#preview", "2 wires understood.").fill("input[name=name]", site.fresh("Shared cavity"));
        browser.click("form .do").waitForPath("/assemblies/\\d+");
        assertThat(browser.texts("tbody .tag")).containsExactly("shared cavity", "shared cavity");
    }

    @Test
    void aStraightCableIsDrawnWithoutACrossing() {
        long id = site.wiring(site.fresh("Straight cable"), "from,to\nJ1.1,J2.1\nJ1.2,J2.2\nJ1.3,J2.3\nJ1.4,J2.4\n");
        browser.open("/assemblies/" + id);
        assertThat(browser.count("g.strand")).isEqualTo(4);
        assertThat(browser.texts("svg.assembly-drawing .body.left .pin")).containsExactly("1", "2", "3", "4");
        assertThat(browser.texts("svg.assembly-drawing .body.right .pin")).containsExactly("1", "2", "3", "4");
    }

    @Test
    void aWorkbookIsReadIntoTheFieldAndOneThatIsNoneIsRefusedBesideIt() throws IOException {
        Path file = Files.createTempFile("wires", ".xlsx");
        try (XSSFWorkbook book = new XSSFWorkbook();
                OutputStream out = Files.newOutputStream(file)) {
            XSSFSheet sheet = book.createSheet();
            for (List<String> cells : List.of(List.of("wire", "from", "to"), List.of("W1", "J1.1", "J2.1"))) {
                XSSFRow row = sheet.createRow(sheet.getPhysicalNumberOfRows());
                cells.forEach(
                        each -> row.createCell(row.getPhysicalNumberOfCells()).setCellValue(each));
            }
            book.write(out);
        }
        browser.open("/assemblies/new").find("input[type=file]").sendKeys(file.toString());
        browser.see("#preview", "J2.1");
        Files.writeString(file, "no workbook");
        browser.open("/assemblies/new").find("input[type=file]").sendKeys(file.toString());
        browser.see("#preview", "no spreadsheet that can be read");
        Files.delete(file);
        browser.complaints(); // the refusal of the server is one
    }

    @Test
    void anAssemblyLeavesAsASpreadsheetAndOnPaper() {
        for (String file : List.of("wires.xlsx", "wires.csv", "assembly.json", "sheet.pdf")) {
            assertThat(browser.status("/assemblies/2/" + file)).as(file).isEqualTo(200);
        }
    }
}
