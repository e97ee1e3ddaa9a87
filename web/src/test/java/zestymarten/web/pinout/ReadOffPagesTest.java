package zestymarten.web.pinout;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/** A cable of which nothing is written down becomes an assembly, by keyboard. */
@ExtendWith(Workshop.class)
class ReadOffPagesTest {
    private final Site site;
    private final Browser browser;

    ReadOffPagesTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
    }

    private void answer(String key) {
        String count = browser.attribute("#work", "data-count");
        browser.keys(key);
        browser.find("#work:not([data-count='" + count + "'])");
    }

    private void begin(String name, String pins) {
        browser.desktop()
                .signIn("bench")
                .open("/assemblies")
                .click("a[href='/read-off/new']")
                .waitForPath("/read-off/new");
        browser.fill("input[name=name]", name).fill("input[name=near_pins]", pins);
    }

    @Test
    void twoCrossedWiresAreReadOffAndBecomeAWiring() {
        String name = site.fresh("Lead without papers");
        begin(name, "3");
        browser.fill("input[name=far_pins]", "x")
                .click("form .do")
                .see("#say", "“x” is not accepted; expected how many pins");
        browser.fill("input[name=far_pins]", "3").keys(Keys.ENTER).waitForPath("/read-off/\\d+");
        browser.see(".sentence", "Black on J1.1, red on J2.1.");
        answer("n");
        browser.see(".sentence", "Black on J1.1, red on J2.2.");
        answer("n");
        browser.keys(Keys.BACK_SPACE).see(".sentence", "red on J2.2.");
        answer("b");
        browser.see(".found-wires", "J1.1 – J2.2").see(".sentence", "Black on J1.2, red on J2.1.");
        answer("b");
        browser.see(".sentence", "Black on J1.3, red on J2.3.");
        answer("b");
        browser.see(".sentence", "Read off: 3 wires.").click("form .do").waitForPath("/assemblies/\\d+");
        assertThat(browser.text("h1")).isEqualTo(name);
        assertThat(browser.texts(".wires tbody tr").get(0)).contains("W1", "J1.1", "J2.2");
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void byTiedHalvesTheFarPinsAreNamedThatBelongTogether() {
        begin(site.fresh("Far cable"), "2");
        browser.fill("input[name=far_pins]", "3").click("input[value=true]").click("form .do");
        browser.waitForPath("/read-off/\\d+").see(".sentence", "Black on J1.1, red on the link.");
        assertThat(browser.text(".why")).isEqualTo("Linked: J2.1 J2.3");
    }
}
