package zestymarten.core.testrun;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import zestymarten.core.analysis.Design;
import zestymarten.core.analysis.DiodeReadings;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Connector;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.insulation.TimedText;
import zestymarten.core.judgement.DiodeJudge;
import zestymarten.core.judgement.DiodeRule;
import zestymarten.core.judgement.Expectation;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.judgement.Judgement.Contact;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.judgement.PlausibilityCheck;
import zestymarten.core.judgement.Quantity;
import zestymarten.core.judgement.ResistanceJudge;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.ReadingParser;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestStep;

/**
 * How the readings of one run are understood and judged.
 *
 * <p>Rule: a reading is corrected by the leads as they were read last before it. Cost: a judgement an entry, each once.
 */
final class RunReadings {
    private static final double TIGHT_COUNTS = 200;
    private static final Set<String> TRIPPED = Set.of("trip", "tripped");

    private final Design design;
    private final TestOptions approach;
    private final TestConditions before;
    private final RunLog log;
    private final Map<Integer, Judgement> judged = new ConcurrentHashMap<>();
    /** Judgements that no later measurement changes, shared by the states of a test while measurements are added. */
    private Map<Integer, SettledReading> settled = new ConcurrentHashMap<>();
    /** By the design and the temperatures, so that the states of a test share it while readings are added. */
    private Map<TestStep.Measurement, Expectation> expected = new ConcurrentHashMap<>();

    private final NullHistory zeros;
    private final Temperatures warmth;
    private final LeadDoubts leads;
    private final VoltageReadings voltage;
    private Optional<SimilarWires> similar = Optional.empty();

    /** A judgement for good, and the very entry that it is of: another state of the test may have another under its number. */
    private record SettledReading(Entry entry, Judgement judgement) {}

    RunReadings(Design design, TestOptions approach, TestConditions before, RunLog log) {
        this.design = design;
        this.approach = approach;
        this.before = before;
        this.log = log;
        zeros = new NullHistory(before, log);
        warmth = new Temperatures(design, log);
        leads = new LeadDoubts(design, before, log, zeros);
        voltage = new VoltageReadings(design, approach, log);
    }

    /**
     * Takes over what was judged before one more entry was made. Another reading of ohms changes no judgement of an earlier
     * one but of the wires that are compared with it, and of what is in doubt. Cost: the wires and what is in doubt.
     */
    void follow(RunReadings earlier, Entry added) {
        if (!design.equals(earlier.design) || !(added.step() instanceof TestStep.Measurement measurement)) {
            return; // anything else may tell another temperature, or another zero
        }
        expected = earlier.expected;
        settled = earlier.settled;
        if (!measurement.stage().isUnderVoltage()) {
            earlier.judged.forEach((sequence, judgement) -> {
                boolean compared = measurement.stage() == Stage.CONTINUITY
                        && log.entries().get(sequence - 1).step().stage() == Stage.CONTINUITY;
                if (!compared && judgement.verdict() != Verdict.DOUBTFUL) {
                    judged.put(sequence, judgement);
                }
            });
        }
    }

    Design design() {
        return design;
    }

    /** Whether the limit of a measurement is so low that a tenth of it is below twenty steps of the meter. */
    boolean isTight(TestStep.Measurement measurement) {
        return expectation(measurement)
                .fold(
                        joined -> joined.limit().high().value()
                                < TIGHT_COUNTS * before.meter().resolutionOhm(),
                        () -> false);
    }

    TestOptions approach() {
        return approach;
    }

    static Quantity quantity(TestStep.Measurement measurement) {
        if (measurement.isUnderVoltage()) {
            return measurement.stage() == Stage.WITHSTAND ? Quantity.LEAKAGE : Quantity.INSULATION;
        }
        return measurement.isOnDiodeRange() ? Quantity.FORWARD_VOLTAGE : Quantity.RESISTANCE;
    }

    static MeterReading meaning(Entry entry) {
        return entry.content() instanceof Entry.Content.Reading reading
                ? reading.meaning()
                : new MeterReading.Refused(Message.of("run_readings.no_reading"));
    }

    /** The conditions with the test-lead resistance as read last. */
    TestConditions now() {
        return zeros.now();
    }

    /** What was read under voltage. */
    VoltageReadings voltage() {
        return voltage;
    }

    NullHistory zeros() {
        return zeros;
    }

