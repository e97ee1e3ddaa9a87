package zestymarten.web.scan;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import zestymarten.core.analysis.LinkedFarEnds;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.judgement.Quantity;
import zestymarten.core.quantity.Message;
import zestymarten.core.scan.Points;
import zestymarten.core.scan.ScanAction;
import zestymarten.core.scan.ScanContact;
import zestymarten.core.scan.ScanProgram;
import zestymarten.core.scan.ScanVoltage;
import zestymarten.core.scan.Taken;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.Entry;
import zestymarten.core.testrun.StepState;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.meter.InstrumentReading;
import zestymarten.web.meter.Instruments;
import zestymarten.web.meter.Talk;
import zestymarten.web.platform.Refused;
import zestymarten.web.platform.Words;
import zestymarten.web.testrun.RunSnapshot;
import zestymarten.web.testrun.TestRuns;

/** Carries a program out on a scanning switch, and enters what it reads in the run. */
@Service
class Scans {
    /** Passes until nothing is left that a scanner can do: what reads open is read again, a way through is followed. */
    private static final int MOST_PASSES = 6;

    private static final int FIGURES = 5;
    private static final int FEWEST_POINTS = 3;
    private static final String ALL_OPEN = "ROUT:OPEN:ALL";
    private static final long SECOND_MS = 1000;
    private static final double NANOS = 1e9;
    /** Less is no danger; the same as where a person reads it. */
    private static final double DEAD_UP_TO_V = 1;

    private static final TestStep BARRIERS = new TestStep.ManualStep(ManualAction.BARRIERS);
    private static final String SET = "scanner, every point zeroed";

    private final TestRuns runs;
    private final Instruments instruments;

