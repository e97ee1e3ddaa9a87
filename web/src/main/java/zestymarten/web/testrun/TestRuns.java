package zestymarten.web.testrun;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Subject;
import zestymarten.core.finding.FaultHistory;
import zestymarten.core.limit.LearntResistance;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.network.Nets;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MessageArgument;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.Tool;
import zestymarten.core.testrun.EffortModel;
import zestymarten.core.testrun.Entry;
import zestymarten.core.testrun.PlanEstimate;
import zestymarten.core.testrun.RunFinding;
import zestymarten.core.testrun.RunOutcome;
import zestymarten.core.testrun.TestRun;
import zestymarten.core.testrun.UnitState;
import zestymarten.web.assembly.Assemblies;
import zestymarten.web.assembly.Revision;
import zestymarten.web.platform.NotFound;
import zestymarten.web.platform.Patterns;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Words;
import zestymarten.web.unit.UnitRow;
import zestymarten.web.unit.Units;

/** Runs: started, entered into, taken back from, ended. Every decision is the core's; here they are made to last. */
@Service
public class TestRuns {
    /** Runs on one page of a list. */
    public static final int PAGE = 50;

    /** Later than any run ends: the beginning of a list of them. */
    public static final Instant ALL = Instant.parse("9999-01-01T00:00:00Z");

    private static final int MAX_LINKED = 200;

    /** What an account begins with that has not tested yet: a plain meter at room temperature. */
    public static final TestConditions USUAL = new TestConditions(
            20,
            new MeterProfile("bench meter", 0.008, 0.01, 30, false, 20e6),
            OptionalDouble.empty(),
            LeadPolicy.FULL,
            false,
            TestConditions.JOINED_BELOW_OHM);

    private final RunMapper mapper;
    private final LearntMapper learnt;
    private final Assemblies assemblies;
    private final Units units;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private final Cache<DesignKey, Design> designs = Caffeine.newBuilder()
            .maximumWeight(100_000)
            .weigher(TestRuns::weight)
            .build();

    private final DerivedJobs derived;

    private record DesignKey(long revisionId, double ambientC, long learntId) {}

    private static final long NOTHING_LEARNT = 0;

    TestRuns(
            RunMapper mapper,
            LearntMapper learnt,
            Assemblies assemblies,
            Units units,
            ApplicationEventPublisher events,
            DerivedJobs derived,
            Clock clock) {
        this.mapper = mapper;
        this.learnt = learnt;
        this.assemblies = assemblies;
        this.units = units;
        this.events = events;
        this.derived = derived;
        this.clock = clock;
    }

    /** The same runs by another clock, for callers that hold a transaction and tell of the past. */
    public TestRuns withClock(Clock other) {
        return new TestRuns(mapper, learnt, assemblies, units, events, derived, other);
    }

    private static int weight(DesignKey key, Design design) {
        return 10 + design.assembly().conductors().size();
    }

    /**
     * Starts a run on the newest revision of an assembly, or finds the one that is under way on that unit.
     *
     * @throws Refusal if the unit was scrapped, or has too many ends to link
     */
    @Transactional
    public long start(long assemblyId, String serial, TestConditions conditions, TestOptions approach, String by) {
        UnitRow unit = units.takeToTheBench(assemblyId, serial);
        Revision revision = assemblies.ofUnit(unit.id()).orElseGet(() -> assemblies.latest(assemblyId));
        mustBeLinked(revision, approach);
        Long open = mapper.openRunOf(unit.id());
        if (open != null) {
            return open;
        }
        if (unit.state() == UnitState.SCRAPPED) {
            throw new Refusal("serial", Message.of("test_runs.unit_was_scrapped_not", unit.serial()));
        }
        units.setState(unit.id(), UnitState.ON_THE_BENCH);
        MeterProfile meter = conditions.meter();
        ApproachRow row = ApproachRow.of(approach);
        return mapper.insert(
                new RunRow(
                        0,
                        assemblyId,
                        unit.id(),
                        revision.id(),
                        unit.serial(),
                        conditions.ambientC(),
                        meter.name(),
                        meter.accuracy(),
                        meter.resolutionOhm(),
                        meter.toneBelowOhm(),
                        meter.oneIsOverRange(),
                        meter.topOhm(),
                        meter.rangesOhm().stream().map(String::valueOf).collect(Collectors.joining(" ")),
                        conditions.policy().code(),
                        conditions.guarded(),
                        row,
                        learnt.latest(assemblyId),
                        by,
                        clock.instant(),
                        null,
                        null,
                        null),
                row);
    }

