package zestymarten.web.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/** What is typed belongs to the step that it was started for; it is asked, or kept, and never filed elsewhere. */
@ExtendWith(Workshop.class)
class DraftPagesTest {
    private static final String THREE_CORES = "wire,from,to,function,length_m,area_mm2,current_a\n"
            + "W1,J1.1,J2.1,up,8,0.5,\nW2,J1.2,J2.2,down,8,0.5,2\nW3,J1.3,J2.3,horn,8,0.5,\n";

    private final Site site;
    private final Browser browser;
    private final Hands hands;

    DraftPagesTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
        hands = new Hands(browser);
    }

    @BeforeEach
    void beginAndCheckTheMeter() {
        long wiring = site.wiring(site.fresh("Three cores"), THREE_CORES);
        browser.desktop().signIn("bench");
        hands.begin(wiring, "D-1", "input[name=quick]");
        browser.see(".sentence", "Touch the probes together");
        hands.press("b");
        hands.type("0.30");
        browser.see(".sentence", "Black on J1.1, red on J2.1.");
    }

    private String slot() {
        return String.valueOf(browser.find("#slot").getDomProperty("value"));
    }

    @Test
    void aFigureThatWasBegunBeforeSomebodyElseEnteredIsAskedAndNotFiledUnderTheNextStep() {
        String path = browser.path();
        browser.keys("0.28");
        String first = browser.newTab();
        browser.open(path).see(".sentence", "Black on J1.1");
        hands.type("0.58");
        browser.closeTab(first).see(".sentence", "Black on J1.2");
        browser.keys(Keys.ENTER).see("#say", "You began 0.28 for J1.1 – J2.1. Now J1.2 – J2.2 is due.");
        assertThat(browser.texts(".entries .mono").toString()).doesNotContain("0.28");
        browser.keys("2").see(".entries", "0.28 Ω").see(".entries", "J1.2 – J2.2");
        assertThat(slot()).isEmpty();
    }

    @Test
    void itGoesWhereItWasBegunIfThatIsWhatThePersonSays() {
        String path = browser.path();
        browser.keys("0.59");
        String first = browser.newTab();
        browser.open(path).see(".sentence", "Black on J1.1");
        hands.type("0.58");
        browser.closeTab(first).see(".sentence", "Black on J1.2");
        browser.keys(Keys.ENTER).see("#say", "You began 0.59").keys("1").see(".entries", "0.59 Ω");
        assertThat(browser.texts(".entries li").get(0)).contains("J1.1 – J2.1").contains("0.59");
    }

    @Test
    void afterAFailureTheNextFigureIsNotASecondReadingOfTheSamePointsUnasked() {
        hands.type("0.95");
        browser.find(".result.fail");
        browser.keys("0.57", Keys.ENTER)
                .see("#say", "0.57: the same points again, or the next measurement?")
                .keys("2")
                .see(".sentence", "Black on J1.3");
        assertThat(browser.texts(".entries li").get(0)).contains("J1.2 – J2.2").contains("0.57");
    }

    @Test
    void aReloadBringsBackWhatWasTyped() {
        browser.keys("0.5").open(browser.path()).see(".sentence", "Black on J1.1");
        assertThat(slot()).isEqualTo("0.5");
        browser.keys(Keys.END, "8", Keys.ENTER).see(".entries", "0.58 Ω");
        browser.open(browser.path()).see(".sentence", "Black on J1.2");
        assertThat(slot()).as("what is saved is no draft any more").isEmpty();
    }

    @Test
    void whoIsSignedOutIsToldSoAndFindsTheFigureAgain() {
        String path = browser.path();
        browser.keys("0.58");
        browser.driver().manage().deleteAllCookies();
        browser.keys(Keys.ENTER).see("#say", "You are signed out. Nothing of this was saved.");
        assertThat(browser.text(".sentence")).as("nothing replaced the step").contains("Black on J1.1");
        browser.click("#say a").find("#username");
        browser.fill("#username", "bench")
                .fill("#password", "marten-demo")
                .keys(Keys.ENTER)
                .waitForPath(path + "(\\?continue)?")
                .see(".sentence", "Black on J1.1");
        assertThat(slot()).isEqualTo("0.58");
        browser.keys(Keys.ENTER).see(".entries", "0.58 Ω");
    }
}
