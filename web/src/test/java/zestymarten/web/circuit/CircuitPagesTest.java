package zestymarten.web.circuit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import zestymarten.web.Browser;
import zestymarten.web.Workshop;

/** The desk of a circuit: drawn, read point by point in the drawing, understood, printed, kept with a unit. */
@ExtendWith(Workshop.class)
class CircuitPagesTest {
    private static final List<Double> METRES = List.of(6.0, 4.5, 7.0, 5.0, 8.0, 6.5, 9.0);
    private static final List<Double> LINE_OPEN_IN_FOURTH = List.of(0.5285, 0.5074, 0.4745, 0.4464, 0.4839, 0.5144);

    private final Browser browser;

    CircuitPagesTest(Browser browser) {
        this.browser = browser;
    }

    @BeforeEach
    void signIn() {
        browser.desktop().signIn("bench");
    }

    @AfterEach
    void nothingWasRefusedByTheBrowser() {
        assertThat(browser.complaints()).isEmpty();
    }

    private void drawn() {
        browser.open("/circuit");
        for (int i = 0; i < METRES.size(); i++) {
            browser.put("s" + (i + 1), METRES.get(i));
        }
    }

    private void read(String line, List<Double> protective) {
        browser.put("end_L", line).run("return 0");
        browser.put("end_N", 0.34);
        browser.put("end_P", 0.56);
        for (int i = 0; i < protective.size(); i++) {
            browser.put("p_" + (i + 1), String.format(Locale.ROOT, "%.4f", protective.get(i)));
        }
    }

    @Test
    void aRingIsReadByEnterAloneAndTheNextFieldWaits() {
        drawn();
        browser.fill("[name=end_P]", "0.56").keys(Keys.ENTER).see("main", "The readings agree with the ring as drawn.");
        assertThat(browser.run("return document.activeElement.name")).isEqualTo("end_L");
        assertThat(browser.text(".ask"))
                .isEqualTo("Now: Both ends of the cable apart: read the line from end A to end B.");
        browser.keys("0.34", Keys.ENTER).see("main table", "line from end to end");
        assertThat(browser.run("return document.activeElement.name")).isEqualTo("end_N");
        assertThat(browser.texts(".loop .seat-name")).containsExactly("1", "2", "3", "4", "5", "6");
    }

    @Test
    void aBrokenLegIsNamedWithItsOverloadAndTheSheetIsPrintedAndKept() {
        drawn();
        read("OL", LINE_OPEN_IN_FOURTH);
        browser.put("device", "B");
        browser.put("rated", 32);
        browser.put("leg", 20);
        browser.put("ze", 0.35);
        browser.put("name", "Depot ring 2");
        browser.click("main .do").see("main", "The line is open between point 3 and point 4.");
        assertThat(browser.text(".verdict-line")).contains("1.6 times that", "Disconnection is not known");
        assertThat(browser.count(".loop .seat.fail")).isGreaterThan(3);
        browser.fill("[name=serial]", "PC-01").click("button[formaction$=keep]").waitForPath("/circuit.*");
        assertThat(browser.text("main")).contains("The line is open between point 3 and point 4.");
        browser.open("/units/1").see("main", "Circuit: Depot ring 2");
        assertThat(browser.post("/circuit/sheet.pdf", "name=x&end_L=OL")).isEqualTo(200);
        assertThat(browser.post("/circuit/sheet.csv", "name=x&end_L=OL")).isEqualTo(200);
        assertThat(browser.post("/circuit/keep", "name=x&serial=none-such")).isEqualTo(422);
    }

    @Test
    void whatCannotBeToldIsAskedForAndAnswered() {
        drawn();
        browser.fill("[name=p_3]", "OL").keys(Keys.ENTER).see(".ask", "This reading tells more: ");
        assertThat(browser.text(".verdict-line")).contains("point 3", "%");
        String asked = String.valueOf(browser.run("return document.activeElement.name"));
        browser.keys("0.17", Keys.ENTER).see(".verdict-line", "line to neutral at point 3");
        assertThat(browser.attribute("[name='" + asked + "']", "value")).isEqualTo("0.17");
    }

    @Test
    void wrongEntriesAreSaidAndNothingTypedIsLost() {
        drawn();
        browser.put("s2", "long");
        browser.put("s3", "7 4/2.5");
        browser.put("spurs", "3:12 4/2.5; 5");
        browser.fill("[name=p_1]", "b").keys(Keys.ENTER).see(".trouble", "s2: “long”");
        assertThat(browser.text("#says"))
                .contains("spurs: “5” is not accepted; expected the point it leaves and its metres")
                .contains(
                        "p_1: A tone is not a reading: the meter beeps on a loose joint as well. Read the resistance.");
        assertThat(browser.attribute("[name=s2]", "value")).isEqualTo("long");
    }

    @Test
    void aRadialIsReadFromItsLink() {
        browser.open("/circuit");
        browser.put("kind", "radial");
        browser.put("outlets", 3);
        browser.click("main .do").see("h1", "Radial circuit");
        browser.put("p_1", "0.12");
        browser.put("p_2", "0.23");
        browser.put("p_3", "OL");
        browser.click("main .do").see("main", "between point 2 and point 3");
        assertThat(browser.texts(".loop .seat-name")).containsExactly("1", "2", "3");
    }

    @Test
    void ofThreeLinesOneThatIsCrossedWithAnotherIsNamed() {
        browser.open("/circuit");
        browser.put("kind", "three-phase");
        browser.put("outlets", 2);
        browser.click("main .do").see("main", "Link line L1 to neutral at the origin");
        for (String line : List.of("n_", "n2_", "n3_")) {
            browser.put(line + "1", "0.09");
        }
        browser.put("p_1", "0.12");
        browser.put("n_2", "0.18");
        browser.put("n2_2", "OL");
        browser.put("n3_2", "OL");
        browser.put("p_2", "0.24");
        browser.click("main .do").see("#says", "The line L2 and the line L3 are crossed at point 2.");
        assertThat(browser.text("#says")).contains("would turn the other way", "fail");
        assertThat(browser.text("main")).contains("Insulation L–L, lowest");
    }

    @Test
    void anElectrodeOfItsOwnAsksForTheResidualCurrentDeviceAndItsTimes() {
        browser.open("/circuit");
        browser.put("kind", "radial");
        browser.put("outlets", 2);
        browser.click("main .do").see("h1", "Radial circuit");
        browser.put("s1", "20 ft");
        browser.put("s2", "20 ft 12 AWG/14 AWG");
        browser.put("n_1", "0.09");
        browser.put("n_2", "0.16");
        browser.put("p_1", "0.12");
        browser.put("p_2", "0.22");
        browser.put("ze", "90");
        browser.put("earthing", "TT");
        browser.put("rcd", "general");
        browser.put("rcd_ma", "30");
        browser.click("main .do").see(".verdict-line", "An RCD of 30 mA that works opens within 40 ms.");
        assertThat(browser.text("main table")).contains("disconnection time", "maximum 0.2 s", "touch voltage");
        browser.put("rcd_ms", "340");
        browser.put("rcd5_ms", "20");
        browser.click("main .do").see(".verdict-line", "Fails: ");
        browser.put("volts", "400 V and more");
        browser.click("main .do").see(".trouble", "volts: “400 V and more”");
        assertThat(browser.attribute("[name=s2]", "value")).isEqualTo("20 ft 12 AWG/14 AWG");
    }
}
