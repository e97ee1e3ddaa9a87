package zestymarten.web.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/** Whole jobs from the first page to the certificate, and what they take. */
@ExtendWith(Workshop.class)
class JourneysPagesTest {
    private final Site site;
    private final Browser browser;
    private final BenchHand technician;

    JourneysPagesTest(Site site, Browser browser) {
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
    void fiveCoresOneBrokenTwoCrossed() {
        browser.open("/");
        technician
                .click("a.do.big")
                .fill("input[name=name]", site.fresh("Five"))
                .fill("input[name=cores]", "5")
                .key(Keys.ENTER);
        browser.waitForPath("/assemblies/\\d+/test");
        technician
                .click("input[value=find_fault]")
                .click("input[name=quick]")
                .fill("input[name=serial]", "F-5")
                .key(Keys.ENTER);
        browser.waitForPath("/runs/\\d+");
        Map<String, String> joined = BenchHand.straight(5, "b");
        joined.keySet().removeAll(List.of("J1.2 J2.2", "J1.3 J2.3", "J1.4 J2.4"));
        joined.put("J1.3 J2.4", "b");
        joined.put("J1.4 J2.3", "b");
        assertThat(technician.play(BenchHand.unit(joined))).startsWith("The diagnosis is finished");
        assertThat(technician.certificate())
                .contains(
                        "W2 is open between J1.2 and J2.2.",
                        "W3 and W4 are crossed: W3 goes to J2.4 and W4 goes to J2.3.")
                .contains("FAIL");
        assertThat(technician.clicks()).isLessThanOrEqualTo(8);
        assertThat(technician.keys()).isLessThanOrEqualTo(120);
    }

    @Test
    void aSecondBreakThatIsFoundWhileMendingIsAFindingOfItsOwn() {
        long cable = site.wiring(
                site.fresh("Repaired"), "wire,from,to,length_m,area_mm2\nW1,J1.1,J2.1,40,0.5\nW2,J1.2,J2.2,40,0.5\n");
        technician.begin(cable, "M-1", "input[name=quick]");
        Map<String, String> joined = BenchHand.straight(2, "1.6");
        joined.remove("J1.2 J2.2");
        technician.play(BenchHand.unit(joined));
        technician.click("a[href$='/diagnosis']");
        browser.waitForPath("/runs/\\d+/diagnosis");
        browser.see("article", "W2 is open between J1.2 and J2.2.");
        technician.click(".repair summary").click(".repair select[name=way] option[value=SPLICE]");
        browser.driver().findElements(By.name("length_ohm")).get(0).sendKeys("0.8");
        browser.driver().findElements(By.name("length_ohm")).get(1).sendKeys("OL");
        technician.click(".repair .do");
        browser.see("article:nth-of-type(2)", "W2 is open a second time between J2.2 and the break that is seen.");
        assertThat(browser.text("article"))
                .as("the splice alone would not mend it")
                .contains("W2 is open between J1.2 and J2.2.");
        technician
                .click(".repair summary")
                .click(".repair select[name=way] option[value=REPLACE]")
                .click(".repair .do");
        browser.waitForPath("/runs/\\d+");
        joined.put("J1.2 J2.2", "1.6");
        assertThat(technician.play(BenchHand.unit(joined))).startsWith("All measurements are done");
        assertThat(technician.certificate())
                .contains("W2 is open between J1.2 and J2.2.", "W2 is open a second time", "W2: replaced")
                .contains("2 faults were found and repaired.");
    }

    @Test
    void eightCoresOverTwoFloorsAloneByTouch() {
        StringBuilder list = new StringBuilder("wire,from,to,length_m,area_mm2\n");
        for (int i = 1; i <= 8; i++) {
            list.append("W%1$d,UP.%1$d,DN.%1$d,12,0.5%n".formatted(i));
        }
        long cable = site.wiring(site.fresh("Two floors"), list.toString());
        browser.phone().signIn("bench");
        technician.byTouch();
        technician.begin(cable, "TF-1", "input[value=far_end_joined]");
        technician.play(sentence -> {
            String pair = BenchHand.probes(sentence);
            boolean linked = sentence.contains("linked as below");
            return pair.isEmpty() ? "" : linked && !pair.contains("UP.5") ? "1.02" : "n";
        });
        assertThat(technician.done())
                .as("nothing is read from one floor to the other")
                .noneMatch(each -> each.matches("Black on UP\\.\\d, red on DN.*"))
                .containsSubsequence(
                        "Go to the far end. -> ",
                        "Look at DN. -> ",
                        "Link all far ends together: DN.1 DN.2 DN.3 DN.4 DN.5 DN.6 DN.7 DN.8. -> ",
                        "Go back to the near end. -> ",
                        "Black on UP.1, red on UP.2, linked as below. -> 1.02",
                        "Go to the far end. -> ",
                        "Free the far ends and keep them apart. -> ",
                        "Black on DN.1, red on DN.5. -> n",
                        "Black on DN.5, red on the frame. -> n",
                        "Go back to the near end. -> ",
                        "Black on UP.1, red on UP.2. -> n");
        assertThat(browser.run("return document.documentElement.scrollWidth")).isEqualTo(390L);
        assertThat(technician.certificate()).contains("FAIL", "W5 is open between UP.5 and DN.5.");
        assertThat(technician.clicks()).as("taps").isLessThanOrEqualTo(130);
    }

    @Test
    void aChainOfJointsIsReadStretchByStretchOnceTheWholeIsTooHigh() {
        long chain = site.wiring(
                site.fresh("Chain"), "wire,from,to,max_ohm\nB1,N1.1,N2.1,0.1\nB2,N2.1,N3.1,0.1\nB3,N3.1,N4.1,0.1\n");
        technician.begin(chain, "C-1", "input[name=quick]");
        Map<String, String> joined = new HashMap<>(Map.of(
                "N1.1 N2.1",
                "0.24",
                "N1.1 N3.1",
                "1.94",
                "N1.1 N4.1",
                "1.98",
                "N2.1 N3.1",
                "1.9",
                "N2.1 N4.1",
                "1.94",
                "N3.1 N4.1",
                "0.24"));
        technician.play(BenchHand.unit(joined));
        technician.click("a[href$='/diagnosis']");
        browser.waitForPath("/runs/\\d+/diagnosis");
        browser.see("article", "B2 has a high resistance");
        technician
                .click(".repair summary")
                .click(".repair select[name=way] option[value=CLEAN]")
                .click(".repair .do");
        browser.waitForPath("/runs/\\d+");
        joined.putAll(Map.of("N1.1 N3.1", "0.28", "N1.1 N4.1", "0.32", "N2.1 N3.1", "0.24", "N2.1 N4.1", "0.28"));
        assertThat(technician.play(BenchHand.unit(joined))).startsWith("All measurements are done");
        String certificate = technician.certificate();
        assertThat(certificate)
                .contains("PASS One fault was found and repaired. What the repair concerns was measured again.")
                .contains("B2 has a high resistance", "B2: cleaned");
    }

    @Test
    void aMotorWhoseWindingsAreAlikeAndOneThatIsNot() {
        technician.begin(technician.fromTemplate("motor", site.fresh("motor")), "M-3");
        technician.play(sentence -> motor(sentence, "9.5"));
        assertThat(technician.certificate()).contains("PASS").doesNotContain("FAIL");
        technician.begin(technician.fromTemplate("motor", site.fresh("motor")), "M-4");
        technician.play(sentence -> motor(sentence, "5.2"));
        assertThat(technician.certificate()).as("turns of V are shorted").contains("FAIL", "WV");
    }

    /** Wires of 6 m, three windings of 4.6 Ω in star; pairs with V read the given figure. */
    private static String motor(String sentence, String withV) {
        String pair = BenchHand.probes(sentence);
        if (pair.isEmpty()) {
            return "";
        } else if (pair.matches("X1\\.(\\w+) M\\.\\1\\d?")) {
            return "0.27";
        } else if (pair.matches("\\S+\\.PE frame")) {
            return "0.27";
        } else if (pair.contains("PE") || pair.contains("frame")) {
            return "OL";
        } else if (pair.contains("STAR")) {
            return pair.contains("V") && withV.equals("5.2") ? "0.5" : "4.8";
        }
        return pair.contains("V") ? withV : "9.5";
    }

    @Test
    void aHeaterWithItsSensorColdAndWarm() {
        technician.begin(technician.fromTemplate("heater", site.fresh("heater")), "H-3");
        technician.play(sentence -> {
            String pair = BenchHand.probes(sentence);
            boolean warm = technician.done().stream().anyMatch(each -> each.endsWith("-> 40"));
            if (sentence.startsWith("Warm")) {
                return "40";
            } else if (pair.isEmpty()) {
                return "";
            } else if (pair.matches("X1.([123]) H.\\1") || pair.contains("H.3 frame")) {
                return "0.23";
            } else if (pair.matches("X1.([45]) H.\\1")) {
                return "0.30";
            } else if (pair.matches(".*\\.1 .*\\.2")) {
                return "35.4";
            }
            return pair.matches(".*\\.4 .*\\.5") ? warm ? "5.76k" : "12.2k" : "OL";
        });
        assertThat(technician.certificate())
                .contains("PASS")
                .doesNotContain("FAIL")
                .contains("40 °C");
    }
}
