package zestymarten.web.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/** Whole jobs where the unit hangs: nothing on paper, moving parts, a sensor's line, a poor meter, a helper's hand. */
@ExtendWith(Workshop.class)
class JourneysOnSitePagesTest {
    private final Site site;
    private final Browser browser;
    private final BenchHand technician;

    JourneysOnSitePagesTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
        technician = new BenchHand(browser);
    }

    @BeforeEach
    void signIn() {
        browser.desktop().signIn("bench");
    }

    @AfterEach
    void nothingWasRefusedByTheBrowser() {
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void aLeadWithoutPapersIsReadOffAndTheNextOneTestedAgainstIt() {
        Map<String, String> lead = BenchHand.straight(4, "b");
        lead.remove("J1.2 J2.2");
        lead.remove("J1.3 J2.3");
        lead.put("J1.2 J2.3", "b");
        lead.put("J1.3 J2.2", "b");
        browser.open("/read-off/new");
        technician
                .fill("input[name=name]", site.fresh("Lead without papers"))
                .fill("input[name=near_pins]", "4")
                .fill("input[name=far_pins]", "4")
                .key(Keys.ENTER);
        browser.waitForPath("/read-off/\\d+");
        while (!browser.text(".sentence").startsWith("Read off")) {
            String count = browser.attribute("#work", "data-count");
            technician.key(lead.getOrDefault(BenchHand.probes(browser.text(".sentence")), "n"));
            browser.find("#work:not([data-count='" + count + "'])");
        }
        assertThat(browser.text(".sentence")).startsWith("Read off: 4 wires.");
        technician.click("form .do");
        browser.waitForPath("/assemblies/\\d+");
        long assembly = Long.parseLong(browser.path().replaceAll("\\D", ""));
        technician.begin(assembly, "L-2", "input[name=quick]");
        assertThat(technician.play(BenchHand.unit(lead))).startsWith("All measurements are done");
        assertThat(technician.certificate()).contains("PASS").doesNotContain("FAIL");
        technician.begin(assembly, "L-3", "input[name=quick]");
        technician.play(BenchHand.unit(BenchHand.straight(4, "b")));
        assertThat(technician.certificate())
                .as("straight through is wrong here")
                .contains("FAIL", "crossed");
    }

    @Test
    void aWireThatOpensInOnePositionIsNamedWithThePosition() {
        long harness = site.wiring(
                site.fresh("Door"), "wire,from,to,length_m,area_mm2\nW1,J1.1,J2.1,8,0.5\nW2,J1.2,J2.2,8,0.5\n");
        technician.begin(harness, "D-1", "input[name=quick]");
        technician.click("[data-open=position-dialog]").fill("#position", "door half open");
        technician.click("#position-dialog .do");
        technician.play(sentence -> {
            String pair = BenchHand.probes(sentence);
            boolean moved = sentence.startsWith("In 'door half open'");
            if (pair.isEmpty()) {
                return "";
            } else if (pair.matches("J1\\.(\\d) J2\\.\\1")) {
                return moved && pair.endsWith("2") ? "OL" : "0.48";
            }
            return "n";
        });
        assertThat(technician.certificate())
                .contains("FAIL", "W2 is intermittent between J1.2 and J2.2", "in 'door half open'");
    }

    @Test
    void aCutWireOfASensorIsFoundAndTheSensorItselfIsNotBlamed() {
        technician.begin(technician.fromTemplate("heater", site.fresh("Heater")), "H-9");
        technician.play(sentence -> {
            String pair = BenchHand.probes(sentence);
            if (sentence.startsWith("Warm")) {
                return "40";
            } else if (pair.isEmpty()) {
                return "";
            } else if (pair.matches("X1.([123]) H.\\1") || pair.contains("H.3 frame")) {
                return "0.23";
            } else if (pair.matches("X1.5 H.5")) {
                return "0.30";
            } else if (pair.matches(".*\\.1 .*\\.2")) {
                return "35.4";
            }
            return pair.matches("H.4 H.5") ? "12.2k" : "OL";
        });
        assertThat(technician.certificate())
                .contains("FAIL", "is open between X1.4 and H.4")
                .doesNotContain("sensor reads");
    }

    @Test
    void aPoorMeterWhoseLeadsReadMuchIsNulledAndPassesWhatItCanTell() {
        long lead = site.wiring(
                site.fresh("Two cores"), "wire,from,to,length_m,area_mm2\nW1,J1.1,J2.1,8,0.5\nW2,J1.2,J2.2,8,0.5\n");
        technician.leadsThatRead("5.4").begin(lead, "P-1");
        technician.play(sentence -> {
            String pair = BenchHand.probes(sentence);
            return pair.isEmpty() ? "" : pair.matches("J1\\.(\\d) J2\\.\\1") ? "5.7" : "n";
        });
        String certificate = technician.certificate();
        assertThat(technician.done()).anyMatch(each -> each.contains("5.4"));
        assertThat(certificate).doesNotContain("FAIL");
    }

    @Test
    void aHarnessInTheMachineIsProvedDeadBeforeAnythingIsTouchedAndPutBackAfter() {
        long harness = site.wiring(
                site.fresh("In the machine"),
                "wire,from,to,length_m,area_mm2\nW1,J1.1,J2.1,8,0.5\nW2,J1.2,J2.2,8,0.5\n");
        Map<String, String> joined = BenchHand.straight(2, "0.48");
        technician.begin(harness, "IM-1", "input[name=in_place]");
        String last = technician.play(sentence -> {
            if (sentence.contains("volts?")) {
                return sentence.contains("source") ? "231" : "0";
            }
            return BenchHand.unit(joined).apply(sentence);
        });
        assertThat(last).startsWith("All measurements are done");
        assertThat(technician.done())
                .containsSubsequence("Unplug J1. -> ", "Black on J1.1, red on J2.1. -> 0.48")
                .anyMatch(each -> each.startsWith("Power off, locked off, charge bled off?"))
                .anyMatch(each -> each.endsWith("-> 231"));
        assertThat(technician.certificate()).contains("PASS", "restored J1").doesNotContain("FAIL");
    }

    @Test
    void waterInAPumpCableIsFoundWhereItLeavesTheWater() {
        long cable = site.wiring(
                site.fresh("Pump cable"),
                "wire,from,to,length_m,area_mm2\nW1,J1.1,J2.1,40,2.5\nW2,J1.2,J2.2,40,2.5\nW3,J1.3,J2.3,40,2.5\n");
        browser.open("/assemblies/" + cable + "/test");
        technician.fill("input[name=test_v]", "500");
        technician
                .click("details:has([name=moisture]) summary")
                .click("select[name=moisture] option[value=water]")
                .fill("input[name=serial]", "PU-1")
                .key(Keys.ENTER);
        browser.waitForPath("/runs/\\d+");
        Map<String, String> joined = BenchHand.straight(3, "0.48");
        technician.play(sentence -> {
            if (sentence.startsWith("Two electrodes in the water")) {
                return "18k";
            } else if (sentence.startsWith("Voltage on J1.2 again")) {
                return "12.5 m";
            } else if (sentence.contains("the water here")) {
                return sentence.contains("J1.2") ? "0.2M" : ">2G";
            } else if (sentence.contains("test voltage on")) {
                return ">2G";
            } else if (sentence.endsWith("voltage is left?")) {
                return "0";
            }
            return BenchHand.unit(joined).apply(sentence);
        });
        String test = browser.path();
        assertThat(technician.done())
                .containsSubsequence(
                        "Two electrodes in the water, not touching: what is the resistance between them? -> 18k",
                        "Black on J1.2, red on the frame is the water here: test voltage on. -> 0.2M",
                        "Discharge at least four times as long as the voltage was on: what voltage is left? -> 0");
        assertThat(technician.certificate()).contains("FAIL", "Low insulation resistance: 200 kΩ", "12.5 m");
        browser.open(test + "/locate?wire=W2")
                .see("main", "12.5 m from end 1, between 12.25 m and 12.75 m: lifted out of the water.");
    }
}
