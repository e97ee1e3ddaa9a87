package zestymarten.web.scan;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.judgement.Quantity;
import zestymarten.core.scan.Points;
import zestymarten.core.scan.ScanAction;
import zestymarten.core.scan.ScanContact;
import zestymarten.core.scan.ScanMeasurement;
import zestymarten.core.scan.ScanProgram;
import zestymarten.core.scan.ScanVoltage;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.StepState;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.meter.InstrumentReading;
import zestymarten.web.meter.Talk;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Words;

/** One program carried out once. */
final class ScanPass {
    static final String ALL_OPEN = "ROUT:OPEN:ALL";

    private final Scans scans;
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

    ScanPass(
            Scans scans,
            TestRun test,
            long runId,
            ScanNulls zeros,
            ScanProgram program,
            boolean secured,
            String by,
            ScanWatch watch,
            List<ScanReading> reads) {
        this.scans = scans;
        this.test = test;
        this.runId = runId;
        this.zeros = zeros;
        this.program = program;
        this.secured = secured;
        this.by = by;
        this.watch = watch;
        this.reads = reads;
        points = Points.of(test.design().assembly());
        ScanProgram.measurements(test)
                .filter(each -> !each.isUnderVoltage())
                .forEach(each -> steps.putIfAbsent(key(each), each));
    }

    private static String key(TestStep.Measurement measurement) {
        return key(
                Set.copyOf(measurement.side(measurement.black())),
                Set.copyOf(measurement.side(measurement.red())),
                measurement.state());
    }

    private static String key(Set<Terminal> a, Set<Terminal> b, String state) {
        String one = names(a);
        String other = names(b);
        String both = one.compareTo(other) <= 0 ? one + "|" + other : other + "|" + one;
        return both + "|" + state;
    }

    /** The step of the test that a measurement makes; empty where the test has none, or has it at another voltage. */
    private Optional<TestStep.Measurement> step(ScanMeasurement now) {
        String key = key(now.a(), now.b(), now.state());
        return now.measure().voltage().isEmpty()
                ? Optional.ofNullable(steps.get(key))
                        .map(each -> test.isDone(each) ? proof(key).orElse(each) : each)
                : ScanProgram.measurements(test) // those under voltage come once continuity has passed
                        .filter(each -> each.isUnderVoltage()
                                && key(each).equals(key)
                                && isAtItsVoltage(each.stage(), now.measure()))
                        .findFirst();
    }

    /** What is read once more before the voltage comes on; those steps are there once continuity has passed. */
    private Optional<TestStep.Measurement> proof(String key) {
        return Stream.of(Stage.INSULATION, Stage.WITHSTAND)
                .filter(stage -> Scans.isLive(program))
                .flatMap(stage -> Stream.ofNullable(proofs.computeIfAbsent(stage, this::proofs)))
                .flatMap(each -> Stream.ofNullable(each.get(key)))
                .filter(each -> !test.isDone(each))
                .findFirst();
    }

    private @Nullable Map<String, TestStep.Measurement> proofs(Stage stage) {
        Map<String, TestStep.Measurement> found = new HashMap<>();
        test.steps(stage)
                .flatMap(each ->
                        each instanceof TestStep.Measurement measurement ? Stream.of(measurement) : Stream.empty())
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
        Iterator<ScanMeasurement> taken = program.taken(points).iterator();
        try (Talk talk = scans.opened(address, runId, points)) {
            ScannerVoltage tester = new ScannerVoltage(talk, address, watch, reads);
            for (ScanAction action : program.actions()) {
                if (action instanceof ScanAction.Await await && !talk.isStandIn()) {
                    return Words.say("pass.set_switches_relays_then", await.state());
                }
                if (action instanceof ScanAction.MeasureContacts measure) {
                    ScanMeasurement now = taken.next();
                    if (measure.voltage().isPresent() && !continuous) {
                        return Words.say("pass.something_has_not_passed");
                    }
                    if (measure.voltage().isPresent() && !mayBeLive()) {
                        return Words.say("pass.barriers_first");
                    }
                    reads.add(measured(talk, tester, measure, now));
                    mustGoOn(talk, tester);
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
        boolean due = test.steps(Stage.INSULATION).anyMatch(each -> each.equals(Scans.BARRIERS) && !test.isDone(each));
        if (secured && due) {
            test = scans.enter(runId, test, Scans.BARRIERS, "", by);
        }
        return secured || Scans.isSecured(test);
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

    private ScanReading measured(
            Talk talk, ScannerVoltage tester, ScanAction.MeasureContacts measure, ScanMeasurement now) {
        boolean ohms = measure.voltage().isEmpty();
        InstrumentReading read =
                measure.voltage().map(voltage -> tester.read(measure, voltage)).orElseGet(() -> ofMeter(talk, now));
        String shown = read.shown();
        Optional<TestStep.Measurement> step = step(now);
        step.ifPresent(each -> test = scans.enter(runId, test, each, shown, by));
        boolean within = step.isPresent()
                ? isWell(step.get())
                : measure.isWithin(Math.max(read.value(), ohms && measure.expectsWayThrough() ? measure.lowOhm() : 0));
        continuous &= within || !ohms;
        measure.voltage().ifPresent(voltage -> sayDischarged(talk, tester.discharge(voltage.dischargeS())));
        return ScanReading.of(now, shown, within, step.isPresent());
    }

    private boolean isWell(TestStep.Measurement step) {
        StepState state = test.state(step);
        return state != StepState.FAIL && state != StepState.DOUBTFUL;
    }

    /** Resistance between the buses, less what relays and adapter have. */
    private InstrumentReading ofMeter(Talk talk, ScanMeasurement now) {
        double read = talk.figure("MEAS:RES?");
        double paths = zeros.of(now.a(), points) + zeros.of(now.b(), points);
        return read >= InstrumentReading.OVER_RANGE
                ? new InstrumentReading(Double.POSITIVE_INFINITY, "OL")
                : new InstrumentReading(Math.max(0, read - paths), Scans.figure(Math.max(0, read - paths)));
    }

    /** Where the test asks next what voltage is left, the tester has just read it; by the clock, which a stand-in is ahead of. */
    private void sayDischarged(Talk talk, OptionalDouble left) {
        Optional<TestStep> due = test.current()
                .filter(step -> step instanceof TestStep.ManualStep manual
                        && manual.action().isDischarge());
        if (due.isPresent() && left.isPresent() && !talk.isStandIn()) {
            test = scans.enter(runId, test, due.get(), Scans.figure(left.getAsDouble()) + " V", by);
        }
    }

    /** Between measurements, with no voltage on. */
    private void mustGoOn(Talk talk, ScannerVoltage tester) {
        try {
            tester.follow(true);
        } catch (Refusal ended) {
            talk.command(ALL_OPEN);
            throw ended;
        }
    }
}
