package zestymarten.web.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import zestymarten.core.finding.FaultHistory;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/** What good units and their faults teach about later ones, in the browser. */
@ExtendWith(Workshop.class)
class LearningPagesTest {
    private static final String NOT_KNOWN = "from,to\nJ1.1,J2.1\n";

    private final Site site;
    private final Browser browser;
    private final Hands hands;

    LearningPagesTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
        hands = new Hands(browser);
    }

    @BeforeEach
    void signIn() {
        browser.desktop().signIn("bench");
    }

    @AfterEach
    void nothingWasRefusedByTheBrowser() {
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void goodUnitsTeachWhatAWireMayReadAndAUnitsHistoryShowsWhatHasRisen() {
        long unknown = site.wiring(site.fresh("Nothing known"), NOT_KNOWN);
        browser.open("/assemblies/" + unknown + "/learnt")
                .see(".empty", "No wire was measured on three good units yet.");
        for (String serial : new String[] {"U-1", "U-2", "U-3", "U-3"}) {
            hands.begin(unknown, serial, "input[name=quick]")
                    .press("b")
                    .type("0.30", "0.72")
                    .press("n");
            browser.see(".sentence", "All measurements are done.")
                    .click(".side button.do")
                    .waitForPath("/runs/\\d+/record");
        }
        hands.begin(unknown, "U-4", "input[name=quick]").press("b").type("0.30", "OL", "OL");
        browser.see(".result", "Open").keys(Keys.ENTER).see(".sentence", "Black on J1.1, red on the frame.");
        hands.press(2, "n");
        browser.see(".sentence", "All measurements are done.")
                .click(".side button.do")
                .waitForPath("/runs/\\d+/record");
        assertThat(browser.post("/assemblies/" + unknown + "/learnt", ""))
                .as("the lead hand's to decide")
                .isEqualTo(403);
        browser.complaints();
        browser.signIn("lead").open("/assemblies/" + unknown + "/learnt").see("#begins", "the rule of thumb alone");
        assertThat(browser.text("#faults tbody tr")).startsWith("W1 open circuit 1");
        browser.click("main .do").see("tbody", "from 3 units").see("#begins", "the faults of 5 tests");
        assertThat(browser.text("tbody tr")).isEqualTo("W1 3 0.42 Ω 0 Ω 0.462 Ω 0.462 Ω, from 3 units");
        browser.signIn("bench");
        hands.begin(unknown, "U-3", "input[name=quick]").press("b").type("0.30", "0.90");
        browser.see(".result", "0.6 Ω is more than 0.462 Ω. Maximum 0.462 Ω: learnt from 3 good units");
        browser.keys(Keys.ENTER).see(".sentence", "Black on J1.1, red on the frame.");
        hands.press("n");
        browser.see(".sentence", "All measurements are done.")
                .click(".side button.do")
                .waitForPath("/runs/\\d+/record");
        browser.click("main .head a[href^='/units/']").waitForPath("/units/\\d+");
        browser.see("main", "Wire by wire").see("tbody", "risen above its usual 0.42 Ω");
    }

    /** Records have the kind in words; the diagnosis looks for its code. */
    @Test
    void aFaultOfTwoWordsCountsForTheDiagnosisToo() {
        long unknown = site.wiring(site.fresh("Too high"), NOT_KNOWN);
        hands.begin(unknown, "H-1", "input[name=quick]").press("b").type("0.30", "4.50");
        browser.see(".found", "W1 has a high resistance")
                .keys(Keys.ENTER)
                .see(".sentence", "Black on J1.1, red on the frame.");
        hands.press("n");
        browser.see(".sentence", "All measurements are done.")
                .click(".side button.do")
                .waitForPath("/runs/\\d+/record");
        assertThat(site.bean(Learning.class).found(unknown).counts())
                .containsExactly(Map.entry(new FaultHistory.FaultOf("high_resistance", "W1"), 1));
        browser.open("/assemblies/" + unknown + "/learnt");
        assertThat(browser.text("#faults tbody tr")).isEqualTo("W1 high resistance 1");
    }
}