    Scans(TestRuns runs, Instruments instruments) {
        this.runs = runs;
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
            throw new Refused("", Message.of("scans.zero_each_point_takes", count));
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
                ohms.add(paths.ohm(i).orElseThrow(() -> new Refused("", Message.of("scans.not_every_point_reads"))));
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

    private Talk opened(String address, long runId, Points points) {
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
     * @throws Refused if nothing may be measured yet, the scanner does not answer or the watch ends it; what was read before
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
        for (int pass = 0; pass < MOST_PASSES && stopped.isEmpty(); pass++) {
            TestRun test = runs.find(runId).test();
            ScanProgram program = imported.orElseGet(() -> ScanProgram.of(test, dwellS));
            if (program.actions().isEmpty() || wasLive || (imported.isPresent() && pass > 0)) {
                break; // a higher voltage than was just on waits until somebody starts it
            }
            wasLive = isLive(program);
            stopped = new Pass(runId, zeros, program, secured, by, watch, reads).on(address);
        }
        return new Scan(reads, stopped);
    }

    private static boolean isLive(ScanProgram program) {
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
            throw new Refused("", Message.of("scans.this_test_was_ended"));
        }
        boolean ready =
                run.test().steps(Stage.PREPARE).allMatch(step -> run.test().isDone(step));
        if (!ready) {
            throw new Refused("", Message.of("scans.not_proved_dead_yet"));
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
    private TestRun enter(long runId, TestRun test, TestStep step, String typed, String by) {
        TestRuns.EntryAnswer answer = runs.enter(
                runId,
                new TestRuns.Sent(UUID.randomUUID(), step, test.nextTouch(step), typed, OptionalInt.empty()),
                by);
        return answer instanceof TestRuns.EntryAnswer.EntryKept kept
                ? kept.run().test()
                : test;
    }

    private static String figure(double ohm) {
        return new BigDecimal(ohm, new MathContext(FIGURES, RoundingMode.HALF_UP))
                .setScale(
                        Math.max(2, FIGURES - 1 - (int) Math.floor(Math.log10(Math.max(1, ohm)))), RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
    }

    /** One program carried out once. */
    private final class Pass {
        private final long runId;
        private final ScanNulls zeros;
        private final ScanProgram program;
        private final boolean secured;
        private final String by;
        private final ScanWatch watch;
        private final List<ScanReading> reads;
        private final Points points;
        private final Map<String, TestStep.Measurement> steps = new HashMap<>();
        private final Map<Stage, Map<String, TestStep.Measurement>> proofs = new EnumMap<>(Stage.class);
        private TestRun test;
        private boolean continuous = true;

        Pass(
                long runId,
                ScanNulls zeros,
                ScanProgram program,
                boolean secured,
                String by,
                ScanWatch watch,
                List<ScanReading> reads) {
            this.runId = runId;
            this.zeros = zeros;
            this.program = program;
            this.secured = secured;
            this.by = by;
            this.watch = watch;
            this.reads = reads;
            test = runs.find(runId).test();
            points = Points.of(test.design().assembly());
            ScanProgram.touches(test)
                    .filter(each -> !each.isUnderVoltage())
                    .forEach(each -> steps.putIfAbsent(key(each), each));
        }

        private static String key(TestStep.Measurement touch) {
            return key(Set.copyOf(touch.side(touch.black())), Set.copyOf(touch.side(touch.red())), touch.state());
        }

        private static String key(Set<Terminal> a, Set<Terminal> b, String state) {
            String one = names(a);
            String other = names(b);
            String both = one.compareTo(other) <= 0 ? one + "|" + other : other + "|" + one;
            return both + "|" + state;
        }

        /** The step of the test that a measurement makes; empty where the test has none, or has it at another voltage. */
        private Optional<TestStep.Measurement> step(Taken now) {
            String key = key(now.a(), now.b(), now.state());
            return now.measure().voltage().isEmpty()
                    ? Optional.ofNullable(steps.get(key))
                            .map(each -> test.isDone(each) ? proof(key).orElse(each) : each)
                    : ScanProgram.touches(test) // those under voltage come once continuity has passed
                            .filter(each -> each.isUnderVoltage()
                                    && key(each).equals(key)
                                    && isAtItsVoltage(each.stage(), now.measure()))
                            .findFirst();
        }

        /** What is read once more before the voltage comes on; those steps are there once continuity has passed. */
        private Optional<TestStep.Measurement> proof(String key) {
            return Stream.of(Stage.INSULATION, Stage.WITHSTAND)
                    .filter(stage -> isLive(program))
                    .flatMap(stage -> Stream.ofNullable(proofs.computeIfAbsent(stage, this::proofs)))
                    .flatMap(each -> Stream.ofNullable(each.get(key)))
                    .filter(each -> !test.isDone(each))
                    .findFirst();
        }

        private @Nullable Map<String, TestStep.Measurement> proofs(Stage stage) {
            Map<String, TestStep.Measurement> found = new HashMap<>();
            test.steps(stage)
                    .flatMap(each -> each instanceof TestStep.Measurement touch ? Stream.of(touch) : Stream.empty())
                    .filter(each -> !each.isUnderVoltage())
                    .forEach(each -> found.put(key(each), each));
            return found.isEmpty() ? null : found;
        }

        private boolean isAtItsVoltage(Stage stage, ScanAction.MeasureContacts measure) {
            ScanVoltage voltage = measure.voltage().orElseThrow();
            return stage == Stage.WITHSTAND
                    ? measure.quantity() == Quantity.LEAKAGE
                            && test.approach()
                                    .withstand()
                                    .filter(rule -> rule.volts() == voltage.volts()
                                            && rule.hertz().orElse(0) == voltage.hertz())
                                    .isPresent()
                    : measure.quantity() == Quantity.INSULATION
                            && test.approach()
                                    .insulation()
                                    .filter(rule -> rule.testV() == voltage.volts())
                                    .isPresent();
        }

        private static String names(Set<Terminal> side) {
            return side.stream().map(Terminal::name).sorted().collect(Collectors.joining(" "));
        }

        /** Why it stopped before its end; empty where it did not. */
        String on(String address) {
            Iterator<Taken> taken = program.taken(points).iterator();
            try (Talk talk = opened(address, runId, points)) {
                for (ScanAction action : program.actions()) {
                    if (action instanceof ScanAction.Await await && !talk.isStandIn()) {
                        return Words.say("pass.set_switches_relays_then", await.state());
                    }
                    if (action instanceof ScanAction.MeasureContacts measure) {
                        Taken now = taken.next();
                        if (measure.voltage().isPresent() && !continuous) {
                            return Words.say("pass.something_has_not_passed");
                        }
                        if (measure.voltage().isPresent() && !mayBeLive()) {
                            return Words.say("pass.barriers_first");
                        }
                        reads.add(measured(talk, address, measure, now));
                        mustGoOn(talk);
                    } else {
                        prepare(talk, action);
                    }
                }
                talk.command(ALL_OPEN);
            }
            return "";
        }

        /** What was said on the page stands in the test, where it is a step of it. */
        private boolean mayBeLive() {
            boolean due = test.steps(Stage.INSULATION).anyMatch(each -> each.equals(BARRIERS) && !test.isDone(each));
            if (secured && due) {
                test = enter(runId, test, BARRIERS, "", by);
            }
            return secured || isSecured(test);
        }

        private void prepare(Talk talk, ScanAction action) {
            action.fold(
                    close -> command(talk, "ROUT:CLOS (@" + channels(close.contacts()) + ")"),
                    open -> command(talk, "ROUT:OPEN (@" + channels(open.contacts()) + ")"),
                    await -> {
                        talk.hands(List.of("SIM:STAT \"" + await.state().replace('"', ' ') + "\""));
                        return true;
                    },
                    measure -> true);
        }

        private static boolean command(Talk talk, String text) {
            talk.command(text);
            return true;
        }

        private static String channels(List<ScanContact> contacts) {
            return contacts.stream().map(ScanContact::toString).collect(Collectors.joining(","));
        }

        private ScanReading measured(Talk talk, String address, ScanAction.MeasureContacts measure, Taken now) {
            boolean ohms = measure.voltage().isEmpty();
            InstrumentReading read = measure.voltage()
                    .map(voltage -> underVoltage(talk, address, measure, voltage))
                    .orElseGet(() -> ofMeter(talk, now));
            String shown = read.shown();
            Optional<TestStep.Measurement> step = step(now);
            step.ifPresent(each -> test = enter(runId, test, each, shown, by));
            boolean within = step.isPresent()
                    ? isWell(step.get())
                    : measure.isWithin(
                            Math.max(read.value(), ohms && measure.expectsWayThrough() ? measure.lowOhm() : 0));
            continuous &= within || !ohms;
            measure.voltage().ifPresent(voltage -> sayDischarged(talk, discharge(talk, voltage.dischargeS())));
            return ScanReading.of(now, shown, within, step.isPresent());
        }

        private boolean isWell(TestStep.Measurement step) {
            StepState state = test.state(step);
            return state != StepState.FAULT && state != StepState.DOUBTFUL;
        }

        /** Ohms between the buses, less what relays and adapter have. */
        private InstrumentReading ofMeter(Talk talk, Taken now) {
            double read = talk.figure("MEAS:RES?");
            double paths = zeros.of(now.a(), points) + zeros.of(now.b(), points);
            return read >= InstrumentReading.OVER_RANGE
                    ? new InstrumentReading(Double.POSITIVE_INFINITY, "OL")
                    : new InstrumentReading(Math.max(0, read - paths), figure(Math.max(0, read - paths)));
        }

        /** Where the test asks next what voltage is left, the tester has just read it; by the clock, which a stand-in is ahead of. */
        private void sayDischarged(Talk talk, OptionalDouble left) {
            Optional<TestStep> due = test.current()
                    .filter(step -> step instanceof TestStep.ManualStep act
                            && act.action().isDischarge());
            if (due.isPresent() && left.isPresent() && !talk.isStandIn()) {
                test = enter(runId, test, due.get(), figure(left.getAsDouble()) + " V", by);
            }
        }

        /**
         * Held shorted for four times as long as the voltage was on, and again if any is left: nothing is switched under it. What
         * is left; empty for a tester that does not say.
         */
        private OptionalDouble discharge(Talk talk, double seconds) {
            wait(talk, seconds, false);
            OptionalDouble left = voltsLeft(talk);
            if (left.orElse(0) > DEAD_UP_TO_V) {
                wait(talk, seconds, false);
                left = voltsLeft(talk);
            }
            if (left.orElse(0) > DEAD_UP_TO_V) {
                throw new Refused("", Message.of("pass.still_charged", Message.figure(left.getAsDouble(), "V")));
            }
            return left;
        }

        /** What is left on the probes; empty for a tester that does not say. */
        private static OptionalDouble voltsLeft(Talk talk) {
            String answer = talk.answer("MEAS:VOLT?");
            try {
                return OptionalDouble.of(Math.abs(Double.parseDouble(answer)));
            } catch (NumberFormatException e) {
                return OptionalDouble.empty();
            }
        }

        /** A tester that cannot let the voltage rise switches it on at once, which is what a usual ramp stands for. */
        private static void ramp(Talk talk, ScanVoltage voltage, String address) {
            String answer = talk.answer("SOUR:VOLT:RAMP " + voltage.rampS());
            if (!answer.matches("[+]?0,.*") && voltage.rampS() > ScanVoltage.USUAL_RAMP_S) {
                throw new Refused(
                        "", Message.of("pass.no_ramp", address, Message.figure(voltage.rampS(), "s"), answer));
            }
        }

        /** On, risen, held, read, off. */
        private InstrumentReading underVoltage(
                Talk talk, String address, ScanAction.MeasureContacts measure, ScanVoltage voltage) {
            boolean leaks = measure.quantity() == Quantity.LEAKAGE;
            // A tester that knows DC alone is never asked for a frequency.
            String frequency = voltage.alternates() ? ";SOUR:FREQ " + voltage.hertz() : "";
            ramp(talk, voltage, address);
            long on = System.nanoTime();
            String answer;
            try {
                talk.command("SOUR:VOLT " + voltage.volts() + frequency + ";OUTP ON");
                wait(talk, voltage.onS(), true);
                answer = talk.answer(leaks ? "MEAS:CURR?" : "MEAS:INS?");
            } catch (RuntimeException ended) { // whatever went wrong, no voltage is left on
                double seconds = talk.isStandIn() ? voltage.onS() : (System.nanoTime() - on) / NANOS;
                off(talk, voltage);
                discharge(talk, ScanVoltage.dischargeS(seconds));
                talk.command(ALL_OPEN);
                throw ended;
            }
            off(talk, voltage);
            return InstrumentReading.ofTester(answer, leaks, voltage.dwellS(), address);
        }

        /** Between measurements, with no voltage on. */
        private void mustGoOn(Talk talk) {
            try {
                follow(true);
            } catch (Refused ended) {
                talk.command(ALL_OPEN);
                throw ended;
            }
        }

        private void follow(boolean mayEnd) {
            Optional<Message> end = watch.endOf(reads);
            if (mayEnd && end.isPresent()) {
                throw new Refused("", end.get());
            }
        }

        private static void off(Talk talk, ScanVoltage voltage) {
            talk.command("OUTP OFF");
            if (voltage.alternates()) {
                talk.command("SOUR:FREQ 0");
            }
        }

        /** The time of a stand-in passes at once; a real one is followed second by second. */
        private void wait(Talk talk, double seconds, boolean mayEnd) {
            if (talk.isStandIn()) {
                talk.hands(List.of("SIM:WAIT " + seconds));
                follow(mayEnd);
                return;
            }
            try {
                for (long left = (long) Math.ceil(seconds * SECOND_MS); left > 0; left -= SECOND_MS) {
                    Thread.sleep(Math.min(left, SECOND_MS));
                    follow(mayEnd);
                }
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new Refused("", Message.of("pass.scan_was_interrupted"));
            }
        }
    }
}