    SwitchState state(TestStep.Measurement measurement) {
        List<SwitchState> states = design.assembly().states();
        return states.stream()
                .filter(each -> each.id().equals(measurement.state()))
                .findFirst()
                .orElse(states.get(0));
    }

    /** What a good unit shows at a measurement. */
    Expectation expectation(TestStep.Measurement measurement) {
        return expected.computeIfAbsent(
                measurement,
                any -> design.at(warmth.of(measurement))
                        .expectation(measurement.black(), measurement.red(), state(measurement), measurement.links()));
    }

    /** What was typed, as understood for a step, with the doubts it raises. */
    MeterReading understand(TestStep step, String typed) {
        boolean timed = step instanceof TestStep.Measurement touched && touched.isUnderVoltage();
        String figure = timed ? TimedText.of(typed).reading() : typed;
        MeterReading plain = TRIPPED.contains(figure.strip().toLowerCase(Locale.ROOT))
                ? new MeterReading.Unstable(List.of())
                : new ReadingParser(before.meter().oneIsOverRange()).understand(figure);
        return step.fold(
                probes -> LeadReadingCheck.understand(probes, plain),
                measurement -> measurement.isUnderVoltage()
                        ? VoltageReadings.inItsUnit(measurement, plain)
                        : measurement.isOnDiodeRange()
                                ? DiodeJudge.understood(plain)
                                : PlausibilityCheck.raise(
                                        onItsRange(measurement, plain),
                                        expectation(measurement),
                                        now(),
                                        neighbours(measurement)),
                manual -> ManualReadingCheck.understand(manual, plain));
    }

    /** The range to set for a measurement; empty for a meter that finds it by itself. */
    OptionalDouble range(TestStep.Measurement measurement) {
        if (!before.meter().hasRanges() || !measurement.isInOhms()) {
            return OptionalDouble.empty();
        }
        double high = expectation(measurement)
                .fold(
                        joined ->
                                joined.limit().high().value() + now().leadsOhm().orElse(0),
                        () -> Double.POSITIVE_INFINITY);
        double beyond = log.of(measurement).stream()
                .mapToDouble(entry -> meaning(entry) instanceof MeterReading.Above above ? above.value() : 0)
                .max()
                .orElse(0);
        return OptionalDouble.of(before.meter().rangeFor(high, beyond));
    }

    /** Over-range of a lower range than the highest says no more than "more than that range". */
    private MeterReading onItsRange(TestStep.Measurement measurement, MeterReading plain) {
        OptionalDouble range = range(measurement);
        boolean lower =
                range.isPresent() && range.getAsDouble() < before.meter().topOhm();
        return plain instanceof MeterReading.OverRange && lower
                ? new MeterReading.Above(range.getAsDouble(), MeterReading.Unit.OHM)
                : plain;
    }

    /** Wires in the cavities beside the red probe, when a net is read end to end. */
    private List<PlausibilityCheck.Neighbour> neighbours(TestStep.Measurement measurement) {
        if (measurement.stage() != Stage.CONTINUITY || !measurement.red().isPin() || measurement.isLinked()) {
            return List.of();
        }
        List<Terminal> pins = design.assembly()
                .connector(measurement.red().connector())
                .map(Connector::terminals)
                .orElse(List.of());
        int place = pins.indexOf(measurement.red());
        return IntStream.of(place - 1, place + 1)
                .filter(each -> each >= 0 && each < pins.size())
                .mapToObj(pins::get)
                .flatMap(pin -> design.conductorsAt(pin).stream().limit(1))
                .map(each -> new PlausibilityCheck.Neighbour(
                        each.id(), design.limits().of(each)))
                .toList();
    }

    /** The judgement of a reading made now. */
    Judgement judge(TestStep step, MeterReading meaning) {
        return judge(step, meaning, now());
    }

    private Judgement judge(TestStep step, MeterReading meaning, TestConditions conditions) {
        return step.fold(
                probes -> LeadReadingCheck.judge(probes, meaning),
                measurement -> measurement.isUnderVoltage()
                        ? voltage.judge(measurement, meaning)
                        : measurement.isOnDiodeRange()
                                ? diode(measurement).judge(meaning, isForwards(measurement))
                                : onOhms(measurement, meaning, conditions),
                manual -> ManualReadingCheck.judge(design, manual, meaning, conditions));
    }

    private Judgement onOhms(TestStep.Measurement measurement, MeterReading meaning, TestConditions conditions) {
        Judgement plain = ResistanceJudge.judge(meaning, expectation(measurement), conditions);
        return design.isBesideDiode(measurement.black(), measurement.red(), state(measurement), measurement.links())
                ? DiodeRule.applied(plain, expectation(measurement))
                : plain;
    }

