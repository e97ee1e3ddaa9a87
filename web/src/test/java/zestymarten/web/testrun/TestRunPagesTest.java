package zestymarten.web.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/** A unit tested in the browser, by keyboard alone. */
@ExtendWith(Workshop.class)
class TestRunPagesTest {
    private static final String THREE_CORES = "wire,from,to,function,length_m,area_mm2,current_a\n"
            + "W1,J1.1,J2.1,up,8,0.5,\nW2,J1.2,J2.2,down,8,0.5,2\nW3,J1.3,J2.3,horn,8,0.5,\n";

    private final Site site;
    private final Browser browser;
    private final Hands hands;
    private long wiring;

    TestRunPagesTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
        hands = new Hands(browser);
    }

    @BeforeEach
    void signIn() {
        wiring = site.wiring(site.fresh("Three cores"), THREE_CORES);
        browser.desktop().signIn("bench");
    }

    @AfterEach
    void nothingWasRefusedByTheBrowser() {
        assertThat(browser.complaints()).isEmpty();
    }

    private void begin(String serial) {
        hands.begin(wiring, serial, "input[name=quick]");
        browser.see(".sentence", "Touch the probes together");
    }

    private void type(String... readings) {
        hands.type(readings);
    }

    private void press(CharSequence key) {
        hands.press(key);
    }

    private void checkTheMeter() {
        press("b");
        type("0.30");
        browser.see(".sentence", "Black on J1.1, red on J2.1.");
    }

    @Test
    void ringsOutAGoodCableByKeyboardAlone() {
        begin("G-1");
        assertThat(browser.text(".strip .left")).isEqualTo("9 measurements, 2 other steps left about 1 min");
        checkTheMeter();
        assertThat(browser.text(".strip")).contains("leads 0.3 Ω: all of it is taken off");
        type("0.58", "0.58", "0.58");
        browser.see(".sentence", "Black on J1.1, red on J1.2.");
        press("n");
        type("OL", "OL");
        browser.see(".sentence", "red on the frame");
        hands.press(3, "n");
        browser.see(".sentence", "All measurements are done.");
        assertThat(browser.text(".strip .left")).startsWith("0 measurements left");
        browser.click(".side button.do").waitForPath("/runs/\\d+/record");
        assertThat(browser.text(".verdict")).isEqualTo("PASS Everything was tested and nothing was found.");
    }

    @Test
    void judgesWhileTheFigureIsTypedAndStaysWhenItDoesNotPass() {
        begin("J-1");
        checkTheMeter();
        browser.keys("3.9").see("#understood", "3.9 Ω − leads 0.3 Ω = 3.6 Ω");
        assertThat(browser.text("#understood"))
                .contains("fail: 3.6 Ω is more than 0.312 Ω. Maximum 0.312 Ω: IEC 60228");
        assertThat(browser.has("#band .now"))
                .as("the needle stands on the band")
                .isTrue();
        type("");
        browser.see(".result", "FAIL J1.1 – J2.1: 3.9 Ω")
                .see(".found", "W1 has a high resistance: 3.6 Ω from J1.1 to J2.1");
        assertThat(browser.texts(".result button"))
                .containsExactly("Continue\nEnter", "Take it back\nBackspace", "Measure again\nc");
        browser.keys(Keys.ENTER).see(".sentence", "Black on J1.2, red on J2.2.");
    }

    @Test
    void aToneIsNotEnoughWhereACurrentFlows() {
        begin("T-1");
        checkTheMeter();
        press("b");
        press("b");
        browser.see(".sentence", "Black on J1.2").see(".asks", "this wire needs a figure. Enter the resistance.");
        type("0.58");
        browser.see(".sentence", "Black on J1.3");
    }

    @Test
    void aFirstOpenAsksForCleanMetalAndBothReadingsStay() {
        begin("O-1");
        checkTheMeter();
        type("OL");
        browser.see(".asks", "Scrape to clean metal and measure once more; both readings are recorded.");
        type("0.58");
        browser.see(".result", "PASS J1.1 – J2.1: 0.58 Ω");
        browser.keys(Keys.ENTER).see(".sentence", "Black on J1.2");
        assertThat(browser.texts(".entries li")).element(0).asString().contains("J1.1 – J2.1", "0.58 Ω");
        assertThat(browser.texts(".entries li")).element(1).asString().contains("J1.1 – J2.1", "more than 20 MΩ");
    }

    @Test
    void aWireThatStaysOpenBringsItsFarEnd() {
        begin("F-1");
        checkTheMeter();
        assertThat(browser.text(".rail")).contains("Short circuits\n0 of 3", "Short to frame\n0 of 3");
        type("OL", "OL");
        browser.see(".result", "Open: more than 20 MΩ where a wire should be.");
        assertThat(browser.text(".rail")).contains("Short circuits\n1 of 6", "Short to frame\n0 of 4");
    }

    @Test
    void takesBackWithoutErasing() {
        begin("B-1");
        checkTheMeter();
        type("0.58");
        browser.see(".sentence", "Black on J1.2");
        press(Keys.BACK_SPACE);
        browser.see(".sentence", "Black on J1.1, red on J2.1.").see(".entries li.gone", "taken back");
        type("0.59");
        browser.see(".sentence", "Black on J1.2");
    }

    @Test
    void skipsOnlyWithAReason() {
        begin("S-1");
        checkTheMeter();
        browser.keys("x").find("#skip-dialog[open]");
        browser.keys(Keys.ENTER);
        browser.see(".sentence", "Black on J1.1");
        browser.keys("x").find("#skip-dialog[open]");
        browser.keys("pin is bent");
        press(Keys.ENTER);
        browser.see(".sentence", "Black on J1.2").see(".entries", "skipped: pin is bent");
    }

    @Test
    void asksWhenAReadingMayMeanTwoThings() {
        begin("D-1");
        checkTheMeter();
        browser.keys("580", Keys.ENTER);
        browser.see(".question", "580 Ω or 0.58 Ω? The second would fit what this wire should read.");
        browser.keys(Keys.ESCAPE).gone(".question");
        assertThat(browser.find("#slot").getDomProperty("value"))
                .as("nothing typed is lost")
                .isEqualTo("580");
        browser.keys(Keys.ENTER).see(".question", "580 Ω or 0.58 Ω?");
        press("2");
        browser.see(".entries", "0.58 Ω").see(".sentence", "Black on J1.2");
    }

    @Test
    void refusesWhatIsNoReadingAndKeepsItInTheSlot() {
        begin("R-1");
        checkTheMeter();
        browser.keys("0.5.8", Keys.ENTER);
        browser.see("#say", "“0.5.8” is no reading. Type what the meter shows, such as 0.64, 15k8");
        assertThat(browser.find("#slot").getDomProperty("value")).isEqualTo("0.5.8");
    }

    @Test
    void leavingAndComingBackResumesAtTheSameStep() {
        begin("L-1");
        checkTheMeter();
        type("0.58");
        browser.see(".sentence", "Black on J1.2");
        browser.open("/").see(".cards", "L-1");
        browser.click(".cards a").waitForPath("/runs/\\d+").see(".sentence", "Black on J1.2, red on J2.2.");
    }

    @Test
    void goesToATouchAndFlipsTheFaces() {
        begin("K-1");
        checkTheMeter();
        assertThat(browser.text("svg.step")).contains("wire side");
        browser.keys("f").see("svg.step", "mating side");
        browser.keys("f").see("svg.step", "wire side");
        browser.keys("g").find("#goto-dialog[open]");
        browser.keys("J1.3 frame", Keys.ENTER).see(".sentence", "Black on J1.3, red on the frame.");
        browser.keys("?").find("#keys-dialog[open]");
        browser.keys(Keys.ESCAPE).gone("#keys-dialog[open]");
        browser.keys("w").waitForPath("/runs/\\d+/diagnosis");
    }

    @Test
    void aSecondTabSeesTheFirstAndCannotRecordTheSameStepTwice() {
        begin("TAB-1");
        checkTheMeter();
        String path = browser.path();
        String first = browser.newTab();
        browser.open(path).see(".sentence", "Black on J1.1");
        String second = browser.tab();
        browser.toTab(first);
        type("0.58");
        browser.toTab(second).see(".sentence", "Black on J1.2");
        // The step that the second tab still believes to be due, before it has heard of the first.
        browser.run("document.querySelector('#step [name=black]').value = 'J1.1';"
                + "document.querySelector('#step [name=red]').value = 'J2.1';");
        browser.keys("0.61", Keys.ENTER);
        browser.see(
                "#say",
                "This step was recorded meanwhile by bench. Your reading was not saved and is still in the slot");
        assertThat(browser.find("#slot").getDomProperty("value")).isEqualTo("0.61");
        browser.closeTab(first);
    }

    @Test
    void twoOpensAreSettledFirstAndWhatFollowsIsImpliedOnTheRecord() {
        begin("C-1");
        checkTheMeter();
        for (int wire = 1; wire <= 2; wire++) {
            type("OL", "OL");
            browser.find(".result.fail");
            browser.keys(Keys.ENTER).gone(".result");
        }
        browser.see(".asks", "What read otherwise than expected is settled first");
        type("0.6");
        browser.find(".result.fail");
        browser.see(".found", "W1 and W2 are crossed");
        browser.keys(Keys.ENTER).see(".sentence", "Black on J1.3, red on J2.3.");
        browser.open(browser.path().replaceFirst("\\?.*", "") + "/record")
                .see("main", "Implied by other readings")
                .see("main", "J1.1 – J1.2: no continuity, from no.");
    }

    /** A connection that was used within the last half second is handed out without a look. */
    private static void waitUntilThePoolLooksAtItsConnections() {
        try {
            Thread.sleep(600);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    @Test
    void aStoppedDatabaseKeepsTheReadingInTheSlot() {
        begin("X-1");
        checkTheMeter();
        site.wire().cut();
        try {
            browser.keys("0.58", Keys.ENTER);
            browser.see("#say", "The database does not answer. What you typed is still here");
            assertThat(browser.find("#slot").getDomProperty("value")).isEqualTo("0.58");
        } finally {
            site.wire().repair();
        }
        waitUntilThePoolLooksAtItsConnections();
        type("");
        browser.see(".sentence", "Black on J1.2").see(".entries", "0.58 Ω");
    }

    @Test
    void onThePhoneThePadIsEnough() {
        begin("P-1");
        browser.phone().open(browser.path());
        browser.click(".keypad [data-key=b]").see(".sentence", "what do the leads read?");
        for (String key : List.of("0", ".", "3")) {
            browser.click(".keypad [data-type='" + key + "']");
        }
        browser.click(".keypad [data-key=Enter]").see(".sentence", "Black on J1.1");
        assertThat(browser.texts(".pad .pins b")).containsExactly("1", "1");
        browser.click(".keypad [data-key=OL]").see(".asks", "Scrape to clean metal");
        assertThat(browser.run("return document.documentElement.scrollWidth"))
                .as("nothing hangs over the edge")
                .isEqualTo(390L);
        browser.onItsSide();
        assertThat(browser.run("return document.documentElement.scrollWidth")).isEqualTo(844L);
        assertThat(browser.run("""
                        const keys = [...document.querySelectorAll(".keypad button")].map((each) => each.getBoundingClientRect());
                        return keys.filter((key) => key.height < 56 || key.bottom > 390).map((key) => key.height + " " + key.bottom);
                        """))
                .as("keys that are too small for a glove, or out of the thumb's reach")
                .isEqualTo(List.of());
        browser.desktop();
    }

    @Test
    void aMarkOfTheTouchFieldLeadsToItsTouch() {
        begin("M-1");
        checkTheMeter();
        assertThat(browser.count(".rail svg.field")).isEqualTo(1);
        browser.run("const f = document.querySelector('svg.field'), r = f.getBoundingClientRect();"
                + "f.dispatchEvent(new MouseEvent('click', {bubbles: true, clientX: r.left + r.width * 5 / 6,"
                + " clientY: r.top + r.height / 2}));");
        browser.see(".sentence", "Black on J1.3, red on J2.3.");
    }

    @Test
    void aViewerLooksOn() {
        begin("V-1");
        String path = browser.path();
        browser.signIn("viewer").open(path).see(".sentence", "Touch the probes together");
        assertThat(browser.has("#slot")).isFalse();
        assertThat(browser.has(".side button")).isFalse();
        assertThat(browser.complaints())
                .as("the page's script minds no missing slot")
                .isEmpty();
    }
}