    /** The test that is under way on a unit of an assembly, by its serial; empty where there is none. */
    @Transactional(readOnly = true)
    public Optional<RunSnapshot> underWay(long assemblyId, String serial) {
        return Optional.ofNullable(mapper.openRunAt(assemblyId, serial.strip())).map(this::find);
    }

    /** The ways in which the newest revision of an assembly can be tested, at the given prices. */
    @Transactional(readOnly = true)
    public List<PlanEstimate> offers(long assemblyId, EffortModel.Pace pace, Set<Tool> tools) {
        Design design = design(assemblies.latest(assemblyId), USUAL.ambientC(), NOTHING_LEARNT);
        boolean few = design.nets().all().size() <= MAX_LINKED;
        return Stream.of(TestMethod.values())
                .filter(method -> method != TestMethod.INSULATION && (few || !method.needsLinks()))
                .map(method -> new TestOptions(method, false, true, OptionalDouble.empty()))
                .map(approach -> PlanEstimate.of(design, approach, USUAL, pace, tools))
                .toList();
    }

    /** The job that a kept plan would be on a good unit of the newest revision. */
    @Transactional(readOnly = true)
    public TestRun planned(long assemblyId, KeptPlan plan) {
        Long taught = learnt.latest(assemblyId);
        Design design =
                design(assemblies.latest(assemblyId), USUAL.ambientC(), taught == null ? NOTHING_LEARNT : taught);
        return TestRun.of(design, plan.approach().approach(), USUAL, List.of());
    }

    private static void mustBeLinked(Revision revision, TestOptions approach) {
        int nets = Nets.of(revision.assembly()).all().size();
        boolean links = approach.method().needsLinks() || approach.insulation().isPresent();
        if (links && nets > MAX_LINKED) {
            throw new Refusal("method", Message.of("test_runs.this_assembly_has_nets", nets, MAX_LINKED));
        }
    }

    /** The conditions that this account tested under last, to begin the next run with. */
    @Transactional(readOnly = true)
    public Optional<TestConditions> lastConditions(String by) {
        return Optional.ofNullable(mapper.lastOf(by)).map(RunRow::conditions);
    }

    @Transactional(readOnly = true)
    public RunSnapshot find(long id) {
        RunRow row = mapper.find(id);
        if (row == null) {
            throw new NotFound(Message.of("test_runs.there_no_test_number", id));
        }
        return derived.get(id, mapper.pulse(id)).map(test -> run(row, test)).orElseGet(() -> {
            RunSnapshot run =
                    run(row, mapper.entries(id).stream().map(EntryRows::entry).toList());
            derived.put(id, run.pulse(), run.test());
            return run;
        });
    }

    /** Several runs at once, in the order of their numbers; a fixed number of queries. */
    @Transactional(readOnly = true)
    public List<RunSnapshot> all(List<Long> ids) {
        if (ids.isEmpty()) {
            return List.of();
        }
        Map<Long, List<Entry>> entries = mapper.entriesOf(ids).stream()
                .collect(Collectors.groupingBy(
                        RunEntryRow::runId,
                        Collectors.mapping(each -> EntryRows.entry(each.entry()), Collectors.toList())));
        return mapper.findAll(ids).stream()
                .map(row -> run(row, entries.getOrDefault(row.id(), List.of())))
                .toList();
    }

    /** The last tests of a unit that were ended, the oldest first. */
    @Transactional(readOnly = true)
    public List<RunSnapshot> lastOf(long unitId, int maximum) {
        return all(mapper.lastOfUnit(unitId, maximum));
    }

    private RunSnapshot run(RunRow row, List<Entry> entries) {
        long taught = row.learntId() == null ? NOTHING_LEARNT : row.learntId();
        Design design = design(assemblies.revision(row.revisionId()), row.ambientC(), taught);
        return run(row, TestRun.of(design, row.approach().approach(), row.conditions(), entries));
    }

    private RunSnapshot run(RunRow row, TestRun test) {
        Revision revision = assemblies.revision(row.revisionId());
        Optional<RunSnapshot.RunEnd> end = row.outcome() == null
                ? Optional.empty()
                : Optional.of(new RunSnapshot.RunEnd(
                        RunOutcome.ofStored(row.outcome()),
                        Objects.requireNonNull(row.endedBy()),
                        Objects.requireNonNull(row.endedAt())));
        return new RunSnapshot(
                row.id(),
                row.unitId(),
                row.serial(),
                revision,
                test,
                row.startedBy(),
                row.startedAt(),
                pulse(test, end),
                end);
    }

