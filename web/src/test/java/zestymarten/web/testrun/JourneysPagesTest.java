package zestymarten.web.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/** Whole jobs from the first page to the certificate, and what they take. */
@ExtendWith(Workshop.class)
class JourneysPagesTest {
    private final Site site;
    private final Browser browser;
    private final Technician technician;

    JourneysPagesTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
        technician = new Technician(browser);
    }

    @BeforeEach
    void signIn() {
        browser.desktop().signIn("bench");
    }

    @AfterEach
    void nothingWasRefusedByTheBrowser() {
        assertThat(browser.complaints()).isEmpty();
    }

    private static Map<String, String> straight(int cores, String reads) {
        Map<String, String> joined = new HashMap<>();
        for (int i = 1; i <= cores; i++) {
            joined.put("J1." + i + " J2." + i, reads);
        }
        return joined;
    }

    /** Ends the test as it stands; what is not measured is confirmed. */
    private String certificate() {
        boolean asks = browser.has("[hx-post$='/end'][hx-confirm]");
        technician.click("[hx-post$='/end']");
        if (asks) {
            technician.key("y");
            browser.driver().switchTo().alert().accept();
        }
        browser.waitForPath("/runs/\\d+/record");
        return browser.text(".certificate");
    }

    private void counted(String job) {
        System.out.println("COUNT " + job + ": " + technician.clicks() + " clicks, " + technician.keys() + " keys");
    }

    private void begin(long assembly, String serial, String... choices) {
        browser.open("/assemblies/" + assembly + "/test");
        for (String choice : choices) {
            technician.click(choice);
        }
        technician.fill("input[name=serial]", serial).key(Keys.ENTER);
        browser.waitForPath("/runs/\\d+");
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
        Map<String, String> joined = straight(5, "b");
        joined.keySet().removeAll(List.of("J1.2 J2.2", "J1.3 J2.3", "J1.4 J2.4"));
        joined.put("J1.3 J2.4", "b");
        joined.put("J1.4 J2.3", "b");
        assertThat(technician.play(Technician.unit(joined))).startsWith("The diagnosis is finished");
        assertThat(certificate())
                .contains(
                        "W2 is open between J1.2 and J2.2.",
                        "W3 and W4 are crossed: W3 goes to J2.4 and W4 goes to J2.3.")
                .contains("FAIL");
        counted("1 five cores");
        assertThat(technician.clicks()).isLessThanOrEqualTo(8);
        assertThat(technician.keys()).isLessThanOrEqualTo(120);
    }

    @Test
    void aSecondBreakThatIsFoundWhileMendingIsAFindingOfItsOwn() {
        long cable = site.wiring(
                site.fresh("Mended"), "wire,from,to,length_m,area_mm2\nW1,J1.1,J2.1,40,0.5\nW2,J1.2,J2.2,40,0.5\n");
        begin(cable, "M-1", "input[name=quick]");
        Map<String, String> joined = straight(2, "1.9");
        joined.remove("J1.2 J2.2");
        technician.play(Technician.unit(joined));
        technician.click("a[href$='/diagnosis']");
        browser.waitForPath("/runs/\\d+/diagnosis");
        System.out.println(browser.text("main"));
        technician.click(".mend summary");
        System.out.println(browser.run("return document.querySelector('.mend').outerHTML"));
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
        begin(cable, "TF-1", "input[value=far_end_joined]");
        String last = technician.play(sentence -> {
            String pair = Technician.probes(sentence);
            boolean linked = sentence.contains("linked as below");
            return pair.isEmpty() ? "" : linked && !pair.matches(".*UP\\.5.*") ? "0.84" : "n";
        });
        System.out.println(String.join("\n", technician.done()));
        System.out.println(last);
        System.out.println(certificate());
        counted("3 two floors");
    }

    @Test
    void aChainOfJointsWithOneThatIsHigh() {
        long chain = site.wiring(
                site.fresh("Chain"), "wire,from,to,max_ohm\nB1,N1.1,N2.1,0.1\nB2,N2.1,N3.1,0.1\nB3,N3.1,N4.1,0.1\n");
        begin(chain, "C-1", "input[name=quick]");
        String last = technician.play(Technician.unit(
                Map.of("N1.1 N2.1", "0.24", "N2.1 N3.1", "1.9", "N3.1 N4.1", "0.25", "N1.1 N4.1", "2.1")));
        System.out.println(String.join("\n", technician.done()));
        System.out.println(last);
        technician.click("a[href$='/diagnosis']");
        browser.waitForPath("/runs/\\d+/diagnosis");
        System.out.println(browser.text("main"));
    }

    @Test
    void aMotorOutOfATemplate() {
        browser.open("/assemblies/grid?from=motor");
        technician.fill("input[name=name]", site.fresh("Motor"));
        technician.click("main form .do");
        browser.waitForPath("/assemblies/\\d+");
        long motor = Long.parseLong(browser.path().replaceAll("\\D", ""));
        begin(motor, "M-3");
        String last = technician.play(Technician.unit(Map.of()));
        System.out.println(String.join("\n", technician.done()));
        System.out.println(last);
    }

    @Test
    void aHeaterWithItsSensor() {
        browser.open("/assemblies/grid?from=heater");
        technician.fill("input[name=name]", site.fresh("Heater"));
        technician.click("main form .do");
        browser.waitForPath("/assemblies/\\d+");
        long motor = Long.parseLong(browser.path().replaceAll("\\D", ""));
        begin(motor, "H-3");
        String last = technician.play(sentence -> Technician.probes(sentence).isEmpty()
                ? ""
                : Technician.unit(Map.of("X1.1 H.1", "0.24", "X1.2 H.2", "0.24", "X1.1 X1.2", "27", "H.1 H.2", "27"))
                        .apply(sentence)
                        .replace("n", "OL"));
        System.out.println(String.join("\n", technician.done()));
        System.out.println(last);
    }
}
