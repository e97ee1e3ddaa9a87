package zestymarten.web.helper;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.List;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import zestymarten.core.testplan.TestStep;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;
import zestymarten.web.testrun.RunEntries;
import zestymarten.web.testrun.RunSnapshot;
import zestymarten.web.testrun.TestRuns;

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

    private static final Duration SOON = Duration.ofSeconds(30);

    private void entered(long run, String typed) {
        TestRuns runs = site.bean(TestRuns.class);
        TestStep due = runs.find(run).test().current().orElseThrow();
        site.bean(RunEntries.class)
                .enter(run, new RunEntries.SentEntry(UUID.randomUUID(), due, 1, typed, OptionalInt.empty()), "bench");
    }

    @Test
    void whatHappensAtTheBenchIsSaidToTheFarEndUntilTheLinkIsRevoked() {
        long run = Long.parseLong(run().replace("/runs/", ""));
        HelperLinks links = site.bean(HelperLinks.class);
        RunSnapshot test = site.bean(TestRuns.class).find(run);
        String link = "/h/" + links.make(test, "bench");
        site.bean(Presence.class).here(run, "lead", "J1.1 – J2.B");
        HttpResponse<Stream<String>> events =
                site.send(site.request(link + "/events"), HttpResponse.BodyHandlers.ofLines());
        assertThat(events.headers().firstValue("Content-Type").orElse("")).startsWith("text/event-stream");
        CompletableFuture<List<String>> heard = CompletableFuture.supplyAsync(() ->
                events.body().filter(line -> line.startsWith("event:")).limit(2).toList());
        site.bean(FollowedTests.class).poll(); // how it stands before anything happens
        site.bean(Presence.class).here(run, "lead", "J1.2 – J2.D");
        entered(run, "b");
        assertThat(heard.orTimeout(SOON.toSeconds(), TimeUnit.SECONDS).join())
                .containsExactlyInAnyOrder("event:test", "event:people");
        links.revoke(test, links.of(run).get(0).id());
        assertThat(guest(link + "/events")).isEqualTo(410);
    }

    @Test
    void whereTheServerSaysNothingThePageAsksByItself() {
        long run = Long.parseLong(run().replace("/runs/", ""));
        String link = "/h/"
                + site.bean(HelperLinks.class).make(site.bean(TestRuns.class).find(run), "bench");
        FollowedTests followed = site.bean(FollowedTests.class);
        followed.stop();
        try {
            assertThat(guest(link + "/events")).isEqualTo(503);
            browser.leave().phone().open(link).see(".helper .sentence", "The meter is being checked");
            entered(run, "b");
            entered(run, "0.2");
            browser.see(".helper .far-pins", "J2.B");
        } finally {
            followed.start();
        }
        browser.open(link).see(".helper .far-pins", "J2.B");
        entered(run, "0.3");
        browser.see(".helper .far-pins", "J2.D");
    }

    /** The bench at one browser, the far end at another, whose network goes and comes back. */
    @Test
    void benchAndFarEndWorkAtTheSameTimeAndOneOfThemIsWithoutNetworkForAWhile() {
        String run = run();
        String link = "/h/"
                + site.bean(HelperLinks.class)
                        .make(site.bean(TestRuns.class).find(Long.parseLong(run.replace("/runs/", ""))), "bench");
        try (Site.Ladder ladder = site.ladder()) {
            Browser phone = ladder.browser().phone();
            phone.open(link).see(".helper .sentence", "The meter is being checked");
            browser.desktop().signIn("bench").open(run).keys("b").see(".sentence", "Still together");
            browser.keys("0.2", Keys.ENTER).see(".sentence", "Black on J1.1, red on J2.B.");
            phone.see(".helper .far-pins", "J2.B");
            phone.click("#hold").see(".helper .why", "The bench knows that you hold it.");
            browser.see(".with", "helper at the far end holds J2.B");
            ladder.line().cut();
            browser.keys("0.3", Keys.ENTER).see(".sentence", "Black on J1.2, red on J2.D.");
            assertThat(phone.text(".helper .far-pins"))
                    .as("what it showed last")
                    .isEqualTo("J2.B");
            ladder.line().repair();
            phone.see(".helper .far-pins", "J2.D");
        }
    }
}
