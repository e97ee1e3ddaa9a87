package zestymarten.web.unit;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.UUID;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;
import zestymarten.web.testrun.RunEntries;
import zestymarten.web.testrun.TestRuns;

/** What is done with several units of the list at once. */
@ExtendWith(Workshop.class)
class UnitPagesTest {
    private static final String POSTED = """
            const form = document.querySelector("main form[method=post]");
            const answer = await fetch(arguments[0], {method: "POST", body: new URLSearchParams(new FormData(form))});
            const bytes = new Uint8Array(await answer.arrayBuffer());
            return answer.status + " " + btoa(String.fromCharCode(...bytes));
            """;

    private final Site site;
    private final Browser browser;
    private String assembly = "";

    UnitPagesTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
    }

    @BeforeEach
    void threeUnits() {
        assembly = site.fresh("Chosen lead");
        long id = site.wiring(assembly, "wire,from,to\nW1,J1.1,J2.1\n");
        for (String serial : new String[] {"CH-1", "CH-2", "CH-3"}) {
            site.run(id, serial);
        }
        browser.desktop().signIn("bench").open("/units?search=" + assembly.replace(" ", "+"));
    }

    @AfterEach
    void nothingWasRefusedByTheBrowser() {
        assertThat(browser.complaints()).isEmpty();
    }

    private byte[] posted(String path) {
        String answer = String.valueOf(
                browser.run("return (async () => {" + POSTED.replace("arguments[0]", "'" + path + "'") + "})()"));
        assertThat(answer).startsWith("200 ");
        return Base64.getDecoder().decode(answer.substring(4));
    }

    @Test
    void chosenUnitsGetADueDateAndTheOthersNone() {
        String day = LocalDate.now(ZoneOffset.UTC).plusMonths(6).toString();
        browser.click("input[name=unit][aria-label='Choose CH-1']").click("input[name=unit][aria-label='Choose CH-3']");
        browser.run("document.querySelector('input[name=due_on]').value = arguments[0]", day);
        browser.click("button[formaction='/units/due']").waitForPath("/units\\?.*page=0");
        assertThat(browser.texts("tbody .when")).containsExactly(day, "", day);
        browser.run("document.querySelector('input[name=due_on]').value = '2020-01-01'");
        browser.click("input[data-choose-all]")
                .click("button[formaction='/units/due']")
                .see("main", "“2020-01-01” is not accepted; expected a day to come, such as 2027-05-31.");
        browser.complaints();
        browser.open("/units?search=" + assembly.replace(" ", "+"))
                .click("button[formaction='/units/due']")
                .see("main", "0 units are chosen; expected 1 to 50. Tick the units in the list first.");
        browser.complaints();
    }

    @Test
    void chosenUnitsAreReleasedWhereTheirLastTestAllowsIt() {
        TestRuns runs = site.bean(TestRuns.class);
        long id = site.wiring(site.fresh("Released lead"), "wire,from,to,max_ohm\nW1,J1.1,J2.1,0.5\n");
        Map<String, String> reads = Map.of("RL-1", "0.5", "RL-2", "OL", "RL-3", "", "RL-4", "0.80");
        for (String serial : List.of("RL-1", "RL-2", "RL-3", "RL-4")) {
            long run = site.run(id, serial);
            if (serial.equals("RL-3")) {
                continue; // under way
            }
            while (runs.find(run).test().current().isPresent()) {
                TestStep step = runs.find(run).test().current().orElseThrow();
                String typed = step instanceof TestStep.LeadCheck
                        ? "0.3"
                        : step.stage() == Stage.CONTINUITY ? reads.getOrDefault(serial, "") : "n";
                boolean tone = step instanceof TestStep.LeadCheck check
                        && check.question() == TestStep.LeadCheck.LeadQuestion.TONE;
                site.bean(RunEntries.class)
                        .enter(
                                run,
                                new RunEntries.SentEntry(
                                        UUID.randomUUID(),
                                        step,
                                        runs.find(run).test().nextAttempt(step),
                                        tone ? "b" : typed,
                                        OptionalInt.empty()),
                                "bench");
            }
            runs.end(run, "bench");
        }
        browser.open("/units?search=RL-").click("input[data-choose-all]").click("button[formaction='/units/release']");
        browser.see("[role=status]", "1 unit is released.");
        assertThat(browser.text("[role=status]"))
                .contains("RL-2 is not released. Its last test did not pass. Decide on its record.")
                .contains("RL-3 is not released. A test of it is under way.")
                .contains("RL-4 is not released. A unit that is watched needs a next test");
        browser.run(
                "document.querySelector('input[name=due_on]').value = arguments[0]",
                LocalDate.now(ZoneOffset.UTC).plusMonths(1).toString());
        browser.click("input[aria-label='Choose RL-4']").click("button[formaction='/units/release']");
        browser.see("[role=status]", "1 unit is released.");
        browser.click("input[data-choose-all]").click("button[formaction='/units/release']");
        browser.see("[role=status]", "RL-1 is not released. It was released after its last test.");
        assertThat(browser.text("[role=status]")).startsWith("No unit is released.");
    }

    @Test
    void aViewerPrintsTheirLabelsAndTakesTheListAway() throws Exception {
        browser.signIn("viewer").open("/units?search=" + assembly.replace(" ", "+"));
        browser.click("input[data-choose-all]");
        try (PDDocument labels = Loader.loadPDF(posted("/units/labels.pdf"))) {
            assertThat(new PDFTextStripper().getText(labels)).contains("CH-1", "CH-2", "CH-3", assembly);
            assertThat(labels.getNumberOfPages()).isEqualTo(1);
        }
        assertThat(new String(posted("/units/units.csv"), java.nio.charset.StandardCharsets.UTF_8))
                .startsWith("serial,assembly,state,next_test\r\nCH-1," + assembly + ",on the bench,\r\nCH-2,");
        assertThat(browser.texts("button[formaction='/units/due']")).isEmpty();
    }
}
