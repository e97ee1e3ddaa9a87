package zestymarten.web.practice;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/** The practice room by keyboard, by clicks and on a phone: units with symptoms, scored and replayed. */
@ExtendWith(Workshop.class)
class PracticePagesTest {
    private final Site site;
    private final Browser browser;

    PracticePagesTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
    }

    @BeforeEach
    void signIn() {
        browser.desktop().signIn("viewer");
    }

    @AfterEach
    void nothingWasRefusedByTheBrowser() {
        assertThat(browser.complaints()).isEmpty();
    }

    private void begin(String exercise) {
        browser.open("/practice");
        browser.run("document.querySelector(\"input[value='" + exercise + "']\").form.requestSubmit()");
        browser.waitForPath("/practice/\\d+");
    }

    private void type(String... actions) {
        for (String action : actions) {
            String count = browser.attribute("#bench", "data-count");
            browser.fill("#action", action).keys(Keys.ENTER);
            browser.find("#bench:not([data-count='" + count + "'])");
        }
    }

    @Test
    void aUnitIsFoundMendedProvedScoredAndReplayedByKeyboard() {
        begin("dead-lower");
        browser.see(".story", "it never lowers").see(".story", "lower: dead");
        assertThat(browser.run("return document.activeElement.id")).isEqualTo("action");
        type("isolate", "join", "J1.1 J2.1");
        assertThat(browser.text(".answer b")).matches("0\\.\\d+ Ω");
        type("J1.2 J2.2");
        browser.see(".answer", "more than 20 MΩ").see(".log", "J1.2 J2.2");
        type("J1.2 FRAME", "say open W2", "repair W2 spare", "J1.2 J2.2", "done");
        int points = Integer.parseInt(browser.text(".points b"));
        assertThat(points).as("one measurement more than done well").isBetween(95, 100);
        assertThat(browser.text(".scored")).contains("40 of 40", "nothing said wrongly", "It was: open circuit W2");
        browser.click(".scored .do").waitForPath("/practice/\\d+/replay");
        browser.keys(Keys.ARROW_RIGHT).waitForPath("/practice/\\d+/replay\\?at=2");
        browser.keys(Keys.ARROW_RIGHT).waitForPath("/practice/\\d+/replay\\?at=3");
        browser.see("main", "What would have shown most").see(".best", "J1.2");
        browser.open("/practice").see(".units", points + " of 100").see("main", " of 19 units done");
    }

    @Test
    void twoClicksAreATouchAndWhatIsWrongIsSaidByFields() {
        begin("gong-sands");
        browser.click(".presses button[value=isolate]").see(".answer", "Locked off");
        browser.click("[data-pin='J1.3']").see(".picked", "3").click("[data-pin='J3.2']");
        browser.see(".log", "J1.3 J3.2");
        assertThat(browser.text(".answer b")).endsWith("Ω");
        browser.click("select[name=kind] option[value=crossed]")
                .fill("input[name=names]", "W3 W5")
                .keys(Keys.ENTER)
                .see(".answer", "That is not it");
        browser.click("select[name=kind] option[value=crossed]")
                .fill("input[name=names]", "W4 W3")
                .keys(Keys.ENTER)
                .see(".answer", "That is it.");
        browser.fill("#action", "jump").keys(Keys.ENTER).see("#say", "“jump” is not accepted; expected two terminals");
        assertThat(browser.run("return document.getElementById('action').value"))
                .as("nothing typed is lost")
                .isEqualTo("jump");
        assertThat((Boolean) browser.run(
                        "return document.getElementById('say').getBoundingClientRect().bottom <= window.innerHeight"))
                .as("what is refused is said where it is seen")
                .isTrue();
        browser.complaints();
    }

    @Test
    void theFarEndHasToBeWalkedToAndTied() {
        begin("dead-bell");
        browser.see(".story", "You are at the hut.");
        type("isolate", "join");
        browser.fill("#action", "H1.1 F1.1")
                .keys(Keys.ENTER)
                .see("#say", "F1.1 is at the platform and you are at the hut");
        browser.complaints();
        browser.click(".presses button[value='go platform']").see(".story", "You are at the platform.");
        browser.fill("#action", "link").click("[data-pin='F1.1']").click("[data-pin='F1.2']");
        assertThat(browser.run("return document.getElementById('action').value"))
                .isEqualTo("link F1.1 F1.2");
        browser.keys(Keys.ENTER).see(".to-restore", "linked: F1.1 F1.2");
        type("go hut", "H1.1 H1.2");
        browser.see(".to-restore", "linked: F1.1 F1.2").see(".answer", "more than 20 MΩ");
    }

    @Test
    void aUnitOfAnyWiringHidesTheSameFaultUnderTheSameNumber() {
        long wiring = site.wiring(
                site.fresh("Cable to practise on"), "from,to,function\nJ1.1,J2.1,up\nJ1.2,J2.2,down\nJ1.3,J2.3,horn\n");
        for (int i = 0; i < 2; i++) {
            browser.open("/practice")
                    .run(
                            "const s = document.querySelector('select[name=assembly]');"
                                    + "s.append(new Option('it', arguments[0])); s.value = arguments[0];",
                            wiring);
            browser.fill("input[name=seed]", "7").keys(Keys.ENTER).waitForPath("/practice/\\d+");
            browser.see(".story", "They say:");
        }
        browser.open("/practice")
                .fill("input[name=seed]", "many")
                .keys(Keys.ENTER)
                .see("main", "“many” is not accepted; expected a number of up to nine digits, or nothing.");
        browser.complaints();
    }

    @Test
    void nobodySeesAnothersSessionAndTheLeadHandSeesHowFarEverybodyIs() {
        begin("dark-lamp");
        String session = browser.path();
        type(
                "isolate",
                "join",
                "FH.1 FH.2",
                "FH.2 J1.2",
                "say component_open F1",
                "repair F1 replace",
                "FH.1 FH.2",
                "done");
        assertThat(browser.text(".points b")).isEqualTo("100");
        browser.signIn("lead").open(session).see("main", "You have no practice session number");
        browser.complaints();
        browser.open("/practice").see("main", "viewer:");
    }

    @Test
    void onAPhoneEverythingFitsItsWidth() {
        begin("never-off");
        browser.phone().open(browser.path());
        type("isolate");
        assertThat(browser.run("return document.documentElement.scrollWidth <= innerWidth"))
                .isEqualTo(true);
    }
}
