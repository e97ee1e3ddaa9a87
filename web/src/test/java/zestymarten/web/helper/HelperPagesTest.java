package zestymarten.web.helper;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/** Two people on one test: each sees the other, and the far end needs no account. */
@ExtendWith(Workshop.class)
class HelperPagesTest {
    private final Site site;
    private final Browser browser;

    HelperPagesTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
    }

    @AfterEach
    void nothingWasRefusedByTheBrowser() {
        assertThat(browser.complaints()).isEmpty();
    }

    private String run() {
        long wiring = site.wiring(site.fresh("Far"), "wire,from,to\nW1,J1.1,J2.B\nW2,J1.2,J2.D\n");
        return "/runs/" + site.run(wiring, "F-1");
    }

    private int guest(String path) {
        HttpResponse<String> answer = site.send(site.request(path).GET());
        return answer.statusCode();
    }

    @Test
    void aHelperNeedsNoAccountAndTheLinkIsGoodForOneTestUntilItIsRevoked() {
        String run = run();
        browser.desktop().signIn("bench").open(run + "/helper").click(".helper [action$='/links'] .button");
        browser.see(".helper-link", "Scan it with the helper's phone");
        String link = browser.attribute(".helper-link a", "href").replaceAll("^https?://[^/]+", "");
        assertThat(link).matches("/h/[A-Za-z0-9_-]{43}");
        assertThat(browser.has(".helper-link svg.qr path")).isTrue();

        browser.open(run)
                .keys("b")
                .see(".sentence", "Still together")
                .keys("0.2", Keys.ENTER)
                .see(".sentence", "Black on J1.1, red on J2.B.");
        browser.leave().phone().open(link).see(".helper .far-pins", "J2.B");
        assertThat(browser.has("nav[aria-label=Main] a"))
                .as("nothing else is to be seen")
                .isFalse();
        assertThat(browser.attribute("#far-end [data-say]", "data-say"))
                .isEqualTo("Hold the probe on: J, Juliett two, pin B, Bravo.");
        browser.click("#hold").see(".helper .why", "The bench knows that you hold it.");
        assertThat(guest(run)).as("the test itself").isEqualTo(302);
        assertThat(guest("/h/" + "x".repeat(43))).isEqualTo(410);

        browser.desktop().signIn("bench").open(run).see(".with", "helper at the far end holds J2.B");
        browser.open(run + "/helper")
                .click(".helper [action$='/revoke'] button")
                .gone(".helper [action$='/revoke']");
        assertThat(guest(link)).isEqualTo(410);
        assertThat(guest(link + "/now")).isEqualTo(410);
    }

    @Test
    void twoPeopleOnOneTestSeeEachOtherAndWhoHasTheSameStep() {
        String run = run();
        browser.desktop()
                .signIn("lead")
                .open(run)
                .keys("b")
                .see(".sentence", "Still together")
                .keys("0.2", Keys.ENTER)
                .see(".sentence", "Black on J1.1");
        browser.run("return fetch('" + run + "/with?black=J1.1&red=J2.B').then((answer) => answer.text())");
        browser.signIn("bench").open(run).see(".with", "lead J1.1 – J2.B has the same step");
    }
}
