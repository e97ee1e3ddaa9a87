package zestymarten.web.testrun;

import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import zestymarten.core.finding.FaultHistory;
import zestymarten.core.limit.LearntResistance;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Ohms;
import zestymarten.core.testrun.Learner;
import zestymarten.web.platform.AuditEvent;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Words;

/** What good units of an assembly teach about it, for wires of which nothing else says what they may read. */
@Service
class Learning {
    private static final int MAX_UNITS = 30;
    private static final int BATCH = 1000;
    private static final int MAX_TESTS = 400;
    private static final int MAX_FAULTS = 500;

    private final LearntMapper mapper;
    private final TestRuns runs;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    Learning(LearntMapper mapper, TestRuns runs, ApplicationEventPublisher events, Clock clock) {
        this.mapper = mapper;
        this.events = events;
        this.runs = runs;
        this.clock = clock;
    }

    /** What the good units of an assembly teach now, by conductor; nothing is kept. */
    @Transactional(readOnly = true)
    public Map<String, LearntResistance> taught(long assemblyId) {
        return Learner.of(runs.all(mapper.goodRuns(assemblyId, MAX_UNITS)).stream()
                .map(RunSnapshot::test)
                .toList());
    }

    /** What is in force for an assembly: learnt before, and used by every run that starts from now on. */
    @Transactional(readOnly = true)
    public Map<String, LearntResistance> inForce(long assemblyId) {
        Long latest = mapper.latest(assemblyId);
        return latest == null ? Map.of() : read(mapper.wires(latest));
    }

    static Map<String, LearntResistance> read(List<LearntWire> wires) {
        Map<String, LearntResistance> learnt = new LinkedHashMap<>();
        wires.forEach(each -> learnt.put(
                each.conductorId(),
                new LearntResistance(each.units(), Ohms.of(each.meanOhm()), Ohms.of(each.spreadOhm()))));
        return learnt;
    }

    /** Which faults the ended tests of an assembly had; nothing is kept. */
    @Transactional(readOnly = true)
    public FaultHistory found(long assemblyId) {
        return history(mapper.endedTests(assemblyId, MAX_TESTS), mapper.faultsFound(assemblyId, MAX_TESTS, MAX_FAULTS));
    }

    /** Which of them the diagnosis of tests that start from now on begins with. */
    @Transactional(readOnly = true)
    public FaultHistory historyInForce(long assemblyId) {
        Long latest = mapper.latest(assemblyId);
        return latest == null ? FaultHistory.NONE : history(mapper.tests(latest), mapper.faults(latest));
    }

    static FaultHistory history(int tests, List<LearntFault> faults) {
        Map<FaultHistory.FaultOf, Integer> counts = new LinkedHashMap<>();
        faults.forEach(each -> counts.put(each.fault(), each.tests()));
        return tests == 0 ? FaultHistory.NONE : new FaultHistory(tests, counts);
    }

    /**
     * Puts in force what the good units teach now.
     *
     * @param withFaults whether the diagnosis is to begin with the faults that units had
     * @throws Refusal if nothing was learnt
     */
    @Transactional
    public void learn(long assemblyId, boolean withFaults, String by) {
        Map<String, LearntResistance> taught = taught(assemblyId);
        FaultHistory history = withFaults ? found(assemblyId) : FaultHistory.NONE;
        if (taught.isEmpty()
                && history.tests() == 0
                && historyInForce(assemblyId).tests() == 0) {
            throw new Refusal("", Message.of("learning.no_wire_was_measured"));
        }
        long id = mapper.insert(assemblyId, by, clock.instant(), history.tests());
        List<LearntWire> wires = taught.entrySet().stream()
                .map(each -> new LearntWire(
                        each.getKey(),
                        each.getValue().units(),
                        each.getValue().meanOhm().value(),
                        each.getValue().spreadOhm().value()))
                .toList();
        for (int first = 0; first < wires.size(); first += BATCH) {
            mapper.insertWires(id, wires.subList(first, Math.min(wires.size(), first + BATCH)));
        }
        if (!history.counts().isEmpty()) {
            mapper.insertFaults(
                    id,
                    history.counts().entrySet().stream()
                            .map(each -> new LearntFault(
                                    each.getKey().kind(), each.getKey().name(), each.getValue()))
                            .toList());
        }
        events.publishEvent(new AuditEvent(
                AuditEvent.AuditKind.LIMITS,
                Words.say("audit.assembly", String.valueOf(assemblyId)),
                Words.say("audit.learnt", wires.size(), history.tests())));
    }
}