    /** The diode between the probes. */
    Component part(TestStep.Measurement measurement) {
        return DiodeReadings.diode(design, measurement.black(), measurement.red())
                .orElseThrow();
    }

    /** How a diode is judged. */
    DiodeJudge diode(TestStep.Measurement measurement) {
        return DiodeJudge.of(part(measurement).forwardV());
    }

    /** Whether a diode should conduct between the probes. */
    boolean isForwards(TestStep.Measurement measurement) {
        return part(measurement).a().equals(measurement.red());
    }

    /** The judgement of an entry as it stands among the others; empty for what is no reading. */
    @SuppressWarnings("ReferenceEquality") // in another state of the test an entry may look the same and not be it
    Optional<Judgement> judgement(Entry entry) {
        if (!(entry.content() instanceof Entry.Content.Reading reading)) {
            return Optional.empty();
        }
        SettledReading before = settled.get(entry.sequence());
        if (before != null && before.entry() == entry) {
            return Optional.of(before.judgement());
        }
        Judgement known = judged.get(entry.sequence());
        if (known == null) {
            known = watched(entry, doubted(entry, judge(entry.step(), reading.meaning(), zeros.at(entry))));
            if (isForGood(entry.step(), known)) {
                settled.put(entry.sequence(), new SettledReading(entry, known));
            } else {
                judged.put(entry.sequence(), known);
            }
        }
        return Optional.of(known);
    }

    /** Whether no later measurement changes it: wires are compared with each other, and what is in doubt may be settled. */
    private static boolean isForGood(TestStep step, Judgement judgement) {
        return step instanceof TestStep.Measurement measurement
                && measurement.stage() != Stage.CONTINUITY
                && !measurement.isUnderVoltage()
                && judgement.verdict() != Verdict.DOUBTFUL;
    }

    /** What passes but is odd is marginal: a wire among its likes, insulation that falls while the voltage is on. */
    private Judgement watched(Entry entry, Judgement judgement) {
        boolean falls = entry.step() instanceof TestStep.Measurement charged
                && charged.isUnderVoltage()
                && judgement.verdict() == Verdict.PASS
                && voltage.absorption(charged).isFalling();
        if (falls) {
            return judgement.as(
                    Verdict.MARGINAL,
                    judgement.contact(),
                    Judgement.Reason.INSULATION_FALLING,
                    Message.of("run_readings.falls_while_voltage_on"));
        }
        boolean asked = entry.step().stage() == Stage.CONTINUITY && judgement.verdict() == Verdict.PASS;
        return asked && entry.step() instanceof TestStep.Measurement measurement
                ? similar()
                        .deviation(measurement, judgement)
                        .map(reason -> judgement.as(
                                Verdict.MARGINAL, judgement.contact(), Judgement.Reason.UNLIKE_ITS_SET, reason))
                        .orElse(judgement)
                : judgement;
    }

    /** The wires that read alike, of the last reading of each. */
    private synchronized SimilarWires similar() {
        SimilarWires known = similar.orElseGet(() -> {
            SimilarWires made = new SimilarWires(design);
            for (TestStep step : log.steps(Stage.CONTINUITY)) {
                if (step instanceof TestStep.Measurement measurement) {
                    log.last(step)
                            .filter(last -> last.content() instanceof Entry.Content.Reading)
                            .ifPresent(
                                    last -> made.add(measurement, judge(measurement, meaning(last), zeros.at(last))));
                }
            }
            return made;
        });
        similar = Optional.of(known);
        return known;
    }

    private Judgement doubted(Entry entry, Judgement judgement) {
        Optional<Message> early = voltage.tooEarly(entry);
        if (early.isPresent()) {
            return inDoubt(judgement, early.get());
        }
        if (!(entry.step() instanceof TestStep.Measurement measurement) || measurement.isUnderVoltage()) {
            return judgement;
        }
        return warmth.tooLittle(measurement)
                .or(() -> leads.doubt(entry, judgement, then -> judge(measurement, meaning(entry), then)))
                .map(reason -> inDoubt(judgement, reason))
                .orElse(judgement);
    }

    private static Judgement inDoubt(Judgement judgement, Message reason) {
        return judgement.as(Verdict.DOUBTFUL, Contact.UNKNOWN, Judgement.Reason.NULL_MOVED, reason);
    }
}
