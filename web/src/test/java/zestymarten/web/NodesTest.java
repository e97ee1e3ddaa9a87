package zestymarten.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.Queue;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.Entry;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.testrun.RunEntries;
import zestymarten.web.testrun.TestRuns;

/** Two processes of the application on one database: nothing that one of them has is missing at the other. */
@ExtendWith(Workshop.class)
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class NodesTest {
    private static final String WIRES = "wire,from,to,max_ohm\nW1,J1.1,J2.1,0.5\nW2,J1.2,J2.2,0.5\nW3,J1.3,J2.3,0.5\n";
    private static final int SENDERS = 4;
    private static final int READINGS = 30;

    private final Site site;
    private final Browser browser;
    private ConfigurableApplicationContext other;

    NodesTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
    }

    @BeforeAll
    void startAnother() {
        other = SpringApplication.run(
                MartenApplication.class,
                "--server.port=0",
                "--spring.datasource.url=" + Workshop.database(),
                "--spring.main.banner-mode=off");
    }

    @AfterAll
    void stopIt() {
        other.close();
    }

    private String otherUrl() {
        return "http://127.0.0.1:" + other.getEnvironment().getProperty("local.server.port");
    }

    private static boolean enters(RunEntries entries, long run, TestStep step, int attempt, UUID id, String typed) {
        return entries.enter(run, new RunEntries.SentEntry(id, step, attempt, typed, OptionalInt.empty()), "bench")
                instanceof RunEntries.EntryAnswer.EntryKept;
    }

    @Test
    void whoIsSignedInAtOneIsSignedInAtTheOtherAndGoesOnWithThePractice() {
        browser.desktop().signIn("lead").open("/practice").see("main h1", "Practice");
        browser.driver().get(otherUrl() + "/practice");
        browser.see("main h1", "Practice");
        browser.click("main form button").waitForPath("/practice/\\d+");
        String path = URI.create(browser.driver().getCurrentUrl()).getPath();
        browser.open(path);
        assertThat(browser.text("main")).isNotBlank();
        browser.complaints();
    }

    @Test
    void readingsThatComeInTurnsAreOneTestAtBoth() {
        TestRuns here = site.bean(TestRuns.class);
        TestRuns there = other.getBean(TestRuns.class);
        long run = site.run(site.wiring(site.fresh("Two nodes"), WIRES), "N-1");
        for (int i = 0; here.find(run).test().current().isPresent() && i < 40; i++) {
            TestRuns node = i % 2 == 0 ? here : there;
            TestRun test = node.find(run).test();
            TestStep step = test.current().orElseThrow();
            String typed = step.fold(
                    probes -> probes.question() == TestStep.LeadCheck.LeadQuestion.TONE ? "b" : "0.2",
                    measurement -> test.expectation(measurement).fold(joined -> "0.6", () -> "OL"),
                    manual -> "");
            RunEntries taking = i % 2 == 0 ? site.bean(RunEntries.class) : other.getBean(RunEntries.class);
            assertThat(enters(taking, run, step, test.nextAttempt(step), UUID.randomUUID(), typed))
                    .isTrue();
        }
        TestRun one = here.find(run).test();
        TestRun two = there.find(run).test();
        assertThat(two.entries()).isEqualTo(one.entries());
        assertThat(two.outcome()).isEqualTo(one.outcome());
        assertThat(two.left()).isZero();
    }

    @Test
    void whatAnEndingNodeHasAcknowledgedIsThereOnceAndTheOtherGoesOn() throws InterruptedException {
        ConfigurableApplicationContext third = SpringApplication.run(
                MartenApplication.class,
                "--server.port=0",
                "--spring.datasource.url=" + Workshop.database(),
                "--spring.main.banner-mode=off");
        TestRuns here = site.bean(TestRuns.class);
        RunEntries ending = third.getBean(RunEntries.class);
        long wiring = site.wiring(site.fresh("A node that ends"), WIRES);
        Queue<UUID> acknowledged = new ConcurrentLinkedQueue<>();
        List<Thread> senders = new ArrayList<>();
        List<Long> tests = new ArrayList<>();
        for (int sender = 0; sender < SENDERS; sender++) {
            long run = site.run(wiring, "N-E" + sender);
            tests.add(run);
            senders.add(new Thread(() -> send(here, site.bean(RunEntries.class), ending, run, acknowledged)));
        }
        senders.forEach(Thread::start);
        Thread.sleep(300); // while they are at it
        third.close();
        for (Thread each : senders) {
            each.join();
        }
        List<UUID> saved = tests.stream()
                .flatMap(run -> here.find(run).test().entries().stream())
                .map(Entry::id)
                .toList();
        assertThat(saved).doesNotHaveDuplicates().containsAll(acknowledged);
        assertThat(acknowledged).as("each reading was taken by one of them").hasSize(SENDERS * READINGS);
    }

    /** The same step again and again, at the node that ends as long as it answers, else at the other. */
    private static void send(TestRuns here, RunEntries staying, RunEntries ending, long run, Queue<UUID> acknowledged) {
        TestStep step = here.find(run).test().steps().findFirst().orElseThrow();
        for (int i = 0; i < READINGS; i++) {
            UUID id = UUID.randomUUID();
            int attempt = here.find(run).test().nextAttempt(step);
            boolean kept;
            try {
                kept = enters(ending, run, step, attempt, id, "b");
            } catch (RuntimeException gone) {
                kept = enters(staying, run, step, attempt, id, "b"); // the same entry: what was saved already stays one
            }
            if (kept) {
                acknowledged.add(id);
            }
        }
    }
}
