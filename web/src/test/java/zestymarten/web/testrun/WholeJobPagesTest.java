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

/** The job from the symptoms to the record, in the browser. */
@ExtendWith(Workshop.class)
class WholeJobPagesTest {
    private static final String THREE_CORES = "wire,from,to,function,length_m,area_mm2,current_a,zone\n"
            + "W1,J1.1,J2.1,up,8,0.5,,flexing\nW2,J1.2,J2.2,down,8,0.5,2,\nW3,J1.3,J2.3,horn,8,0.5,,\n";

    private final Site site;
    private final Browser browser;
    private final Hands hands;
    private long wiring;

    WholeJobPagesTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
        hands = new Hands(browser);
    }

    @BeforeEach
    void signIn() {
        wiring = site.wiring(site.fresh("Three flexing cores"), THREE_CORES);
        browser.desktop().signIn("bench");
    }

    @AfterEach
    void nothingWasRefusedByTheBrowser() {
        assertThat(browser.complaints()).isEmpty();
    }

    private void begin(String serial, String... choices) {
        hands.begin(wiring, serial, choices);
    }

    private void press(String key) {
        hands.press(key);
    }

    private void type(String... readings) {
        hands.type(readings);
    }

    private void enter(int times) {
        hands.enter(times);
    }

    @Test
    void whereTheMachineHasASymptomTheDiagnosisLeadsAndSaysWhenItIsFinished() {
        begin("F-1", "input[name=quick]", "input[value=find_fault]");
        browser.waitForPath("/runs/\\d+/complaint")
                .click("input[name=f1][value=dead]")
                .click("input[name=f0][value=works]")
                .click("input[name=f2][value=works]")
                .click("main .do");
        browser.waitForPath("/runs/\\d+").see(".strip", "Find the fault");
        press("b");
        type("0.30");
        browser.see(".sentence", "Black on J1.2, red on J2.2.");
        type("OL");
        browser.see(".asks", "Scrape to clean metal").see(".possible", "W2 is open");
        type("OL");
        browser.see(".result", "Open").keys(Keys.ENTER).see(".sentence", "Black on J1.1");
        for (int i = 0; i < 12 && browser.text(".mid").contains("Black on"); i++) {
            boolean wire = browser.text(".sentence").matches("Black on J1\\.(\\d), red on J2\\.\\1\\.");
            if (wire) {
                type("0.58");
            } else {
                press("n");
            }
        }
        browser.see(".sentence", "The diagnosis is finished.")
                .see(".mid", "they were not made, and the record says so");
        assertThat(browser.texts(".found li")).containsExactly("W2 is open between J1.2 and J2.2.");
        browser.click("[data-open=purpose-dialog]").click("#purpose-dialog [value=everything]");
        browser.see(".sentence", "Black on").see(".strip", "Test everything");
    }

    /** Keys that come before the page has settled count for the step that it shows; pressed twice for one step they count once. */
    @Test
    void keysThatAreFasterThanThePageAreNeitherLostNorCountedTwice() {
        begin("M-2", "input[name=quick]");
        browser.waitForPath("/runs/\\d+")
                .run("const real = window.htmx.ajax.bind(window.htmx);"
                        + "window.htmx.ajax = (...all) => real(...all).then((answer) =>"
                        + " new Promise((done) => setTimeout(() => done(answer), 600)));");
        press("b");
        type("0.30", "0.58", "0.58", "0.58");
        press("n");
        browser.keys("n", "n").run("return new Promise((done) => setTimeout(done, 2000))");
        assertThat(browser.attribute("#pulse", "data-pulse")).startsWith("7.");
    }

    @Test
    void aPositionOfTheMovingPartIsNamedAndTheWiresAreReadInIt() {
        begin("M-1", "input[name=quick]");
        browser.waitForPath("/runs/\\d+")
                .click("[data-open=position-dialog]")
                .fill("#position", "door half open")
                .click("#position-dialog .do");
        press("b");
        type("0.30", "0.58", "0.58", "0.58");
        for (int pair = 0; pair < 6; pair++) {
            press("n");
        }
        browser.see(".sentence", "Bring the moving part to 'door half open'")
                .see(".mid", "hands and leads out of its way");
        enter(1);
        browser.see(".sentence", "In 'door half open': black on J1.1, red on J2.1. Hold on, and watch the reading.");
        type("0.58", "OL");
        browser.see(".result", "J1.2 – J2.2, in 'door half open': more than 20 MΩ")
                .keys("w")
                .waitForPath("/runs/\\d+/diagnosis");
        browser.see("article", "W2 is intermittent between J1.2 and J2.2").see("article", "in 'door half open'");
    }

    @Test
    void fromTheComplaintOverTheRepairToThePass() {
        begin("W-1");
        browser.click(".rail .complaint a").waitForPath("/runs/\\d+/complaint");
        browser.click("input[name=f0][value=dead]")
                .click("input[name=f2][value=works]")
                .click("main .do");
        browser.waitForPath("/runs/\\d+").see(".rail .complaint", "2 of 3 entered");

        browser.see(".sentence", "Look at J1.");
        enter(1);
        type("pin 1 stands back");
        assertThat(browser.texts(".entries li"))
                .element(0)
                .asString()
                .contains("looked at J2", "pin 1 stands back", "marginal");
        enter(1);
        press("b");
        type("0.30", "OL", "OL");
        browser.see(".result", "Open").keys(Keys.ENTER);
        browser.see(".sentence", "Black on J1.2");
        type("0.58", "0.58");
        browser.keys("w").waitForPath("/runs/\\d+/diagnosis");
        browser.see("article", "W1 is open between J1.1 and J2.1.").see("article", "Explains the symptom: up.");
        assertThat(browser.text(".complaint")).isEqualTo("All symptoms are explained.");
        browser.click(".repair summary");
        assertThat(browser.text(".repair")).contains("It flexes here: a splice stiffens the run");
        assertThat(browser.texts(".repair option")).startsWith("new contact", "spare core", "replaced");
        browser.fill(".repair input[name=cause]", "pin not latched")
                .fill(".repair input[name=prevention]", "tug test")
                .click(".repair .do");
        browser.waitForPath("/runs/\\d+").see(".sentence", "Black on J1.1, red on J2.1.");
        assertThat(browser.text(".rail")).contains("Repair and retest\n0 of 4");
        type("0.58", "0.58");
        hands.press(3, "n");
        browser.see(".sentence", "Both probes on the frame, on two spots: what is the resistance?");
        type("0.4");
        hands.press(3, "n");
        browser.see(".sentence", "Hold on, and move the wire place by place.");
        type("0.58");
        browser.see(".sentence", "Reset what keeps old faults in memory.");
        enter(1);
        for (String function : List.of("up", "down", "horn")) {
            browser.see(".sentence", "Try it: does " + function + " work?");
            press("1");
        }
        browser.see(".sentence", "Touch the probes together");
        press("b");
        type("0.30");
        browser.see(".sentence", "All measurements are done.");
        browser.click(".side button.do").waitForPath("/runs/\\d+/record");
        assertThat(browser.text(".verdict")).startsWith("PASS, MARGINAL");
        assertThat(browser.text(".certificate")).contains("W1: new contact", "pin not latched", "tug test");
    }

    @Test
    void nothingIsTouchedBeforeItIsProvedDeadAndTheRunEndsOnlyWithAnEmptyLedger() {
        begin("W-2", "input[name=in_place]");
        browser.see(".sentence", "Power off, locked off, charge bled off?");
        String run = browser.path();
        browser.open(run + "?stage=ENDS&black=J1.1&red=J2.1").see(".sentence", "Black on J1.1");
        browser.keys("0.58", Keys.ENTER).see("#say", "It is not proved dead yet");
        browser.keys(Keys.BACK_SPACE, Keys.BACK_SPACE, Keys.BACK_SPACE, Keys.BACK_SPACE)
                .open(run);
        enter(1);
        type("231", "48");
        browser.see(".asks", "48 V is still there. Discharge it, and do not touch.");
        type("0", "231");
        browser.see(".sentence", "Unplug J1.");
        enter(2);
        assertThat(browser.texts(".to-restore li")).containsExactly("J1", "J2");
        browser.keys("o").find("#what");
        browser.fill("#what", "cover of the desk").keys(Keys.ENTER).see(".to-restore", "cover of the desk");
        browser.click(".side button[hx-confirm]");
        browser.driver().switchTo().alert().accept();
        browser.see("#say", "Not everything is restored: J1, J2, cover of the desk.");
    }

    @Test
    void aloneWithFarEndsTiedAndAHelperWhoSeesWhatToDo() {
        begin("W-3", "input[value=far_end_joined]");
        String run = browser.path();
        enter(2);
        press("b");
        type("0.00");
        browser.see(".sentence", "Go to the far end.");
        enter(1);
        browser.see(".sentence", "Look at J2.");
        enter(1);
        browser.see(".sentence", "Link all far ends together: J2.1 J2.2 J2.3.").find("path.linked");
        browser.open(run + "/helper").see(".helper .sentence", "Link all these together:");
        assertThat(browser.texts(".far-pins b")).containsExactly("J2.1", "J2.2", "J2.3");
        browser.open(run);
        enter(2);
        browser.see(".sentence", "Black on J1.1, red on J1.2, linked as below.");
        type("0.50", "1.40");
        browser.see(".result", "FAIL");
        browser.keys(Keys.ENTER).see(".sentence", "Black on J1.2, red on J1.3");
        type("1.40");
        browser.see(".found", "W3 has a high resistance: 1.15 Ω from J1.3 to J2.3");
    }

    @Test
    void aJumpWhileTheWireIsMovedIsAskedForItsPlace() {
        begin("W-4");
        enter(3);
        press("b");
        type("0.30", "0.58", "0.58", "0.58");
        hands.press(3, "n");
        type("0.4");
        hands.press(3, "n");
        browser.see(".places .now", "the J1 end").keys(Keys.ENTER).see(".places .now", "the flexing stretch");
        press("j");
        browser.see(".result", "jumps at the flexing stretch")
                .see(".found", "W1 is intermittent between J1.1 and J2.1");
    }

    @Test
    void theWaysOfTestingStandSideBySideWithWhatTheyMiss() {
        browser.open("/assemblies/" + wiring + "/test");
        assertThat(browser.texts(".offer b"))
                .containsExactly(
                        "Both ends in reach, each to each",
                        "Alone, ends far apart: linked there, then unlinked",
                        "Alone, ends far apart: linked to the frame there, then unlinked",
                        "Both ends in reach, each to all others linked",
                        "Both ends in reach, by linked halves");
        assertThat(browser.texts(".offer").get(1)).contains("4 trips", "Blind to crossed wires");
        browser.click(".ways summary").fill("input[name=trip]", "600").click(".ways .grid .button");
        browser.see(".offer:nth-child(2)", "about 42 min");
    }

    @Test
    void whatWasDoneOnPaperIsEnteredInOneGrid() {
        begin("W-6", "input[name=quick]");
        String run = browser.path();
        browser.click(".rail a[href$='/grid']").waitForPath("/runs/\\d+/grid");
        assertThat(browser.count(".paper tbody tr")).isEqualTo(11);
        assertThat(browser.run("return fetch('" + run + "/sheet.pdf').then((a) => a.headers.get('Content-Type'))"))
                .isEqualTo("application/pdf");
        List<String> sheet = List.of("b", "0.3", "0.58", "580", "perhaps", "n", "n", "n", "n", "n", "n");
        for (int i = 0; i < sheet.size(); i++) {
            browser.fill(".paper tbody tr:nth-child(" + (i + 1) + ") input[name=typed]", sheet.get(i));
        }
        browser.click("main form .do").see("[role=status]", "9 entries are saved.");
        assertThat(browser.count(".paper tbody tr"))
                .as("two were not understood")
                .isEqualTo(2);
        assertThat(browser.texts(".trouble").get(0)).contains("580 Ω or 0.58 Ω?");
        assertThat(browser.texts(".trouble").get(1)).contains("perhaps");
        browser.run("document.querySelector('select[name=meaning]').value = '1';");
        browser.fill(".paper tbody tr:nth-child(2) input[name=typed]", "0.58");
        browser.click("main form .do").see(".empty", "Nothing is left to do.");
        browser.open(run).see(".sentence", "All measurements are done.");
    }

    @Test
    void aPhotographIsKeptAsFoundAndNothingElseIsTakenForOne() throws Exception {
        begin("W-7", "input[name=quick]");
        String run = browser.path();
        java.nio.file.Path picture = java.nio.file.Files.createTempFile("as-found", ".png");
        java.nio.file.Files.write(picture, browser.picture());
        java.nio.file.Path other = java.nio.file.Files.createTempFile("as-found", ".png");
        java.nio.file.Files.writeString(other, "<svg onload='alert(1)'>");
        browser.click(".rail a[href$='/photos']").waitForPath("/runs/\\d+/photos");
        browser.find("input[type=file]").sendKeys(other.toString());
        browser.click("main form .do").see("main", "expected a photograph, JPEG or PNG");
        browser.open(run + "/photos").find("input[type=file]").sendKeys(picture.toString());
        browser.fill("input[name=note]", "J1 before it was unplugged").click("main form .do");
        browser.see("figcaption", "J1 before it was unplugged");
        assertThat(
                        browser.run(
                                "const i = document.querySelector('.photos img'); return i.decode().then(() => i.naturalWidth)"))
                .isEqualTo(1280L);
        assertThat(
                        browser.run(
                                "return fetch(document.querySelector('.photos img').src).then((a) => a.headers.get('X-Content-Type-Options'))"))
                .isEqualTo("nosniff");
    }

    @Test
    void aViewerTellsNothing() {
        begin("W-5");
        String run = browser.path();
        String token = "token=" + new java.util.UUID(0, 5);
        assertThat(browser.post(run + "/ledger", token + "&what=cover")).isEqualTo(302);
        browser.signIn("viewer").open(run);
        for (String what : List.of("/complaint", "/repairs", "/ledger", "/entries", "/skips", "/take-backs", "/end")) {
            assertThat(browser.post(run + what, token)).as(what).isEqualTo(403);
        }
        browser.complaints();
    }
}
