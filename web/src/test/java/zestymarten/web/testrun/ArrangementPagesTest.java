package zestymarten.web.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/** What a technician arranges for a run, in the browser: plans, covers, clips, tests under voltage, spare cores. */
@ExtendWith(Workshop.class)
class ArrangementPagesTest {
    private static final String TWO_CORES = "wire,from,to,colour,function,length_m,area_mm2,spare,zone\n"
            + "W1,J1.1,J2.1,RD,raise,8,0.5,,wet\nSP1,J1.2,J2.2,GY,,8,0.5,true,\n";

    private final Site site;
    private final Browser browser;
    private final Hands hands;
    private long wiring;

    ArrangementPagesTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
        hands = new Hands(browser);
    }

    @BeforeEach
    void signIn() {
        wiring = site.wiring(site.fresh("Two cores"), TWO_CORES);
        browser.desktop().signIn("bench");
    }

    @AfterEach
    void nothingWasRefusedByTheBrowser() {
        assertThat(browser.complaints()).isEmpty();
    }

    private void ringOut() {
        hands.press("b").type("0.30", "0.58", "0.58").press(3, "n");
    }

    @Test
    void aPlanIsKeptWithItsOrderAndTakenForTheNextUnit() {
        browser.open("/assemblies/" + wiring + "/test").click("input[name=quick]");
        browser.run("document.querySelectorAll('details.more').forEach((each) => { each.open = true; })");
        browser.click("#order-list li:nth-child(3) [data-move='-1']")
                .click("#order-list li:nth-child(2) [data-move='-1']")
                .fill("input[name=first]", "SP1 W9")
                .fill("input[name=plan_name]", "evening")
                .click(".keep-plan button")
                .see("#say", "“W9” is not accepted; expected wires of this assembly, such as W3 W7.");
        browser.fill("input[name=first]", "SP1").click(".keep-plan button").see(".plan[aria-current]", "evening");
        assertThat(browser.text("#order-list")).startsWith("Short to frame");
        String sheet = browser.attribute("a[aria-label='Job sheet of evening, PDF']", "href");
        assertThat(browser.run("return fetch('" + sheet + "').then((a) => a.headers.get('Content-Type'))"))
                .isEqualTo("application/pdf");
        browser.fill("input[name=serial]", "P-1").keys(Keys.ENTER).waitForPath("/runs/\\d+");
        hands.press("b").type("0.30");
        browser.see(".sentence", "Black on J1.1, red on the frame.");
        hands.press("n").press("n");
        browser.see(".sentence", "Black on J1.2, red on J2.2.");
        assertThat(browser.texts(".rail .stage b"))
                .startsWith("Check the meter", "Short to frame", "Continuity", "Short circuits");
    }

    @Test
    void insulationByLengthThenMistThenWithstandEachWithItsOwnLimit() {
        browser.open("/assemblies/" + wiring + "/test");
        browser.run("document.querySelectorAll('details.more').forEach((each) => { each.open = true; })");
        browser.click("input[name=quick]")
                .fill("input[name=ambient]", "20")
                .fill("input[name=withstand_v]", "1500")
                .fill("input[name=serial]", "V-1")
                .keys(Keys.ENTER)
                .see("#say", "A withstand or wet test comes after an insulation test: give its voltage too.");
        browser.fill("input[name=test_v]", "500")
                .click("select[name=least_by] option[value=length]")
                .fill("input[name=least]", "20")
                .click("select[name=moisture] option[value=mist]")
                .fill("input[name=withstand_pf]", "120")
                .fill("input[name=serial]", "V-1")
                .keys(Keys.ENTER)
                .waitForPath("/runs/\\d+");
        ringOut();
        browser.see(".sentence", "Electronics out, barriers up");
        hands.enter(1).type("0.58");
        assertThat(browser.text(".why")).contains("at 500 V DC", "At least 2.5 GΩ: 20 MΩ·km over 8 m.");
        hands.type("3G", "0.58", ">2.6G", "0");
        browser.see(".sentence", "mist place by place").see(".places .now", "the wet stretch");
        hands.type("40M");
        browser.see(".result", "40 MΩ at the wet stretch").see(".found", "W1 and SP1 together");
        hands.press(Keys.BACK_SPACE).type("3G", "0");
        browser.see(".why", "").see(".sentence", "Through the clips");
        hands.type("0.58");
        assertThat(browser.text(".why")).contains("at 1.5 kV AC", "Its length alone takes 452.4 μA to charge.");
        browser.keys("320M", Keys.ENTER).see("#say", "Type the current with its unit");
        browser.fill("#slot", "");
        hands.type("0.46mA", "0.58", "0.1mA");
        browser.see(".asks", "a clip is off");
        hands.type("trip");
        browser.see(".found", "does not withstand 1.5 kV");
    }

    @Test
    void aCoverIsOpenedLastWithConsentAndWhatIsBehindItLeftOutWithout() {
        browser.open("/assemblies/" + wiring)
                .click("main a[href$='/connectors']")
                .waitForPath("/assemblies/\\d+/connectors");
        browser.fill("input[name='minutes.J2']", "ten").click("main .do").see("main", "Minutes: “ten”");
        browser.open("/assemblies/" + wiring + "/connectors")
                .fill("input[name='minutes.J2']", "10")
                .fill("input[name='place.J2']", "roof")
                .click("select[name='harm.J2'] option[value=open]")
                .click("main .do")
                .waitForPath("/assemblies/\\d+");
        browser.open("/assemblies/" + wiring + "/test").see(".offer", "of which 10 for covers that need consent");
        hands.begin(wiring, "A-1", "input[name=quick]").press("b").type("0.30");
        browser.see(".sentence", "May J2 be opened? It takes about 10 min and opens what was closed.");
        hands.enter(1);
        browser.see(".to-restore", "the cover of J2").see(".sentence", "Black on J1.1, red on J2.1.");
        hands.press(Keys.BACK_SPACE);
        browser.keys("x").fill("#reason", "sealed by the maker").keys(Keys.ENTER);
        browser.see(".sentence", "Black on J1.1, red on J1.2.");
        assertThat(browser.text(".rail")).contains("Continuity\n1 of 1");
    }

    @Test
    void whatIsSeenByEyeStandsBesideWhatIsWrong() {
        hands.begin(wiring, "E-1").press("1").enter(2);
        browser.keys("w").waitForPath("/runs/\\d+/diagnosis").see(".seen", "J1: melted");
        assertThat(browser.text(".assembly-drawing .note"))
                .as("pinned on the drawing")
                .isEqualTo("1");
    }

    @Test
    void whatIsNotAtHandTakesItsWaysOffTheList() {
        browser.open("/assemblies/" + wiring + "/test").see("#offers", "linked to the frame there");
        browser.click("input[value=frame_return]")
                .see("#offers .lacks", "Needs a frame or earth that both ends reach.");
        browser.click("input[value=insulation_tester]").see("#offers", "No insulation tester: damage");
        browser.fill("input[name=serial]", "T-1")
                .fill("input[name=test_v]", "500")
                .keys(Keys.ENTER)
                .see("#say", "An insulation test needs an insulation tester, which is not ticked.");
        browser.complaints();
        browser.run("document.querySelector('#pace').closest('details').open = true");
        browser.fill("input[name=move]", "3600").click("#pace button").see("#offers", "about 540 min");
        assertThat(browser.text("#offers .lacks")).isEqualTo("Needs a frame or earth that both ends reach.");
    }

    @Test
    void aloneWithAFrameAtBothEndsEachWireIsReadAgainstIt() {
        hands.begin(wiring, "F-1", "input[name=quick]", "input[value=far_end_to_frame]");
        hands.press("b").type("0.00").enter(1);
        browser.see(".sentence", "Link all far ends together: J2.1 J2.2 FRAME.");
        hands.enter(2);
        browser.see(".sentence", "Black on J1.1, red on the frame, linked as below.");
        hands.type("0.28", "0.28");
        browser.see(".sentence", "Black on J1.1, red on J1.2, linked as below.");
    }

    @Test
    void anotherPartIsTriedAtAPriceAfterPluggingTheOldOneInAgain() {
        hands.begin(wiring, "P-2", "input[name=quick]");
        browser.keys("w").waitForPath("/runs/\\d+/diagnosis");
        String diagnosis = browser.path();
        browser.click(".findings summary")
                .fill("input[name=minutes]", "soon")
                .keys(Keys.ENTER)
                .see("main", "expected the minutes that the change takes");
        browser.open(diagnosis)
                .see(".findings", "Try another part")
                .click(".findings summary")
                .fill("input[name=minutes]", "15")
                .keys(Keys.ENTER);
        browser.waitForPath("/runs/\\d+\\?stage=REPAIR.*")
                .see(".sentence", "Unplug J1 and plug it in again, nothing else.");
        String run = browser.path();
        hands.enter(1);
        browser.open(run.replace("REPLUGGED", "SUBSTITUTED"))
                .see(".sentence", "A known good one in the place of J1.")
                .see(".why", "It takes about 15 min.");
        hands.press("1");
        browser.see(".to-restore", "the substitute for J1");
        browser.open(run.replaceAll("\\?.*", "/record"))
                .see("main", "no reading condemns the old one until it is tested on the bench");
    }

    @Test
    void otherClipsAreZeroedAndADriftingMeterEachTime() {
        hands.begin(wiring, "C-1", "input[name=quick]").press("b").type("0.30", "0.58");
        browser.keys("a").fill("#set", "long clips").keys(Keys.ENTER);
        browser.see(".sentence", "Still together: what do the leads read?");
        hands.type("0.90");
        assertThat(browser.text(".strip")).contains("with long clips, leads 0.9 Ω");
        browser.click("[data-open='drift-dialog']").click("#drift-dialog .do");
        browser.see(".sentence", "Black on J1.2, red on J2.2.");
        hands.type("1.17");
        browser.see(".sentence", "Black on J1.1, red on J1.2.");
    }

    @Test
    void aSpareThatPassedCarriesTheWireAndTheUnitHasARevisionOfItsOwn() {
        hands.begin(wiring, "S-1", "input[name=quick]").press("b").type("0.30", "OL", "OL");
        browser.see(".result", "Open").keys(Keys.ENTER).gone(".result");
        hands.type("0.58").press(5, "n");
        browser.keys("w").waitForPath("/runs/\\d+/diagnosis");
        String diagnosis = browser.path();
        browser.click(".repair summary");
        browser.click(".repair select[name=way] option[value=SPLICE]").click(".repair .do");
        browser.see("main", "Before it is spliced, read each remaining length: W1 from J1.1, W1 from J2.1.");
        browser.open(diagnosis).click(".repair summary");
        browser.see(".repair", "Before a splice").click(".repair select[name=way] option[value=SPARE]");
        assertThat(browser.texts(".repair select[name=spare] option")).containsExactly("SP1");
        browser.click(".repair .do").waitForPath("/runs/\\d+").see(".sentence", "Black on J1.1, red on J2.1.");
        String run = browser.path();
        hands.type("0.58");
        while (browser.text(".sentence").startsWith("Black on")) {
            hands.press("n");
        }
        hands.enter(1).press("1");
        browser.see(".sentence", "All measurements are done.")
                .click(".side button.do")
                .waitForPath("/runs/\\d+/record");
        assertThat(browser.text(".verdict")).startsWith("PASS");
        assertThat(browser.text(".certificate")).contains("W1 SP1: spare core SP1");
        browser.open(run + "/record");
        hands.begin(wiring, "S-1", "input[name=quick]").press("b").type("0.30");
        browser.see(".sentence", "Black on J1.1, red on J2.1.");
        assertThat(browser.text(".strip .left")).startsWith("2 measurements left");
        hands.begin(wiring, "S-2", "input[name=quick]");
        assertThat(browser.text(".strip .left"))
                .as("other units are as designed")
                .startsWith("5 measurements, 2 other steps left");
    }

    @Test
    void aDiodeIsReadOnTheDiodeRangeBothWaysBeforeAnythingPasses() {
        String name = site.fresh("Gong lead");
        String made = site.post(
                        "bench",
                        "/api/v1/assemblies",
                        "application/json",
                        "{\"format\":\"zesty-marten/assembly\",\"version\":1,\"name\":\"" + name
                                + "\",\"kind\":\"lead\",\"conductors\":["
                                + "{\"id\":\"W1\",\"from\":\"J1.1\",\"to\":\"J2.1\",\"function\":\"gong\"},"
                                + "{\"id\":\"W2\",\"from\":\"J1.2\",\"to\":\"J2.2\"}],\"components\":["
                                + "{\"id\":\"D1\",\"kind\":\"diode\",\"a\":\"J2.1\",\"b\":\"J2.2\"}]}")
                .body();
        long lead = Long.parseLong(made.replaceAll("^\\{\"id\":(\\d+),.*", "$1"));
        hands.begin(lead, "D-1", "input[name=quick]").press("b").type("0.30", "0.50", "0.50");
        hands.press(3, "n");
        browser.see(".sentence", "Black on J2.2, red on J2.1. Set the diode range.");
        assertThat(browser.text(".why")).isEqualTo("Diode D1 should conduct: 0.15 V to 0.9 V.");
        browser.keys("12k", Keys.ENTER).see("#say", "expected volts of the diode range, such as 0.58, or OL");
        browser.fill("#slot", "");
        hands.type("OL");
        browser.see(".found", "D1 is open between J2.1 and J2.2").keys(Keys.ENTER);
        browser.see(".sentence", "Black on J2.1, red on J2.2. Set the diode range.");
        hands.type("0.58");
        browser.see(".found", "D1 is fitted the wrong way round");
        browser.keys(Keys.ENTER)
                .see(".sentence", "All measurements are done.")
                .click(".side button.do")
                .waitForPath("/runs/\\d+/record");
        assertThat(browser.text(".verdict")).startsWith("FAIL");
        assertThat(browser.text("main")).contains("Diodes, both ways", "Forward voltage 0.15 V to 0.9 V.");
        assertThat(browser.text("main")).doesNotContain("an ohm range proves nothing of it");
    }

    @Test
    void aRunIsBegunAndItsDeedsAreDoneOverHttp() {
        String begun = site.post(
                        "bench",
                        "/api/v1/runs",
                        "application/json",
                        "{\"assembly_id\":" + wiring
                                + ",\"serial\":\"H-1\",\"approach\":{\"in_place\":\"true\",\"test_v\":500}}")
                .body();
        assertThat(begun).contains("\"due\":{\"stage\":\"prepare\"", "\"deed\":\"locked_off\"");
        String run = begun.replaceAll("^\\{\"id\":(\\d+),.*", "$1");
        assertThat(post(run, "\"deed\":\"locked_off\",\"as_typed\":\"\"")).contains("\"understood\":\"done\"");
        assertThat(post(run, "\"as_typed\":\"231\"")).contains("the tester works");
        assertThat(post(run, "\"deed\":\"dead\",\"skip_reason\":\"already dead\""))
                .contains("\"understood\":\"skipped: already dead\"");
        assertThat(post(run, "\"deed\":\"sung\",\"as_typed\":\"\""))
                .contains("“sung” is not accepted; expected a manual step");
        assertThat(site.post(
                                "bench",
                                "/api/v1/runs",
                                "application/json",
                                "{\"assembly_id\":" + wiring + ",\"serial\":\"H-2\",\"approach\":{\"speed\":\"high\"}}")
                        .body())
                .contains("approach.speed", "Not known here; expected first, in_place");
    }

    private String post(String run, String members) {
        return site.post(
                        "bench",
                        "/api/v1/runs/" + run + "/readings",
                        "application/json",
                        "{\"id\":\"" + UUID.nameUUIDFromBytes(members.getBytes(java.nio.charset.StandardCharsets.UTF_8))
                                + "\"," + members + "}")
                .body();
    }
}
