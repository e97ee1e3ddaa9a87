package zestymarten.core.testrun;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Stream;
import zestymarten.core.analysis.Design;
import zestymarten.core.analysis.Explanation;
import zestymarten.core.analysis.ImpliedPairs;
import zestymarten.core.analysis.Recommendation;
import zestymarten.core.analysis.UnitAnalysis;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Subject;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Finding;
import zestymarten.core.finding.Symptoms;
import zestymarten.core.insulation.Absorption;
import zestymarten.core.judgement.DiodeJudge;
import zestymarten.core.judgement.Expectation;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.judgement.Quantity;
import zestymarten.core.limit.InsulationLimit;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.testplan.CoverageAnalysis;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.PlanPieces;
import zestymarten.core.testplan.ProbePlacement;
import zestymarten.core.testplan.Purpose;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestPlan;
import zestymarten.core.testplan.TestStep;

/**
 * One test of one unit as it stands: derived from the design, the approach, the conditions and the entries so far, and
 * nothing else, so that leaving and coming back finds it the same.
 *
 * <p>Which steps there are is {@link StepSchedule}'s to say, how readings are judged {@link RunReadings}', what a repair undoes
 * {@link RunLog}'s. Immutable, and safe to share between threads: what is computed late is computed once, under a lock. Cost
 * linear in the entries.
 */
public final class TestRun {
    private final Design designed;
    private final Optional<Assembly> asBuilt;
    private final Design design;
    private final TestOptions approach;
    private final TestConditions before;
    private final RunLog log;
    private final RunReadings readings;
    private final OpenItems openItems;
    private final StepSchedule schedule;
    private final Symptoms symptoms;
    private Optional<List<RunFinding>> findings = Optional.empty();
    private Optional<RunAnalysis> runAnalysis = Optional.empty();
    private final NextSteps next;

    /** @param earlier the state before the last entry of those that stand; empty to count everything anew */
    private TestRun(
            Design designed, TestOptions approach, TestConditions before, RunLog log, Optional<TestRun> earlier) {
        this.designed = designed;
        this.approach = approach;
        this.before = before;
        this.log = log;
        asBuilt = AsBuilt.of(designed.assembly(), log.repairs());
        design = asBuilt.map(designed::with).orElse(designed);
        readings = new RunReadings(design, approach, before, log);
        earlier.ifPresent(each -> readings.follow(each.readings, log.added()));
        openItems = new OpenItems(design.assembly(), log);
        schedule = new StepSchedule(design.plan(approach), log, readings, openItems);
        earlier.ifPresent(each -> schedule.follow(each.schedule, log.added()));
        symptoms = RecordedSymptoms.of(log);
        earlier.ifPresent(this::followFindings);
        next = new NextSteps(this, schedule, readings);
    }

    private void followFindings(TestRun earlier) {
        synchronized (earlier) {
            runAnalysis = earlier.runAnalysis.flatMap(each -> each.with(schedule, log, readings));
            findings = runAnalysis.flatMap(same -> earlier.findings);
        }
    }

    /**
     * The job as its entries leave it.
     *
     * @param conditions of the run; the test-lead resistance is taken from the entries
     * @param entries in the order in which they were made
     */
    public static TestRun of(Design design, TestOptions approach, TestConditions conditions, List<Entry> entries) {
        return new TestRun(design, approach, conditions, new RunLog(design, entries), Optional.empty());
    }

    /**
     * The same job with one more entry: equal in every answer to one made of all entries, but it counts only what is new.
     * Cost: of a measurement linear in the wires, whatever was measured before.
     */
    public TestRun plus(Entry entry) {
        return new TestRun(designed, approach, before, log.plus(entry), Optional.of(this));
    }

    /** The wiring as it is now, with what repairs have made of it. */
    public Design design() {
        return design;
    }

    /** What repairs have made of the wiring of this unit; empty while it is as designed. */
    public Optional<Assembly> asBuilt() {
        return asBuilt;
    }

