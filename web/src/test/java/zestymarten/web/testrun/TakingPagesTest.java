package zestymarten.web.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.limit.InsulationRule;
import zestymarten.core.limit.WithstandRule;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.testplan.Moisture;
import zestymarten.core.testplan.Order;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.Entry;
import zestymarten.core.testrun.RunFinding;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;
import zestymarten.web.assembly.Assemblies;
import zestymarten.web.meter.Meters;
import zestymarten.web.platform.Words;

/** Readings taken from the meter with one key, and what happens when it is gone, slow or talks nonsense. */
@ExtendWith(Workshop.class)
class TakingPagesTest {
    private static final String TWO_CORES = "wire,from,to,length_m,area_mm2\nW1,J1.1,J2.1,8,0.5\nW2,J1.2,J2.2,8,0.5\n";

    private final Site site;
    private final Browser browser;
    private final Hands hands;
    private long wiring;

    TakingPagesTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
        hands = new Hands(browser);
    }

    @BeforeEach
    void signIn() {
        wiring = site.wiring(site.fresh("Two cores to take"), TWO_CORES);
        browser.desktop().signIn("bench");
    }

    @AfterEach
    void nothingWasRefusedByTheBrowser() {
        assertThat(browser.complaints()).isEmpty();
    }

    private void meterAt(String name, String address) {
        browser.open("/meters/new")
                .fill("input[name=name]", name)
                .fill("input[name=address]", address)
                .click("main form .do");
    }

    private void begin(String serial, String meter) {
        hands.begin(
                wiring, serial, "input[name=quick]", "select[name=kept_meter] option[value='" + number(meter) + "']");
    }

    private long number(String meter) {
        return site.bean(Meters.class).all().stream()
                .filter(each -> each.name().equals(meter))
                .findFirst()
                .orElseThrow()
                .id();
    }

    @Test
    void aGoodCableIsRungOutWithOneKey() {
        begin("T-1", "bench meter 2");
        hands.press("m").press("m");
        assertThat(browser.text(".strip")).containsPattern("leads 0\\.(29|3|31) Ω");
        hands.press("m").press("m").press("m").press("m").press("m");
        browser.see(".sentence", "All measurements are done.");
        assertThat(browser.texts(".side .found li")).isEmpty();
        assertThat(browser.text(".strip .left")).startsWith("0 measurements left");
    }

    @Test
    void whatTheMeterShowsCanBeFollowedAndIsKeptByEnter() {
        begin("T-2", "bench meter 2");
        hands.press("m").press("m");
        browser.keys("l").see("#understood", "pass");
        hands.press(org.openqa.selenium.Keys.ENTER);
        browser.see(".sentence", "Black on J1.2, red on J2.2.")
                .see("#understood", "pass")
                .keys("l");
        browser.find("#live[aria-pressed=false]");
    }

    @Test
    void aMeterThatIsNotThereSaysSoAndTheRunGoesOnByHand() throws IOException {
        String name = site.fresh("gone meter");
        int port;
        try (ServerSocket free = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            port = free.getLocalPort();
        }
        meterAt(name, "127.0.0.1:" + port);
        browser.waitForPath("/meters");
        begin("T-3", name);
        browser.keys("m")
                .see(
                        "#say",
                        "The meter at 127.0.0.1:" + port
                                + " is not there. Type what it shows; the test goes on by hand.");
        hands.press("b").type("0.30");
        browser.see(".sentence", "Black on J1.1, red on J2.1.");
    }

    @Test
    void aMeterThatTalksNonsenseOrNothingSaysSo() throws IOException {
        try (ServerSocket meter = new ServerSocket(0, 4, InetAddress.getLoopbackAddress())) {
            Thread talking = new Thread(() -> talkNonsenseThenNothing(meter));
            talking.setDaemon(true);
            talking.start();
            String name = site.fresh("mad meter");
            String address = "127.0.0.1:" + meter.getLocalPort();
            meterAt(name, address);
            browser.waitForPath("/meters");
            begin("T-4", name);
            browser.keys("m").see("#say", "The meter at " + address + " said “perhaps”; expected a figure.");
            browser.keys("m").see("#say", "The meter at " + address + " did not answer within 3 s.");
            hands.press("b");
        }
    }

    private static void talkNonsenseThenNothing(ServerSocket meter) {
        try (Socket first = meter.accept()) {
            first.getOutputStream().write("perhaps\n".getBytes(java.nio.charset.StandardCharsets.US_ASCII));
            try (Socket second = meter.accept()) {
                second.getInputStream().transferTo(java.io.OutputStream.nullOutputStream());
            }
        } catch (IOException e) {
            // the test is over
        }
    }

    @Test
    void aMeterIsOnlyLookedForOnAllowedHosts() {
        meterAt(site.fresh("far meter"), "169.254.0.1:80");
        browser.see(
                "#say",
                "“169.254.0.1:80” is not accepted; expected host:port with one of the hosts 127.0.0.1, localhost");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Pendant|PC-04|W4 and W7 are crossed: W4 goes to J2.7 and W7 goes to J2.4.",
                "Pendant|PC-09|W4 is open between J1.4 and J2.4.",
                "Driver|DH-22|W6 has a high resistance",
                "Shore|SL-03|Short circuit between",
                "Pendant|PC-01|",
                "Track|TC-3|T4 is shorted to the frame",
                "Points|PH-5|",
                "hut|HP-A|",
                "Collector|CT-6|stud has a high resistance: 0.2",
                "lamp|SL-L2|",
                "Compressor|CM-1|LR has a wrong value"
            })
    void everyDemoUnitTakenFromTheMeterHasExactlyItsFault(String design, String serial, String finding) {
        TestRuns runs = site.bean(TestRuns.class);
        Taking taking = site.bean(Taking.class);
        long assembly = site.bean(Assemblies.class).page(design, 0).get(0).id();
        TestConditions conditions = new TestConditions(
                20,
                site.bean(Meters.class).find(number("bench meter 2")).meter(),
                java.util.OptionalDouble.empty(),
                LeadPolicy.FULL,
                false,
                TestConditions.JOINED_BELOW_OHM);
        runs.underWay(500).stream()
                .filter(each -> each.serial().equals(serial))
                .forEach(each -> runs.end(each.id(), "bench"));
        long run = runs.start(assembly, serial, conditions, TestOptions.QUICK, "bench");
        for (int i = 0; i < 400 && runs.find(run).test().current().isPresent(); i++) {
            TestStep step = runs.find(run).test().current().orElseThrow();
            String shown = step instanceof TestStep.ManualStep ? "" : taking.taken(run, step);
            int attempt = runs.find(run).test().nextAttempt(step);
            site.bean(RunEntries.class)
                    .enter(
                            run,
                            new RunEntries.SentEntry(UUID.randomUUID(), step, attempt, shown, OptionalInt.of(0)),
                            "bench");
        }
        List<RunFinding> found = runs.find(run).test().findings();
        runs.end(run, "bench");
        assertThat(runs.find(run).test().left()).isZero();
        if (finding == null) {
            assertThat(found).isEmpty();
        } else {
            assertThat(found)
                    .singleElement()
                    .satisfies(each ->
                            assertThat(Words.say(each.finding().message())).contains(finding));
        }
    }

    @Test
    void underVoltageTheInsulationTesterIsRead() {
        TestRuns runs = site.bean(TestRuns.class);
        TestOptions approach = new TestOptions(
                TestMethod.BOTH_ENDS,
                false,
                true,
                Optional.of(InsulationRule.ofVolts(500)),
                Moisture.NONE,
                Optional.of(new WithstandRule(1500, OptionalDouble.of(50), OptionalDouble.of(120e-12), 0.001, 60)),
                Order.USUAL);
        long run = runs.start(wiring, site.fresh("U"), TestRuns.USUAL, approach, "bench");
        for (int i = 0; i < 100 && runs.find(run).test().current().isPresent(); i++) {
            TestStep step = runs.find(run).test().current().orElseThrow();
            int attempt = runs.find(run).test().nextAttempt(step);
            if (step instanceof TestStep.ManualStep manual && manual.action().isDischarge()) {
                site.bean(RunEntries.class)
                        .skip(
                                run,
                                new RunEntries.SentEntry(
                                        UUID.randomUUID(),
                                        step,
                                        attempt,
                                        "would take four minutes",
                                        OptionalInt.empty()),
                                "bench");
                continue;
            }
            String typed = step.fold(
                    probes -> probes.question() == TestStep.LeadCheck.LeadQuestion.TONE ? "b" : "0.30",
                    each -> each.isUnderVoltage()
                            ? site.bean(Taking.class).taken(run, each)
                            : each.isOn(Terminal.of("J2.1")) || each.isOn(Terminal.of("J2.2")) ? "0.58" : "n",
                    manual -> manual.action().isByWords() ? "" : "0");
            site.bean(RunEntries.class)
                    .enter(
                            run,
                            new RunEntries.SentEntry(UUID.randomUUID(), step, attempt, typed, OptionalInt.of(0)),
                            "bench");
        }
        assertThat(runs.find(run).test().findings()).isEmpty();
        assertThat(runs.find(run).test().entries().stream()
                        .filter(each -> each.content() instanceof Entry.Content.Reading)
                        .map(each -> ((Entry.Content.Reading) each.content()).asTyped()))
                .contains(">2000000000@60")
                .anyMatch(each -> each.matches("0\\.0004[0-9]+A@60"));
        runs.end(run, "bench");
    }
}
