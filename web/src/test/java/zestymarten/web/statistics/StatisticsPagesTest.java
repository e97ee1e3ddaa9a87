package zestymarten.web.statistics;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import zestymarten.web.Browser;
import zestymarten.web.Workshop;

@ExtendWith(Workshop.class)
class StatisticsPagesTest {
    private final Browser browser;

    StatisticsPagesTest(Browser browser) {
        this.browser = browser;
    }

    @Test
    void theFaultsOfAnAssemblyAreCountedByKindAndByWhatTheyName() {
        browser.desktop().signIn("bench").open("/assemblies/1").click("a[href='/assemblies/1/statistics']");
        browser.see("dl.figures", "Passed at the first test").see(".bars", "crossed");
        assertThat(browser.texts(".halves section:last-child th")).contains("W4", "W7");
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void anAddressOfBeforeLeadsToThePageAsItIsCalledNow() {
        browser.desktop().signIn("bench").open("/wirings/1/revisions").waitForPath("/assemblies/1/revisions");
        browser.open("/bundle?cores=3").waitForPath("/identify-cores.*cores=3.*");
        browser.open("/runs/3/wrong").waitForPath("/runs/3/diagnosis");
    }

    @Test
    void theGuideIsHelpInTheApplication() {
        browser.desktop()
                .signIn("bench")
                .open("/help")
                .see(".contents", "Diagnosis, locate, repair")
                .see("#words", "trip");
        assertThat(browser.complaints()).isEmpty();
    }
}