    public TestOptions approach() {
        return approach;
    }

    public TestPlan plan() {
        return design.plan(approach);
    }

    /** The conditions with the test-lead resistance as read last, once it was. */
    public TestConditions conditions() {
        return readings.now();
    }

    /** How many entries were taken back. */
    public int takenBack() {
        return log.takenBack();
    }

    /** The entry of that identifier, taken back or not. */
    public Optional<Entry> entry(UUID id) {
        return log.entry(id);
    }

    /** Every entry, those taken back included. */
    public List<Entry> entries() {
        return log.entries();
    }

    /** What the machine does and does not do, as far as it was entered. */
    public Symptoms symptoms() {
        return symptoms;
    }

    /** What is out and has to be put back before the run ends. */
    public List<Subject> toRestore() {
        return openItems.items();
    }

    /** The repairs of this run, in their order. */
    public List<Entry> repairs() {
        return List.copyOf(log.repairs());
    }

    public PlanPieces pieces() {
        return schedule.pieces();
    }

    /** Measurements of the ring-out that stayed open, in design order. */
    public List<TestStep.Measurement> open() {
        return List.copyOf(schedule.open());
    }

    /** The last entry that stands, which is the one to take back. */
    public Optional<Entry> last() {
        return log.last();
    }

    /** The entries of a step that stand, in the order in which they were made. */
    public List<Entry> entriesOf(TestStep step) {
        return log.of(step);
    }

    /** The number that the next entry of a step will have. */
    public int nextAttempt(TestStep step) {
        return log.nextAttempt(step);
    }

    /** What a good unit shows at a measurement. */
    public Expectation expectation(TestStep.Measurement measurement) {
        return readings.expectation(measurement);
    }

    /** The range to set on the meter for a measurement, in ohms; empty for a meter that finds it by itself. */
    public OptionalDouble range(TestStep.Measurement measurement) {
        return readings.range(measurement);
    }

    /** The readings of a measurement over the time under voltage; none where no times were given. */
    public Absorption absorption(TestStep.Measurement measurement) {
        return readings.voltage().absorption(measurement);
    }

    /** Whether a step belongs to this job as it stands. */
    public boolean isPlanned(TestStep step) {
        return schedule.isPlanned(step);
    }

    /** Whether a step may be entered now: nothing is measured on wiring that was not proved dead. */
    public boolean isAllowed(TestStep step) {
        boolean measures = step.fold(
                probes -> false,
                measurement -> true,
                manual -> manual.action().answer() == ManualAction.AnswerKind.OHMS);
        return !measures || schedule.isProvedDead();
    }

    /** The spare cores that have passed in this run, in design order. */
    public List<Conductor> spares() {
        return new PossibleRepairs(this, log).spares();
    }

    /** Why something cannot be put right in that way now; empty if it can. */
    public Optional<Message> objection(TestStep.ManualStep repaired, Entry.Content.Repair repair) {
        return new PossibleRepairs(this, log).objection(repaired, repair);
    }

    /** The readings of what is left on either side of a break, for a finding that may be one that is seen. */
    public List<TestStep.ManualStep> remainders(Finding finding) {
        boolean broken = finding instanceof Finding.Open || finding instanceof Finding.Intermittent;
        return broken && finding.conductors().size() == 1
                ? RemainingLength.of(design.conductor(finding.conductors().get(0)))
                : List.of();
    }

    /** The planned measurements that nobody has to make, with the readings that they follow from, at most so many. */
    public List<ImpliedPairs.ImpliedPair> implied(int maximum) {
        return schedule.implied().stream()
                .flatMap(known -> Stream.of(Stage.CONTINUITY, Stage.SHORTS, Stage.FRAME)
                        .flatMap(this::steps)
                        .filter(step -> log.of(step).isEmpty()
                                && schedule.state(step) == StepState.IMPLIED
                                && step instanceof TestStep.Measurement)
                        .map(TestStep.Measurement.class::cast)
                        .flatMap(measurement -> known.between(measurement.black(), measurement.red()).stream()))
                .limit(maximum)
                .toList();
    }

