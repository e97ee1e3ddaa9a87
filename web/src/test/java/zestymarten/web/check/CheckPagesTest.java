package zestymarten.web.check;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import zestymarten.web.Browser;
import zestymarten.web.Workshop;

/** A fuse, a relay, a sensor in the hand: checked by keyboard, without an assembly and without a unit. */
@ExtendWith(Workshop.class)
class CheckPagesTest {
    private final Browser browser;

    CheckPagesTest(Browser browser) {
        this.browser = browser;
    }

    @Test
    void aBlownFuseIsToldInOneReadingAndTheNextMeasurementIsNamed() {
        browser.desktop().signIn("bench").open("/check");
        browser.keys("OL", Keys.ENTER).find("#said .state.fail");
        assertThat(browser.text("#said")).contains("The fuse is blown").contains("Find the cause first");
        browser.open(browser.path());
        assertThat(browser.text("#said")).as("a reload loses nothing").contains("The fuse is blown");
    }

    @Test
    void aRelayIsReadByKeyboardAndSavedWithoutAUnit() {
        browser.desktop().signIn("bench").open("/check?thing=relay&coil=96&leads=0.2");
        browser.keys("96.2", Keys.ENTER, "OL", Keys.ENTER, "0.3", Keys.ENTER, "0.3", Keys.ENTER, "OL", Keys.ENTER);
        browser.find("#said .state.pass");
        assertThat(browser.text("#said")).contains("Its behaviour under load is not shown");
        browser.fill("input[name=name]", "Relay of the sand gong")
                .keys(Keys.ENTER)
                .waitForPath("/check\\?sheet=\\d+");
        assertThat(browser.text("#said")).contains("pass");
        assertThat(browser.attribute("input[name='read.coil']", "value")).isEqualTo("96.2");
    }

    @Test
    void whatMakesNoSenseIsSaidAndStays() {
        browser.desktop().signIn("bench").open("/check?thing=sensor&curve=table&table=25%2010k%0Aabout%20warm");
        assertThat(browser.text("main .trouble"))
                .contains("“about warm” is not accepted; expected a temperature and a resistance, such as 25 10k.");
        assertThat(browser.text("textarea[name=table]")).contains("about warm");
        browser.open("/check?thing=switch&positions=off,on&closed=half");
        assertThat(browser.text("main .trouble")).contains("the positions are off and on");
    }
}
