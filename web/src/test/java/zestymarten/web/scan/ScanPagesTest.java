package zestymarten.web.scan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import zestymarten.core.assembly.Subject;
import zestymarten.core.limit.InsulationRule;
import zestymarten.core.limit.WithstandRule;
import zestymarten.core.scan.ProgramText;
import zestymarten.core.scan.ScanProgram;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Moisture;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.RunOutcome;
import zestymarten.core.testrun.StepState;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;
import zestymarten.web.assembly.Assemblies;
import zestymarten.web.meter.StandIns;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Words;
import zestymarten.web.testrun.RunEntries;
import zestymarten.web.testrun.TestRuns;

/** A run on the scanning switch: its program, a zero for every point, what it finds. */
@ExtendWith(Workshop.class)
class ScanPagesTest {
    private static final String TWO_CORES = "wire,from,to,length_m,area_mm2\nW1,J1.1,J2.1,8,0.5\nW2,J1.2,J2.2,8,0.5\n";
    private static final String PREFIX = "action,contacts,quantity,low_ohm,high_ohm,test_v,dwell_s,state\n"
            + "close,A!1 B!3,,,,,,\nmeasure,,resistance,,312,,,\n";

    private final Site site;
    private final Browser browser;
    private long run;

    ScanPagesTest(Site site, Browser browser) {
        this.site = site;
        this.browser = browser;
    }

    @BeforeEach
    void begin() {
        long wiring = site.wiring(site.fresh("Two cores to scan"), TWO_CORES);
        run = site.run(wiring, "S-1");
        browser.desktop().signIn("bench");
    }

    @AfterEach
    void nothingWasRefusedByTheBrowser() {
        assertThat(browser.complaints()).isEmpty();
    }

    private TestRun test() {
        return site.bean(TestRuns.class).find(run).test();
    }

    @Test
    void everyPointIsZeroedThenTheUnitScannedAndTheRunIsDone() {
        browser.open("/runs/" + run).click("a[href$='/scan']").waitForPath("/runs/\\d+/scan");
        browser.see("main", "Every wire is measured end to end, every pair of nets against each other, nothing twice.");
        assertThat(browser.text(".head")).contains("5 measurements, 10 relays switched");
        assertThat(browser.texts(".stave .pin")).containsExactly("J1.1", "J1.2", "J2.1", "J2.2", "FRAME");
        browser.click("button[formaction$='/zeros']").see("main", "5 points zeroed: 0.2");
        browser.click("main form .do").see("main", "Nothing is left to do in the test.");
        assertThat(browser.text(".reads")).contains("J1.1 – J2.1", "more than 20 MΩ", "pass");
        assertThat(test().outcome()).isEqualTo(RunOutcome.PASS);
        assertThat(test().accessories()).isEqualTo(Subject.Sole.SCANNER);
        browser.click("main .row-fields .do").see(".sentence", "All measurements are done.");
    }

    @Test
    void aProgramChangedByHandIsCheckedAndRunAndOnlyWhatBelongsToTheRunIsKept() {
        browser.open("/runs/" + run + "/scan");
        browser.run(
                "document.querySelector('.scan details').open = true;"
                        + "document.querySelector('textarea').value = arguments[0];",
                PREFIX + "jump,,,,,,,\n");
        browser.click("button[formaction$='/check']")
                .see("main", "line 4: The action “jump” is not accepted; expected open, close, await or measure.");
        browser.complaints();
        browser.driver().navigate().back();
        browser.run(
                "document.querySelector('.scan details').open = true;"
                        + "document.querySelector('textarea').value = arguments[0];",
                PREFIX + "close,B!4,,,,,,\nmeasure,,resistance,,1,,,\n");
        browser.click("button[formaction$='/check']")
                .see(
                        ".problems",
                        "line 3 Maximum 312 Ω is set; a good unit may have 0.312 Ω. A factor of 1000 would fit");
        assertThat(browser.text("main"))
                .contains("Never measured against each other: W1 and W2", "Never measured end to end: W2.");
        browser.click("button[formaction$='/zeros']").see("main", "5 points zeroed");
        browser.click("main form .do").see(".reads", "not part of the test");
        assertThat(test().left(Stage.CONTINUITY)).isEqualTo(1);
    }

