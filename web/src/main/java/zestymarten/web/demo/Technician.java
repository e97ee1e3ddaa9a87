package zestymarten.web.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.SplittableRandom;
import java.util.UUID;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.fault.FaultyUnit;
import zestymarten.core.fault.GoodUnit;
import zestymarten.core.fault.Probe;
import zestymarten.core.fault.SeededFault;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestStep;
import zestymarten.web.assembly.Revision;
import zestymarten.web.testrun.RunEntries;
import zestymarten.web.testrun.RunSnapshot;
import zestymarten.web.testrun.TestRuns;

/** Tests a unit as a technician would, at a moment in the past: types what the meter shows, step by step. */
final class Technician {
    private static final MeterProfile METER = new MeterProfile("bench meter 2", 0.008, 0.01, 30, false, 20e6);
    /** What the two leads and their contacts add to every reading. */
    private static final double LEADS_OHM = 0.3;

    private static final double UNLIKE = 0.02;
    private static final Duration PACE = Duration.ofSeconds(6);

    private final TestRuns runs;
    private final RunEntries book;
    private final String name;

    Technician(TestRuns runs, RunEntries book, String name) {
        this.runs = runs;
        this.book = book;
        this.name = name;
    }

    /** Tests until nothing is due, or until so many entries were made; ends the run only in the first case. */
    void test(Revision revision, String serial, List<SeededFault> faults, double ambientC, Instant from, int entries) {
        test(revision, serial, faults, ambientC, from, entries, TestOptions.QUICK);
    }

    /** The same in a way of its own. */
    void test(
            Revision revision,
            String serial,
            List<SeededFault> faults,
            double ambientC,
            Instant from,
            int entries,
            TestOptions approach) {
        TestConditions conditions = new TestConditions(
                ambientC, METER, OptionalDouble.empty(), LeadPolicy.FULL, false, TestConditions.JOINED_BELOW_OHM);
        Clock clock = ticking(from);
        TestRuns then = runs.withClock(clock);
        RunEntries kept = book.withClock(clock);
        long id = then.start(revision.assemblyId(), serial, conditions, approach, name);
        Probe probe = probe(Design.of(revision.assembly(), ambientC), faults, conditions);
        RunSnapshot run = then.find(id);
        for (int i = 0; i < entries && run.test().current().isPresent(); i++) {
            TestStep step = run.test().current().get();
            String shown = step.fold(
                    probes -> probes.question() == TestStep.LeadCheck.LeadQuestion.TONE ? "b" : "0.30",
                    measurement -> measurement.isOnDiodeRange()
                            ? probe.showsOnDiodeRange(
                                    measurement.black(), measurement.red(), state(revision, measurement))
                            : probe.shows(
                                    measurement.black(),
                                    measurement.red(),
                                    state(revision, measurement),
                                    measurement.links()),
                    Technician::answer);
            UUID entry = new UUID(from.toEpochMilli(), i + 1L);
            RunEntries.SentEntry sent =
                    new RunEntries.SentEntry(entry, step, run.test().nextAttempt(step), shown, OptionalInt.of(0));
            run = ((RunEntries.EntryAnswer.EntryKept) kept.enter(id, sent, name)).run();
        }
        if (run.test().current().isEmpty()) {
            then.end(id, name);
        }
    }

    private static SwitchState state(Revision revision, TestStep.Measurement measurement) {
        List<SwitchState> states = revision.assembly().states();
        return states.stream()
                .filter(each -> each.id().equals(measurement.state()))
                .findFirst()
                .orElse(states.get(0));
    }

    /** A bench where everything is as it should be. */
    private static String answer(TestStep.ManualStep manual) {
        return switch (manual.action()) {
            case LIVE_BEFORE, LIVE_AFTER -> "231";
            case DEAD, DISCHARGED, DISCHARGED_WET, DISCHARGED_LAST -> "0";
            case WARMED -> "40";
            case FRAME_PROOF -> "0.4";
            case SYMPTOM, FUNCTION -> "works";
            default -> "";
        };
    }

    /** Two probes on a unit with faults; no two of its wires are alike, by a spread of a few percent that looks like chance. */
    private static Probe probe(Design design, List<SeededFault> faults, TestConditions conditions) {
        List<Conductor> wires = design.assembly().conductors();
        GoodUnit good = GoodUnit.spread(design, wire -> 1 + UNLIKE * Math.sin(7.3 * (wires.indexOf(wire) + 1)));
        return new Probe(FaultyUnit.of(good, faults), conditions.withLeads(LEADS_OHM), new SplittableRandom(7), 0);
    }

    /** A clock that moves on by one measurement whenever it is looked at. */
    private static Clock ticking(Instant from) {
        return new Clock() {
            private Instant now = from;

            @Override
            public ZoneId getZone() {
                return ZoneOffset.UTC;
            }

            @Override
            public Clock withZone(ZoneId zone) {
                return this;
            }

            @Override
            public Instant instant() {
                now = now.plus(PACE);
                return now;
            }
        };
    }
}
