package zestymarten.web.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/** A unit that failed comes back: the test asks for what the repair concerns, and says what it left out. */
@ExtendWith(Workshop.class)
class RetestPagesTest {
    private final Site site;
    private final Browser browser;

    RetestPagesTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
    }

    @AfterEach
    void nothingWasRefusedByTheBrowser() {
        assertThat(browser.complaints()).isEmpty();
    }

    private void begin(long wiring, String serial, String purpose) {
        browser.open("/assemblies/" + wiring + "/test");
        browser.fill("input[name=serial]", serial).click("input[name=purpose][value=" + purpose + "]");
        browser.run("document.querySelector('input[name=quick]').checked = true");
        browser.click("form .do");
    }

    @Test
    void aRetestAsksForWhatTheLastTestFoundAndForNothingElse() {
        StringBuilder list = new StringBuilder("wire,from,to,max_ohm\n");
        for (int i = 1; i <= 8; i++) {
            list.append("W%d,J1.%d,J2.%d,0.5%n".formatted(i, i, i));
        }
        long wiring = site.wiring(site.fresh("Back"), list.toString());
        browser.desktop().signIn("bench");
        begin(wiring, "B-1", "retest");
        browser.see("#say", "The last test of B-1 has found nothing, or there is none.");
        assertThat(browser.attribute("input[name=serial]", "value"))
                .as("what was typed stays")
                .isNotNull();

        begin(wiring, "B-1", "everything");
        browser.see(".sentence", "Does the meter beep?").keys("b").see(".sentence", "Still together");
        browser.keys("0.2", Keys.ENTER).see(".sentence", "Black on J1.1, red on J2.1.");
        browser.keys("2.4", Keys.ENTER).see(".result", "2.2 Ω is more than 0.5 Ω");
        long run = Long.parseLong(browser.path().replaceAll("\\D+", ""));
        site.bean(TestRuns.class).end(run, "bench");

        begin(wiring, "B-1", "retest");
        browser.see(".strip", "Retest W1")
                .keys("b")
                .see(".sentence", "Still together")
                .keys("0.2", Keys.ENTER);
        browser.see(".sentence", "Black on J1.1, red on J2.1.").keys("0.4", Keys.ENTER);
        browser.see(".sentence", "Black on J1.2, red on J2.2.").keys("0.4", Keys.ENTER);
        browser.see(".sentence", "Black on J1.1, red on J1.2.");
        while (!browser.text(".sentence").startsWith("What the repair")) {
            new Hands(browser).type("OL");
        }
        browser.see(".sentence", "What the repair concerns was measured again: nothing is wrong with it.");
        assertThat(browser.text(".mid")).contains("they were not made, and the record says so");
    }

    @Test
    void aUnitWithATestUnderWayAsksWhetherThatOneGoesOn() {
        long wiring = site.wiring(site.fresh("Twice"), "wire,from,to\nW1,J1.1,J2.1\n");
        browser.desktop().signIn("bench");
        begin(wiring, "T-1", "everything");
        browser.see(".sentence", "Does the meter beep?");
        String first = browser.path();
        begin(wiring, "T-1", "everything");
        browser.see("#say", "A test of T-1 is under way, started by bench")
                .click("#say a.button")
                .waitForPath(first);
        begin(wiring, "T-1", "everything");
        browser.see("#say", "End it as it is and start a new one").click("#say button[name=under_way]");
        browser.see(".sentence", "Does the meter beep?");
        assertThat(browser.path()).isNotEqualTo(first);
        long ended = Long.parseLong(first.replaceAll("\\D+", ""));
        assertThat(site.bean(TestRuns.class).find(ended).isUnderWay()).isFalse();
    }
}