    @Test
    void aScannerThatIsNotThereIsToldAndTheRunGoesOnByHand() {
        browser.open("/runs/" + run + "/scan")
                .fill("input[name=address]", "127.0.0.1:9")
                .keys(Keys.ENTER)
                .see("main", "The meter at 127.0.0.1:9 is not there. Type what it shows; the test goes on by hand.");
        browser.complaints();
    }

    @Test
    void theProgramIsTakenAwayAsAFile() {
        browser.open("/runs/" + run + "/scan");
        String program = browser.attribute("a[href*='program.csv']", "href");
        assertThat(browser.run("return fetch('" + program + "').then((a) => a.text())")
                        .toString())
                .startsWith(
                        "action,contacts,quantity,low_ohm,high_ohm,max_a,test_v,hz,ramp_s,dwell_s,state\nclose,A!1 B!3");
    }

    @Test
    void aFaultyDemoUnitIsFoundByScanningAndNoVoltageComesOn() {
        TestRuns runs = site.bean(TestRuns.class);
        long cable = site.bean(Assemblies.class).page("Pendant", 0).get(0).id();
        TestOptions approach = new TestOptions(TestMethod.EACH_TO_REST, false, true, OptionalDouble.of(500));
        long faulty = runs.start(cable, "PC-04", TestRuns.USUAL, approach, "bench");
        ScanNulls zeros = site.bean(Scans.class).zeros(faulty, StandIns.SCANNER);
        Scans.Scan scan = site.bean(Scans.class)
                .scan(faulty, Optional.empty(), zeros, StandIns.SCANNER, 60, true, "bench", ScanWatch.NOBODY);
        assertThat(runs.find(faulty).test().findings())
                .singleElement()
                .satisfies(each -> assertThat(Words.say(each.finding().message()))
                        .isEqualTo("W4 and W7 are crossed: W4 goes to J2.7 and W7 goes to J2.4."));
        assertThat(runs.find(faulty).test().left(Stage.INSULATION)).isZero();
        assertThat(scan.reads()).noneMatch(each -> each.shown().contains("@"));
        runs.end(faulty, "bench");
    }

    @Test
    void aGoodUnitGoesUnderVoltageAfterContinuity() {
        TestRuns runs = site.bean(TestRuns.class);
        long cable = site.wiring(site.fresh("Two cores under voltage"), TWO_CORES);
        TestOptions approach = new TestOptions(TestMethod.EACH_TO_REST, false, true, OptionalDouble.of(500));
        long good = runs.start(cable, "V-9", TestRuns.USUAL, approach, "bench");
        Scans scans = site.bean(Scans.class);
        ScanNulls zeros = scans.zeros(good, StandIns.SCANNER);
        Scans.Scan before =
                scans.scan(good, Optional.empty(), zeros, StandIns.SCANNER, 60, false, "bench", ScanWatch.NOBODY);
        assertThat(before.stopped()).contains("put barriers up");
        assertThat(before.reads()).noneMatch(each -> each.shown().contains("@"));
        Scans.Scan first =
                scans.scan(good, Optional.empty(), zeros, StandIns.SCANNER, 60, true, "bench", ScanWatch.NOBODY);
        assertThat(first.stopped()).isEmpty();
        assertThat(first.reads().stream().map(ScanReading::shown)).contains(">2000000000@60");
        assertThat(runs.find(good).test().findings()).isEmpty();
    }

