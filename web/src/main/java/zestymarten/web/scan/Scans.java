package zestymarten.web.scan;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.UUID;
import org.springframework.stereotype.Service;
import zestymarten.core.analysis.LinkedFarEnds;
import zestymarten.core.assembly.Subject;
import zestymarten.core.quantity.Message;
import zestymarten.core.scan.Points;
import zestymarten.core.scan.ScanAction;
import zestymarten.core.scan.ScanProgram;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.Entry;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.meter.InstrumentReading;
import zestymarten.web.meter.Instruments;
import zestymarten.web.meter.Talk;
import zestymarten.web.platform.Refusal;
import zestymarten.web.testrun.RunEntries;
import zestymarten.web.testrun.RunSnapshot;
import zestymarten.web.testrun.TestRuns;

/** Carries a program out on a scanning switch, and enters what it reads in the run. */
@Service
class Scans {
    /** Passes until nothing is left that a scanner can do: what reads open is read again, a path is followed. */
    private static final int MAX_PASSES = 6;

    private static final int FIGURES = 5;
    private static final int FEWEST_POINTS = 3;

    static final TestStep BARRIERS = new TestStep.ManualStep(ManualAction.BARRIERS);
    private static final Subject SET = Subject.Sole.SCANNER;

    private final TestRuns runs;
    private final RunEntries entries;
    private final Instruments instruments;

    Scans(TestRuns runs, RunEntries entries, Instruments instruments) {
        this.runs = runs;
        this.entries = entries;
        this.instruments = instruments;
    }

    /**
     * What came of a scan.
     *
     * @param stopped why it ended before the end; empty where it did not
     */
    record Scan(List<ScanReading> reads, String stopped) {}

    /** Reads the path of every point, with the plug on that joins all points. */
    ScanNulls zeros(long runId, String address) {
        Points points = Points.of(runs.find(runId).test().design().assembly());
        int count = points.terminals().size();
        if (count < FEWEST_POINTS) {
            throw new Refusal("", Message.of("scans.zero_each_point_takes", count));
        }
        try (Talk talk = opened(address, runId, points)) {
            talk.hands(List.of("SIM:PLUG ON"));
            List<LinkedFarEnds.LinkedReading> reads = new ArrayList<>();
            for (int point = 2; point <= count; point++) {
                reads.add(pair(talk, 1, point));
            }
            reads.add(pair(talk, 2, 3));
            LinkedFarEnds paths = LinkedFarEnds.of(count, reads);
            List<Double> ohms = new ArrayList<>();
            for (int i = 0; i < count; i++) {
                ohms.add(paths.ohm(i).orElseThrow(() -> new Refusal("", Message.of("scans.not_every_point_reads"))));
            }
            double again = pair(talk, 1, 2).ohm().orElse(0);
            talk.hands(List.of("SIM:PLUG OFF"));
            return new ScanNulls(Math.abs(again - ohms.get(0) - ohms.get(1)), ohms);
        }
    }

    private static LinkedFarEnds.LinkedReading pair(Talk talk, int first, int second) {
        talk.command("ROUT:OPEN:ALL;ROUT:CLOS (@A!" + first + ",B!" + second + ")");
        double ohm = talk.figure("MEAS:RES?");
        boolean through = ohm < InstrumentReading.OVER_RANGE;
        return new LinkedFarEnds.LinkedReading(
                first - 1, second - 1, through, through ? OptionalDouble.of(ohm) : OptionalDouble.empty());
    }

    Talk opened(String address, long runId, Points points) {
        Talk talk = instruments.open(address);
        List<String> wired = new ArrayList<>();
        for (int i = 0; i < points.terminals().size(); i++) {
            wired.add((i + 1) + " " + points.terminals().get(i));
        }
        talk.command("*RST");
        talk.hands(List.of("SIM:UNIT \"" + runId + "\"", "SIM:MAP \"" + String.join(";", wired) + "\""));
        return talk;
    }

