package zestymarten.web.where;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/** From a finding to where it is, in the browser. */
@ExtendWith(Workshop.class)
class WherePagesTest {
    private final Site site;
    private final Browser browser;

    WherePagesTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
    }

    @AfterEach
    void nothingWasRefusedByTheBrowser() {
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void twoWaysAreDrawnOnTheWireAndPutTogetherAndNonsenseIsTold() {
        long wiring = site.wiring(site.fresh("Long core"), "wire,from,to,length_m,area_mm2\nW1,J1.1,J2.1,120,1.5\n");
        long run = site.run(wiring, "L-1");
        browser.desktop().signIn("bench").open("/runs/" + run + "/where?wire=W1");
        assertThat(browser.attribute("input[name=length]", "value")).isEqualTo("120");
        browser.fill("input[name=OPEN_BOTH_ENDS0]", "3n")
                .fill("input[name=OPEN_BOTH_ENDS1]", "9n")
                .fill("input[name=OPEN_GOOD_CORE0]", "3n")
                .fill("input[name=OPEN_GOOD_CORE1]", "12.1n")
                .fill("input[name=VARLEY0]", "lots")
                .keys(Keys.ENTER)
                .see("main", "30 m from end 1, between 29.");
        assertThat(browser.count(".distance .way")).isEqualTo(2);
        assertThat(browser.text("section.sheet")).contains("2 ways together, weighed by how sure each is.");
        assertThat(browser.text(".ways-of")).contains("Read 'lots'; expected a figure such as 1.2.");
        assertThat(browser.text(".ways-of")).contains("Nothing leaks at the break.");
        browser.fill("input[name=OPEN_GOOD_CORE0]", "40n").keys(Keys.ENTER).see(".trouble", "of a run of 120 m");
        assertThat(browser.count(".distance .way")).isEqualTo(1);
    }
}