    @Test
    void aScanUnderVoltageGoesOnByItselfAndIsStoppedFromTheNextPage() throws Exception {
        try (PlainTester tester = new PlainTester()) {
            browser.open("/runs/" + run + "/scan").fill("input[name=address]", tester.address());
            browser.run(
                    "document.querySelector('.scan details').open = true;"
                            + "document.querySelector('textarea').value = arguments[0];",
                    "action,contacts,quantity,low_ohm,high_ohm,test_v,dwell_s,state\nclose,A!1 B!3,,,,,,\n"
                            + "measure,,resistance,,1,,,\nopen,B!3,,,,,,\nclose,B!2 B!5,,,,,,\n"
                            + "measure,,insulation,1000,,500,3000,\n");
            browser.click("input[name=barriers]").click("main form button:not([formaction])");
            browser.see("#scan-job", "1 measurement made so far; started by bench.");
            browser.open("/").open("/runs/" + run + "/scan").see("#scan-job", "under way");
            assertThatThrownBy(() -> site.bean(ScanJobs.class)
                            .start(run, Optional.empty(), ScanNulls.of(""), tester.address(), 60, true, "lead"))
                    .isInstanceOf(Refusal.class);
            browser.click("#scan-job button").see("#scan-job", "voltage off, then discharged");
            dischargedFourTimesAsLong();
            browser.see("#scan-job", "Stopped by bench");
            assertThat(browser.text("#scan-job .reads")).contains("0.25");
            assertThat(tester.heard())
                    .containsSubsequence("SOUR:VOLT 500.0;OUTP ON", "OUTP OFF", "MEAS:VOLT?", "ROUT:OPEN:ALL")
                    .doesNotContain("MEAS:INS?");
            browser.click("a[href*='next=yes']").see("main", "What this program does");
        }
    }

    /** As the voltage was on, which a busy machine draws out beyond what a page is waited for. */
    private void dischargedFourTimesAsLong() throws InterruptedException {
        for (int i = 0; i < 120 && !browser.text("#scan-job").contains("Stopped by bench"); i++) {
            Thread.sleep(1000);
        }
    }

    @Test
    void whateverGoesWrongUnderVoltageTheVoltageIsOffDischargedAndEveryRelayOpen() throws Exception {
        String program = PREFIX + "open,B!3,,,,,,\nclose,B!2 B!5,,,,,,\nmeasure,,insulation,1000,,500,3000,\n";
        ScanProgram live = ProgramText.read(program, new ArrayList<>()).orElseThrow();
        try (PlainTester tester = new PlainTester()) {
            ScanWatch breaks = reads -> {
                if (tester.heard().contains("SOUR:VOLT 500.0;OUTP ON")
                        && !tester.heard().contains("OUTP OFF")) {
                    throw new IllegalStateException("as a fault of the program would");
                }
                return Optional.empty();
            };
            assertThatThrownBy(() -> site.bean(Scans.class)
                            .scan(
                                    run,
                                    Optional.of(live),
                                    ScanNulls.of(""),
                                    tester.address(),
                                    60,
                                    true,
                                    "bench",
                                    breaks))
                    .isInstanceOf(IllegalStateException.class);
            assertThat(tester.heard())
                    .containsSubsequence("SOUR:VOLT 500.0;OUTP ON", "OUTP OFF", "MEAS:VOLT?", "ROUT:OPEN:ALL");
        }
    }

    @Test
    void anAssemblyHasAProgramBeforeAnyTestAndItGoesOntoTheScannerAsItIs() {
        TestRuns runs = site.bean(TestRuns.class);
        long cable = site.wiring(site.fresh("Two cores with withstand"), TWO_CORES);
        browser.open("/assemblies/" + cable).click("a[href$='/scan-program']");
        browser.see("main", "Every wire is measured end to end, every pair of nets against each other, nothing twice.");
        browser.click("select[name=withstand] option[value=dc]")
                .fill("input[name=volts]", "1000")
                .fill("input[name=dwell]", "abc")
                .click("main form .do")
                .see("[role=alert]", "“abc” is not accepted; expected a figure such as 60.");
        browser.fill("input[name=dwell]", "30")
                .click("select[name=order] option[value=insulation]")
                .click("main form .do")
                .see("main", "about 16 min");
        String program = fetched("a[href*='program.csv']");
        assertThat(program)
                .contains("measure,,insulation,100000000,,,500,,1,60,", "measure,,withstand,,,0.005,1000,,2,30,");
        assertThat(fetched("a[href$='points.csv']"))
                .isEqualTo("point,terminal\n1,J1.1\n2,J1.2\n3,J2.1\n4,J2.2\n5,FRAME\n");

        TestOptions approach = new TestOptions(TestMethod.EACH_TO_REST, false, true, OptionalDouble.of(500))
                .with(
                        InsulationRule.ofVolts(500),
                        Moisture.NONE,
                        Optional.of(
                                new WithstandRule(1000, OptionalDouble.empty(), OptionalDouble.empty(), 0.005, 30)));
        long unit = runs.start(cable, "HV-1", TestRuns.USUAL, approach, "bench");
        Scans scans = site.bean(Scans.class);
        ScanNulls zeros = scans.zeros(unit, StandIns.SCANNER);
        ScanProgram asFile = ProgramText.read(program, new ArrayList<>()).orElseThrow();
        Scans.Scan scan =
                scans.scan(unit, Optional.of(asFile), zeros, StandIns.SCANNER, 60, true, "bench", ScanWatch.NOBODY);
        assertThat(scan.stopped()).isEmpty();
        assertThat(scan.reads()).anyMatch(each -> each.shown().equals(">2000000000@60") && each.kept());
        assertThat(scan.reads())
                .as(
                        "a stand-in's time passes at once; by the clock it waits until a person has read that it is discharged")
                .anyMatch(each -> each.shown().endsWith("A@30") && each.within() && !each.kept());
        assertThat(runs.find(unit).test().steps(Stage.INSULATION).filter(TestStep.Measurement.class::isInstance))
                .as("each wire read once more before the voltage, too")
                .hasSize(4)
                .allMatch(runs.find(unit).test()::isDone);
        assertThat(entered(unit, ManualAction.DISCHARGED)).isEmpty();
        assertThat(runs.find(unit).test().findings()).isEmpty();
    }

