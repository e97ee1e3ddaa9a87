package zestymarten.benchmarks;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.fault.Probe;
import zestymarten.core.fault.RandomHarness;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Purpose;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.EffortModel;
import zestymarten.core.testrun.Entry;
import zestymarten.core.testrun.RecordedSymptoms;
import zestymarten.core.testrun.RunOutcome;
import zestymarten.core.testrun.TestRun;

/**
 * Whole tests of made-up units, step by step as the program asks for them: Find the fault against Test everything. Free ends,
 * both in reach, so that there are no trips; time is that of the program's own pace.
 */
final class Purposes {
    private static final int[] WIRES = {6, 8, 10, 12};
    private static final int MOST_STEPS = 400;
    private static final EffortModel.Pace PACE = EffortModel.Pace.USUAL;
    private static final double ACCURACY = 0.008;

    private Purposes() {}

    /** What a test of one unit took. */
    private record TestOfUnit(int measurements, double seconds, boolean right, boolean passed) {}

    /** A table: one and two faults, with and without symptoms, both purposes. */
    static List<String> lines(int units, double badTouch) {
        List<String> lines = new ArrayList<>(List.of(
                "| faults | symptoms | purpose | units | measurements, mean | median | worst | minutes, mean | named exactly | faulty that passed |",
                "|---|---|---|---|---|---|---|---|---|---|"));
        for (int faults = 1; faults <= 2; faults++) {
            for (boolean told : new boolean[] {false, true}) {
                for (Purpose purpose : List.of(Purpose.FIND_FAULT, Purpose.EVERYTHING)) {
                    List<TestOfUnit> tests = new ArrayList<>();
                    for (int i = 0; i < units; i++) {
                        tests.add(test(i, faults, told, purpose, badTouch));
                    }
                    lines.add(line(faults, told, purpose, tests));
                }
            }
        }
        return lines;
    }

    private static String line(int faults, boolean told, Purpose purpose, List<TestOfUnit> tests) {
        int[] measurements =
                tests.stream().mapToInt(TestOfUnit::measurements).sorted().toArray();
        return "| %d | %s | %s | %d | %.1f | %d | %d | %.1f | %.1f %% | %d |"
                .formatted(
                        faults,
                        told ? "entered" : "none",
                        purpose == Purpose.FIND_FAULT ? "Find the fault" : "Test everything",
                        tests.size(),
                        tests.stream()
                                .mapToInt(TestOfUnit::measurements)
                                .average()
                                .orElseThrow(),
                        measurements[measurements.length / 2],
                        measurements[measurements.length - 1],
                        tests.stream()
                                        .mapToDouble(TestOfUnit::seconds)
                                        .average()
                                        .orElseThrow()
                                / 60,
                        100.0 * tests.stream().filter(TestOfUnit::right).count() / tests.size(),
                        tests.stream().filter(TestOfUnit::passed).count());
    }

    private static TestOfUnit test(int seed, int faults, boolean told, Purpose purpose, double badTouch) {
        Random random = new Random(7000L + seed);
        int wires = WIRES[seed % WIRES.length];
        RandomHarness unit = (seed % 2 == 0 ? RandomHarness.cable(random, wires) : RandomHarness.harness(random, wires))
                .sabotage(faults);
        TestConditions conditions = Cables.conditions(ACCURACY);
        Probe probe = new Probe(unit.unit(), conditions, new Random(seed), badTouch);
        Hands hands = new Hands(unit, conditions, probe);
        hands.enter(new TestStep.ManualStep(ManualAction.PURPOSE), new Entry.Content.Done(purpose.code()));
        if (told) {
            List<String> words =
                    RecordedSymptoms.words(); // the first says nothing, the others are those of the behaviours
            Study.complaint(unit)
                    .functions()
                    .forEach((function, behaviour) -> hands.enter(
                            new TestStep.ManualStep(ManualAction.COMPLAINT, function),
                            new Entry.Content.Done(words.get(1 + behaviour.ordinal()))));
        }
        hands.work();
        Set<String> named = new TreeSet<>();
        hands.test.explanations().stream()
                .limit(1)
                .flatMap(each -> each.faults().stream())
                .forEach(each -> named.addAll(each.named()));
        boolean faulty = !unit.told().isEmpty();
        return new TestOfUnit(
                hands.measurements,
                hands.seconds,
                named.equals(Study.namesOf(unit.told())),
                faulty && hands.test.outcome() == RunOutcome.PASS);
    }

    /** A technician who does what the test asks for. */
    private static final class Hands {
        private final RandomHarness unit;
        private final Probe probe;
        private TestRun test;
        private int entries;
        private int measurements;
        private double seconds;
        private Set<Terminal> probes = Set.of();

        Hands(RandomHarness unit, TestConditions conditions, Probe probe) {
            this.unit = unit;
            this.probe = probe;
            TestOptions approach = new TestOptions(TestMethod.BOTH_ENDS, false, true, OptionalDouble.empty());
            test = TestRun.of(unit.design(), approach, conditions, List.of());
        }

        void work() {
            Optional<TestStep> due = test.current();
            for (int i = 0; i < MOST_STEPS && due.isPresent(); i++) {
                due.get().fold(this::check, this::measure, act -> enter(act, new Entry.Content.Done("")));
                due = test.current();
            }
        }

        private boolean check(TestStep.LeadCheck step) {
            seconds += PACE.touch();
            return read(step, step.question() == TestStep.LeadCheck.LeadQuestion.TONE ? "b" : "0.25");
        }

        private boolean measure(TestStep.Measurement step) {
            Set<Terminal> next = Set.of(step.black(), step.red());
            long moved = next.stream().filter(each -> !probes.contains(each)).count();
            seconds += PACE.touch() + moved * PACE.move();
            probes = next;
            measurements++;
            SwitchState state = unit.assembly().states().stream()
                    .filter(each -> each.id().equals(step.state()))
                    .findFirst()
                    .orElse(unit.assembly().states().get(0));
            return read(step, probe.shows(step.black(), step.red(), state, step.ties()));
        }

        private boolean read(TestStep step, String shown) {
            MeterReading understood = test.understand(step, shown);
            MeterReading meant = understood instanceof MeterReading.Ambiguous asked
                    ? asked.candidates().get(0)
                    : understood;
            return enter(step, new Entry.Content.Reading(shown, meant));
        }

        boolean enter(TestStep step, Entry.Content content) {
            int sequence = ++entries;
            test = test.plus(new Entry(
                    new UUID(0, sequence),
                    sequence,
                    step,
                    test.nextTouch(step),
                    content,
                    false,
                    "study",
                    Instant.EPOCH));
            return true;
        }
    }
}