    /** How many measurements would settle the shorts that are in doubt by halves; empty where that saves nothing. */
    public OptionalInt byHalves() {
        int pieces = pieces().all().size();
        long doubtful = pieces < 3 || pieces().areLinked() ? 0 : schedule.unsettledPairs();
        int halves = Integer.SIZE - Integer.numberOfLeadingZeros(Math.max(0, pieces - 1));
        return doubtful > halves ? OptionalInt.of(halves) : OptionalInt.empty();
    }

    /** When what was under voltage may be taken for discharged; empty where no times under voltage were given. */
    public Optional<Instant> dischargedAt(ManualAction discharge) {
        return readings.voltage().dischargedAt(discharge);
    }

    /** The set of clips and pins in use; {@link Subject#nothing} for the leads with which the run began. */
    public Subject accessories() {
        return readings.zeros().set();
    }

    /** What is read at a measurement. */
    public Quantity quantity(TestStep.Measurement measurement) {
        return RunReadings.quantity(measurement);
    }

    /**
     * The diode that is read at a measurement on the diode range.
     *
     * @throws java.util.NoSuchElementException for any other measurement
     */
    public Component diode(TestStep.Measurement measurement) {
        return readings.part(measurement);
    }

    /** How the diode of a measurement is judged, see {@link #diode}. */
    public DiodeJudge diodeRule(TestStep.Measurement measurement) {
        return readings.diode(measurement);
    }

    /** Whether the diode of a measurement should conduct from red to black, see {@link #diode}. */
    public boolean isForwards(TestStep.Measurement measurement) {
        return readings.isForwards(measurement);
    }

    /** The test voltage of a measurement, in volts; empty where none is on. */
    public OptionalDouble testV(TestStep.Measurement measurement) {
        return measurement.isUnderVoltage()
                ? OptionalDouble.of(readings.voltage().testV(measurement))
                : OptionalDouble.empty();
    }

    /** The least that insulation may read at a measurement. */
    public InsulationLimit minimum(TestStep.Measurement measurement) {
        return readings.voltage().minimum(measurement);
    }

    /** The planned measurement of two terminals that is not done, else any, in whichever stage and order they are measured together. */
    public Optional<TestStep> between(Terminal a, Terminal b) {
        return new MeasurementsBetween(this).due(a, b);
    }

    /** What was typed, as understood for a step, with the doubts it raises. */
    public MeterReading understand(TestStep step, String typed) {
        return readings.understand(step, typed);
    }

    /** The judgement of a reading at a step. */
    public Judgement judge(TestStep step, MeterReading meaning) {
        return readings.judge(step, meaning);
    }

    /** The judgement of an entry; empty for what is no reading. */
    public Optional<Judgement> judgement(Entry entry) {
        return readings.judgement(entry);
    }

    /** What an entry says, in words: the reading as understood on this meter, what was done, or why it was left out. */
    public Message words(Entry entry) {
        return EntryWords.of(entry, before);
    }

    /** What is expected instead of words that cannot be entered for a manual step; empty where they can. */
    public static Optional<Message> expected(TestStep.ManualStep manual, String words) {
        return EntryWords.expected(manual, words);
    }

    /** Whether nothing more is asked at a step. */
    public boolean isDone(TestStep step) {
        return schedule.isDone(step);
    }

    /** Whether a wire has read open exactly once: it is measured again on clean metal, and both readings are kept. */
    public boolean asksForCleanMetal(TestStep step) {
        return schedule.asksForCleanMetal(step);
    }

    /** How a step stands. */
    public StepState state(TestStep step) {
        return schedule.state(step);
    }

    /** Every step in the order of the job, made as it is asked for. */
    public Stream<TestStep> steps() {
        return approach.order().stages().stream().flatMap(this::steps);
    }