    @Test
    void whatTheTesterReadAfterItsDischargeNeedsNobodyToReadItAgain() throws Exception {
        TestRuns runs = site.bean(TestRuns.class);
        long lead = site.wiring(site.fresh("One core"), "wire,from,to,max_ohm\nW1,J1.1,J2.1,0.5\n");
        TestOptions approach = new TestOptions(TestMethod.BOTH_ENDS, false, true, OptionalDouble.of(500))
                .with(
                        InsulationRule.ofVolts(500),
                        Moisture.NONE,
                        Optional.of(new WithstandRule(1000, OptionalDouble.empty(), OptionalDouble.empty(), 0.005, 1)));
        long test = runs.start(lead, "OC-1", TestRuns.USUAL, approach, "bench");
        for (String typed : List.of("b", "0.2", "0.4", "n", "", "0.4", ">2G", "0", "0.4")) {
            TestStep due = runs.find(test).test().current().orElseThrow();
            site.bean(RunEntries.class)
                    .enter(
                            test,
                            new RunEntries.SentEntry(UUID.randomUUID(), due, 1, typed, OptionalInt.empty()),
                            "bench");
        }
        String program = "action,contacts,quantity,low_ohm,high_ohm,max_a,test_v,hz,ramp_s,dwell_s,state\n"
                + "close,A!1 B!3,,,,,,,,,\nmeasure,,withstand,,,0.005,1000,,1,1,\n";
        ScanProgram live = ProgramText.read(program, new ArrayList<>()).orElseThrow();
        try (PlainTester tester = new PlainTester()) {
            Scans.Scan scan = site.bean(Scans.class)
                    .scan(
                            test,
                            Optional.of(live),
                            ScanNulls.of(""),
                            tester.address(),
                            1,
                            true,
                            "bench",
                            ScanWatch.NOBODY);
            assertThat(scan.reads()).anyMatch(each -> each.live() && each.kept());
        }
        assertThat(entered(test, ManualAction.DISCHARGED_LAST)).isEqualTo("0.2 V");
        TestRun after = runs.find(test).test();
        assertThat(after.state(new TestStep.ManualStep(ManualAction.DISCHARGED_LAST)))
                .isEqualTo(StepState.PASS);
    }

    private String entered(long test, ManualAction step) {
        TestRun run = site.bean(TestRuns.class).find(test).test();
        return run.entries().stream()
                .filter(each -> each.step().equals(new TestStep.ManualStep(step)))
                .map(each -> Words.say(run.words(each)))
                .collect(Collectors.joining(", "));
    }

    private String fetched(String link) {
        return browser.run("return fetch('" + browser.attribute(link, "href") + "').then((a) => a.text())")
                .toString();
    }
}