    static String pulse(TestRun test, Optional<RunSnapshot.RunEnd> end) {
        return test.entries().size() + "." + test.takenBack() + "." + (end.isPresent() ? 1 : 0);
    }

    /** Whether anything has changed since a run had that pulse. Costs one small query. */
    @Transactional(readOnly = true)
    public boolean hasChanged(long id, String pulse) {
        return !pulse.equals(mapper.pulse(id));
    }

    /** A revision made ready for one temperature. */
    private Design design(Revision revision, double ambientC, long taught) {
        return designs.get(
                new DesignKey(revision.id(), ambientC, taught),
                any -> Design.of(revision.assembly(), ambientC, learnt(taught), history(taught)));
    }

    private FaultHistory history(long taught) {
        return taught == NOTHING_LEARNT
                ? FaultHistory.NONE
                : Learning.history(learnt.tests(taught), learnt.faults(taught));
    }

    private Map<String, LearntResistance> learnt(long taught) {
        return taught == NOTHING_LEARNT ? Map.of() : Learning.read(learnt.wires(taught));
    }

    /**
     * A test, held against others until the transaction ends.
     *
     * @throws NotFound if there is none of that number
     */
    @Transactional
    public RunSnapshot hold(long runId) {
        if (mapper.lock(runId) == null) {
            throw new NotFound(Message.of("test_runs.there_no_test_number", runId));
        }
        return find(runId);
    }

    /** Ends a run: its readings are closed, and the unit goes where the outcome sends it. */
    @Transactional
    public RunSnapshot end(long runId, String by) {
        RunSnapshot run = hold(runId);
        if (!run.isUnderWay()) {
            return run;
        }
        if (!run.test().toRestore().isEmpty()) {
            throw new Refusal(
                    "",
                    Message.of(
                            "test_runs.not_everything_restored_test",
                            Message.list(
                                    MessageArgument.Listing.Link.COMMA,
                                    run.test().toRestore().stream()
                                            .map(Subject::words)
                                            .toList())));
        }
        List<RunFinding> findings = run.test().findings();
        RunOutcome outcome = run.test().outcome();
        String summary = String.join(
                " ",
                findings.stream()
                        .map(RunFinding::finding)
                        .map(each -> Words.say(each.message()))
                        .toList());
        run.test()
                .asBuilt()
                .ifPresent(built -> assemblies.reviseUnit(run.revision().assemblyId(), run.unitId(), built, by));
        boolean signed = assemblies.needsSignOff(run.revision().assemblyId());
        mapper.insertEnd(runId, outcome.stored(), summary, by, clock.instant());
        units.setState(
                run.unitId(),
                switch (outcome) {
                    case PASS, MARGINAL -> signed ? UnitState.ON_THE_BENCH : UnitState.IN_SERVICE;
                    case FAIL -> UnitState.QUARANTINED;
                    case INCOMPLETE -> UnitState.ON_THE_BENCH;
                });
        RunSnapshot ended = find(runId);
        events.publishEvent(new RunEnded(ended));
        return ended;
    }

    /** Runs under way, newest first. */
    @Transactional(readOnly = true)
    public List<RunLine> underWay(int limit) {
        return mapper.underWay(limit);
    }

    /** Tests that ended before a moment, the last first, whose assembly, serial or findings contain a text. */
    @Transactional(readOnly = true)
    public List<RunLine> ended(String search, Instant before, int limit) {
        return mapper.ended(recordSearch(Patterns.containing(search)), before, limit);
    }

    private RecordSearch recordSearch(String pattern) {
        return pattern.isEmpty()
                ? RecordSearch.NOTHING
                : new RecordSearch(
                        pattern,
                        RecordSearch.Matching.of(
                                mapper.unitsMatching(pattern, RecordSearch.FEW_UNITS + 1), RecordSearch.FEW_UNITS),
                        RecordSearch.Matching.of(
                                mapper.assembliesMatching(pattern, RecordSearch.FEW_ASSEMBLIES + 1),
                                RecordSearch.FEW_ASSEMBLIES));
    }

    /** Runs of one unit, newest first. */
    @Transactional(readOnly = true)
    public List<RunLine> ofUnit(long unitId) {
        return mapper.ofUnit(unitId, PAGE);
    }
}
