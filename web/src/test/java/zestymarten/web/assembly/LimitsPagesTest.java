package zestymarten.web.assembly;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/** What the wires of an assembly may read, entered on a page and in force from the next revision on. */
@ExtendWith(Workshop.class)
class LimitsPagesTest {
    private final Site site;
    private final Browser browser;

    LimitsPagesTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
    }

    @Test
    void anAllowedDropIsTheLimitOfAWireWithoutLengthAndWhatMakesNoSenseStaysAtItsField() {
        long wiring = site.wiring(site.fresh("Loads"), "wire,from,to,current_a\nW1,J1.1,J2.1,2\nW2,J1.2,J2.2,\n");
        browser.desktop().signIn("bench").open("/assemblies/" + wiring + "/limits");
        browser.fill("#heat", "warm").fill("#drop", "0.4").keys(Keys.ENTER).find("[aria-invalid=true]");
        assertThat(browser.text("#heat-help"))
                .contains("“warm” is not accepted; expected a figure above 0 W, such as 5.");
        assertThat(browser.attribute("#heat", "value")).isEqualTo("warm");
        assertThat(browser.attribute("#drop", "value")).isEqualTo("0.4");
        browser.fill("#heat", "").keys(Keys.ENTER).waitForPath("/assemblies/" + wiring);
        assertThat(browser.text(".head")).contains("revision 2");
        assertThat(browser.texts("tr[data-wire] td:last-child")).containsExactly("0.2 Ω", "1 Ω");
        browser.click("tr[data-wire=W1] td").see("#derivation", "allowed drop of 0.4 V at 2 A");
        browser.open("/assemblies/" + wiring + "/limits");
        assertThat(browser.attribute("#drop", "value")).isEqualTo("0.4");
    }
}
