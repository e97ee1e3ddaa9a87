package zestymarten.web.meter;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/** Meters kept once and used in runs. */
@ExtendWith(Workshop.class)
class MeterPagesTest {
    private final Site site;
    private final Browser browser;

    MeterPagesTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
    }

    @Test
    void aMeterWithRangesIsKeptAndTheStepSaysWhichRangeToSet() {
        String name = site.fresh("Old meter");
        long wiring = site.wiring(
                site.fresh("One core"), "wire,from,to,length_m,area_mm2\nW1,J1.1,J2.1,8,0.5\nW2,J1.2,J2.2,8,0.5\n");
        // As the lead hand: an account begins its next run with its last meter, and the other tests are the bench's.
        browser.desktop().signIn("lead").open("/meters/new").fill("input[name=name]", name);
        browser.fill("input[name=ranges]", "200 2k 20 20M").fill("input[name=calibrated]", "next year");
        browser.click("form.sheet .do")
                .see("#say", "“next year” is not accepted; expected a day such as 2027-05-31, or nothing.");
        browser.fill("input[name=calibrated]", "2020-05-31")
                .click("form.sheet .do")
                .waitForPath("/meters");
        browser.see(".cards", name)
                .see(".cards", "ranges 20 200 2k 20M Ω")
                .see(".cards", "calibrated until 2020-05-31: overdue");

        browser.open("/assemblies/" + wiring + "/test").click("input[name=quick]");
        browser.run(
                "const s = document.querySelector('select[name=kept_meter]');"
                        + "s.value = [...s.options].find((o) => o.textContent.trim() === arguments[0]).value;",
                name);
        browser.fill("input[name=serial]", "M-1").keys(Keys.ENTER).waitForPath("/runs/\\d+");
        browser.see(".sentence", "Touch the probes together");
        browser.keys("b").see(".sentence", "what do the leads read?");
        browser.keys("0.3", Keys.ENTER).see(".sentence", "Black on J1.1, red on J2.1.");
        assertThat(browser.text(".why")).startsWith("Range 20 Ω.");
        browser.keys("OL", Keys.ENTER).see(".why", "Range 200 Ω.");
        assertThat(browser.text(".found, .side .empty")).isEqualTo("Nothing wrong so far.");
    }

    @Test
    void itsZeroIsDrawnOverTime() {
        browser.desktop().signIn("viewer").open("/meters/1").find("svg.trend circle");
        assertThat(browser.count("svg.trend circle")).isGreaterThan(5);
        assertThat(browser.has("form .do")).as("a viewer changes nothing").isFalse();
    }
}
