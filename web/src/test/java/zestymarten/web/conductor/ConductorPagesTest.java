package zestymarten.web.conductor;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import zestymarten.web.Browser;
import zestymarten.web.Workshop;

/** The desk of one conductor, usable in a minute without preparing anything. */
@ExtendWith(Workshop.class)
class ConductorPagesTest {
    private final Browser browser;

    ConductorPagesTest(Browser browser) {
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

    private void feeder() {
        browser.open("/conductor")
                .fill("input[name=length]", "38")
                .fill("input[name=area]", "0.75")
                .fill("input[name=ohm]", "7.62")
                .fill("input[name=celsius]", "12");
        browser.click("select[name=class] option[value='2']");
    }

    @Test
    void aFeederThatIsNotWhatItSaysIsToldAndItsDeadShortReckoned() {
        feeder();
        browser.fill("input[name=volts]", "120")
                .fill("input[name=source]", "0.4")
                .fill("input[name=rated]", "10");
        browser.click("select[name=protection] option[value=C]")
                .fill("input[name=amperes]", "2")
                .keys(Keys.ENTER)
                .see("main", "It is not what it says: 7.62 Ω, at most 1.803 Ω by IEC 60228.");
        assertThat(browser.text("main"))
                .contains("0.1666 mm² of annealed copper", "14.96 A", "12.23 A", "44.89 W a metre", "1.6")
                .contains("not cut off", "voltage lost", "12.7 % of 120 V");
        assertThat(browser.texts(".protection g text")).contains("hot", "cold", "10 A");
        assertThat(browser.texts(".zones li")).first().asString().contains("does not trip");
        assertThat(browser.count("circle.declared")).isEqualTo(1);
    }

    @Test
    void nonsenseIsToldAndNothingTypedIsLost() {
        browser.open("/conductor")
                .fill("input[name=length]", "long")
                .fill("input[name=area]", "99 AWG")
                .keys(Keys.ENTER)
                .see(".trouble", "“long” is not accepted; expected a length such as 8, 8 m or 26 ft.");
        assertThat(browser.text("main"))
                .contains(
                        "“99 AWG” is not accepted; expected the section in mm², such as 0.75, or a gauge such as 20 AWG or 250 kcmil.");
        assertThat(browser.attribute("input[name=length]", "value")).isEqualTo("long");
        browser.open("/conductor")
                .fill("input[name=length]", "10")
                .keys(Keys.ENTER)
                .see(".trouble", "Two of length, section and resistance are needed; the third follows.");
    }

    @Test
    void aGaugeAndALengthGiveTheOhms() {
        browser.open("/conductor")
                .fill("input[name=length]", "10")
                .fill("input[name=area]", "20 AWG")
                .keys(Keys.ENTER)
                .see("main", "It should read about 0.66");
    }

    @Test
    void theSheetIsKeptWithAUnitAndOneOfNobodyIsRefused() {
        browser.open("/conductor?length=38&area=0.75&ohm=7.62&class=2").see("main", "It is not what it says");
        browser.fill("[name=name]", "Feeder").fill("[name=serial]", "PC-01").click("form[action$=keep] button");
        browser.waitForPath("/conductor.*sheet=\\d+").see("main", "It is not what it says");
        browser.open("/units/1").see("main", "Conductor check: Feeder");
        assertThat(browser.post("/conductor/keep", "length=38&area=0.75&ohm=7.62&name="))
                .isEqualTo(422);
        assertThat(browser.post("/conductor/keep", "length=38&area=0.75&ohm=7.62&name=x&serial=PC-999"))
                .isEqualTo(422);
    }

    @Test
    void theOhmsTellHowWarmADeclaredConductorIs() {
        browser.open("/conductor?length=50&area=1.5&ohm=1.2&class=2").see("main", "It is what it says");
        assertThat(browser.text("table")).contains("as declared it would be at 31 °C");
    }
}