    /**
     * Carries out a program, or all that a scanner can do in the run, pass by pass.
     *
     * @param imported the program of a file; empty for that of the run
     * @param secured whether it is said that electronics are out, barriers up and a second person informed: before that
     *     no voltage is switched on
     * @param watch hears how far it is, and may end it
     * @throws Refusal if nothing may be measured yet, the scanner does not answer or the watch ends it; what was read before
     *     is saved
     */
    Scan scan(
            long runId,
            Optional<ScanProgram> imported,
            ScanNulls zeros,
            String address,
            double dwellS,
            boolean secured,
            String by,
            ScanWatch watch) {
        mustBeAllowed(runId);
        takeZero(runId, zeros, by);
        List<ScanReading> reads = new ArrayList<>();
        String stopped = "";
        boolean wasLive = false;
        for (int pass = 0; pass < MAX_PASSES && stopped.isEmpty(); pass++) {
            TestRun test = runs.find(runId).test();
            ScanProgram program = imported.orElseGet(() -> ScanProgram.of(test, dwellS));
            if (program.actions().isEmpty() || wasLive || (imported.isPresent() && pass > 0)) {
                break; // a higher voltage than was just on waits until somebody starts it
            }
            wasLive = isLive(program);
            stopped = new ScanPass(this, test, runId, zeros, program, secured, by, watch, reads).on(address);
        }
        return new Scan(reads, stopped);
    }

    static boolean isLive(ScanProgram program) {
        return program.actions().stream()
                .anyMatch(each -> each instanceof ScanAction.MeasureContacts measure
                        && measure.voltage().isPresent());
    }

    /** Whether somebody has said in a test that test voltage may come on. */
    static boolean isSecured(TestRun test) {
        return test.entries().stream()
                .anyMatch(each ->
                        each.stands() && each.step().equals(BARRIERS) && each.content() instanceof Entry.Content.Done);
    }

    /** Before that nothing is measured. */
    void mustBeAllowed(long runId) {
        RunSnapshot run = runs.find(runId);
        if (!run.isUnderWay()) {
            throw new Refusal("", Message.of("scans.this_test_was_ended"));
        }
        boolean ready =
                run.test().steps(Stage.PREPARE).allMatch(step -> run.test().isDone(step));
        if (!ready) {
            throw new Refusal("", Message.of("scans.not_proved_dead_yet"));
        }
    }

    /** Another set of leads than the technician's own, whose zero is what is left after every point's own is taken off. */
    private void takeZero(long runId, ScanNulls zeros, String by) {
        TestRun test = runs.find(runId).test();
        if (!zeros.areRead() || test.accessories().equals(SET)) {
            return;
        }
        test = enter(runId, test, new TestStep.ManualStep(ManualAction.ACCESSORIES, SET), "", by);
        test = enter(runId, test, new TestStep.LeadCheck(TestStep.LeadCheck.LeadQuestion.TONE), "b", by);
        enter(runId, test, new TestStep.LeadCheck(TestStep.LeadCheck.LeadQuestion.OHMS), figure(zeros.residual()), by);
    }

    /** Enters what was read; the job as it is then. */
    TestRun enter(long runId, TestRun test, TestStep step, String typed, String by) {
        RunEntries.EntryAnswer answer = entries.enter(
                runId,
                new RunEntries.SentEntry(UUID.randomUUID(), step, test.nextAttempt(step), typed, OptionalInt.empty()),
                by);
        return answer instanceof RunEntries.EntryAnswer.EntryKept kept
                ? kept.run().test()
                : test;
    }

    static String figure(double ohm) {
        return new BigDecimal(ohm, new MathContext(FIGURES, RoundingMode.HALF_UP))
                .setScale(
                        Math.max(2, FIGURES - 1 - (int) Math.floor(Math.log10(Math.max(1, ohm)))), RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
    }
}