    /** The steps of one stage in order, made as they are asked for. */
    public Stream<TestStep> steps(Stage stage) {
        return schedule.steps(stage);
    }

    /** Every step still to do, in the order of the job, made as it is asked for. */
    public Stream<TestStep> undone() {
        return approach.order().stages().stream().flatMap(this::undone);
    }

    /** The steps of one stage that are still to do, in order. */
    public Stream<TestStep> undone(Stage stage) {
        return schedule.undone(stage);
    }

    /** How many steps a stage has. */
    public long size(Stage stage) {
        return schedule.size(stage);
    }

    /** How many steps of a stage are still to do. */
    public long left(Stage stage) {
        return schedule.left(stage);
    }

    /** Steps still to do. */
    public long left() {
        return Stream.of(Stage.values()).mapToLong(this::left).sum();
    }

    /** What is still to do, by what it takes. */
    public RemainingWork remaining() {
        return RemainingWork.of(this);
    }

    /** Seconds that the steps still to do will take at the usual pace. */
    public double secondsLeft() {
        return EffortModel.left(this).seconds(EffortModel.Pace.USUAL);
    }

    /** Minutes that parts still to be tried in the place of others will take. */
    double substituteMinutes() {
        return schedule.substitutes().minutesLeft();
    }

    /** How many wires have so low a limit that this meter's steps are coarse for it. */
    long tight() {
        return plan().endToEnd().stream().filter(readings::isTight).count();
    }

    /** Minutes that covers and shells still to be opened will take. */
    public double accessMinutes() {
        return plan().priced().stream()
                .filter(each -> !isDone(new TestStep.ManualStep(ManualAction.ACCESS, each.id())))
                .mapToDouble(each -> each.reach().minutes())
                .sum();
    }

    /** What it is for, as it was said last. */
    public Purpose purpose() {
        return Purpose.of(purposeSaid()).orElse(Purpose.EVERYTHING);
    }

    /** What a retest is to show again: wires and parts, with spaces between; empty for other purposes. */
    public String retested() {
        return Purpose.subject(purposeSaid());
    }

    private String purposeSaid() {
        return log.last(new TestStep.ManualStep(ManualAction.PURPOSE, ""))
                .map(entry -> entry.content() instanceof Entry.Content.Done done ? done.words() : "")
                .orElse("");
    }

    /**
     * The step that is due; empty when all are done, or when the diagnosis that leads is at its end. Where everything is
     * tested, what was not expected is settled before the plan goes on.
     */
    public Optional<TestStep> current() {
        return next.due();
    }

    /** What a measurement tells of unexpected readings; empty for one that is made for another reason. */
    public Optional<Recommendation.RecommendedMeasurement> settledBy(TestStep.Measurement measurement) {
        return next.settledBy(measurement);
    }

    /** Where the diagnosis stands: whether another measurement would tell. */
    public Recommendation.Status diagnosis() {
        return next.recommendation().status();
    }

    /** The measurements with free ends still to make that tell most for their time, the best first. */
    public List<BestMeasurement> best(int maximum) {
        return next.best(maximum);
    }

    /** The one analysis of the readings. */
    synchronized UnitAnalysis unit() {
        return runAnalysis().unit();
    }

    /** What may be wrong altogether, the likeliest first. */
    public synchronized List<Explanation> explanations() {
        return unit().explanations();
    }

    /** A measurement still to make, and what it is expected to tell. */
    public record BestMeasurement(TestStep.Measurement measurement, Recommendation.RecommendedMeasurement worth) {}

    /** What is wrong as far as the entries tell, in design order. */
    public synchronized List<RunFinding> findings() {
        if (findings.isEmpty() && schedule.isAsDesigned()) {
            findings = Optional.of(List.of());
        }
        if (findings.isEmpty()) {
            runAnalysis();
        }
        return findings.orElseThrow();
    }

    /** What was wrong before the first repair; none where nothing was repaired. */
    public List<RunFinding> asFound() {
        return log.repairs().stream().mapToInt(Entry::sequence).min().stream()
                .mapToObj(first -> entries().stream()
                        .filter(entry -> entry.sequence() < first)
                        .toList())
                .flatMap(before -> of(designed, approach, this.before, before).findings().stream())
                .toList();
    }

    private synchronized RunAnalysis runAnalysis() {
        if (runAnalysis.isEmpty()) {
            RunAnalysis made = new RunAnalysis(design, schedule, log, readings);
            findings = Optional.of(made.findings());
            runAnalysis = Optional.of(made);
        }
        return runAnalysis.orElseThrow();
    }

    /** Functions that do not work and that no finding explains by its kind, by name. */
    public List<String> unexplained() {
        return new TreeMap<>(symptoms.functions())
                .entrySet().stream()
                        .filter(each -> each.getValue() != Symptoms.Behaviour.WORKS)
                        .filter(each -> !SymptomExplanation.explained(each.getKey(), each.getValue(), findings()))
                        .map(Map.Entry::getKey)
                        .toList();
    }

    /** Functions that do not work and that a finding explains by its kind. */
    public List<String> explainedBy(RunFinding found) {
        return new TreeMap<>(symptoms.functions())
                .entrySet().stream()
                        .filter(each -> SymptomExplanation.explained(each.getKey(), each.getValue(), List.of(found)))
                        .map(Map.Entry::getKey)
                        .toList();
    }

    /** What it measures without a test voltage, in order: of a fresh job what a good unit takes. */
    Stream<TestStep.Measurement> measurements() {
        return steps().filter(step -> step instanceof TestStep.Measurement measurement && !measurement.isUnderVoltage())
                .map(TestStep.Measurement.class::cast);
    }

    /** What it would measure under the test voltage once continuity has passed, each clip proved before. */
    public Stream<TestStep.Measurement> underVoltage() {
        return pieces().underVoltage(Stage.INSULATION, plan()::farEnd);
    }

    /** A step as where the probes go and what is linked and set for it. */
    ProbePlacement measurement(TestStep.Measurement measurement) {
        return new ProbePlacement(
                measurement.black(),
                measurement.red(),
                measurement.links(),
                readings.state(measurement),
                quantity(measurement));
    }

    /** What the measurements that were really made would show, and what not. */
    public CoverageAnalysis coverage() {
        List<ProbePlacement> made = new ArrayList<>();
        log.steps().forEach(step -> {
            boolean read = log.of(step).stream().anyMatch(entry -> entry.content() instanceof Entry.Content.Reading);
            if (read && step instanceof TestStep.Measurement measurement && !measurement.isUnderVoltage()) {
                made.add(measurement(measurement));
            }
        });
        return CoverageAnalysis.ofMade(design.assembly(), design.nets(), made);
    }

    /**
     * Whether a leg of a splice could be broken without any measurement having shown it: behind linked far ends two legs of
     * one net read like one.
     */
    private boolean hasUnseenLegs() {
        boolean legs = approach.method().linksFarEnds()
                && design.nets().all().stream()
                        .anyMatch(net -> !net.isOnFrame() && net.ends().size() > 2);
        CoverageAnalysis.Count count = legs
                ? coverage()
                        .counts()
                        .getOrDefault(CoverageAnalysis.PossibleFault.OPEN, new CoverageAnalysis.Count(0, 0))
                : new CoverageAnalysis.Count(0, 0);
        return count.seen() < count.all();
    }

    /** Where the test of the unit stands as a whole. */
    public RunOutcome outcome() {
        if (!findings().isEmpty() || schedule.isAny(StepState.FAIL)) {
            return RunOutcome.FAIL;
        }
        if (left() > 0 || schedule.isAny(StepState.SKIPPED) || schedule.isAny(StepState.DOUBTFUL) || hasUnseenLegs()) {
            return RunOutcome.INCOMPLETE;
        }
        return schedule.isAny(StepState.MARGINAL) ? RunOutcome.MARGINAL : RunOutcome.PASS;
    }
}
