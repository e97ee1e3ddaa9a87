package zestymarten.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import zestymarten.core.fault.Probe;
import zestymarten.core.fault.RandomHarness;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Purpose;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.Entry;
import zestymarten.core.testrun.RecordedSymptoms;
import zestymarten.core.testrun.RunOutcome;

/**
 * Whole tests of made-up units, step by step as the program asks for them: Find the fault against Test everything. Free ends,
 * both in reach, so that there are no trips; time is that of the program's own pace.
 */
final class Purposes {
    private static final int[] WIRES = {6, 8, 10, 12};
    private static final double ACCURACY = 0.008;

    private Purposes() {}

    /** What a test of one unit took. */
    private record TestOfUnit(int measurements, double seconds, boolean right, boolean passed) {}

    /** A table: one and two faults, with and without symptoms, both purposes. */
    static List<String> lines(int units, double badContact) {
        List<String> lines = new ArrayList<>(List.of(
                "| faults | symptoms | purpose | units | measurements, mean | median | worst | minutes, mean | named exactly | faulty that passed |",
                "|---|---|---|---|---|---|---|---|---|---|"));
        for (int faults = 1; faults <= 2; faults++) {
            for (boolean known : new boolean[] {false, true}) {
                for (Purpose purpose : List.of(Purpose.FIND_FAULT, Purpose.EVERYTHING)) {
                    List<TestOfUnit> tests = new ArrayList<>();
                    for (int i = 0; i < units; i++) {
                        tests.add(test(i, faults, known, purpose, badContact));
                    }
                    lines.add(line(faults, known, purpose, tests));
                }
            }
        }
        return lines;
    }

    private static String line(int faults, boolean known, Purpose purpose, List<TestOfUnit> tests) {
        return "| %d | %s | %s | %d | %s | %.1f | %.1f %% | %d |"
                .formatted(
                        faults,
                        known ? "entered" : "none",
                        purpose == Purpose.FIND_FAULT ? "Find the fault" : "Test everything",
                        tests.size(),
                        Hands.spread(tests.stream().mapToInt(TestOfUnit::measurements)),
                        tests.stream()
                                        .mapToDouble(TestOfUnit::seconds)
                                        .average()
                                        .orElseThrow()
                                / 60,
                        100.0 * tests.stream().filter(TestOfUnit::right).count() / tests.size(),
                        tests.stream().filter(TestOfUnit::passed).count());
    }

    private static TestOfUnit test(int seed, int faults, boolean known, Purpose purpose, double badContact) {
        Random random = new Random(7000L + seed);
        int wires = WIRES[seed % WIRES.length];
        RandomHarness unit = (seed % 2 == 0 ? RandomHarness.cable(random, wires) : RandomHarness.harness(random, wires))
                .sabotage(faults);
        TestConditions conditions = Cables.conditions(ACCURACY);
        Probe probe = new Probe(unit.unit(), conditions, new Random(seed), badContact);
        Hands hands = new Hands(unit.design(), conditions, probe);
        hands.enter(new TestStep.ManualStep(ManualAction.PURPOSE), new Entry.Content.Done(purpose.code()));
        if (known) {
            List<String> words =
                    RecordedSymptoms.codes(); // the first says nothing, the others are those of the behaviours
            Study.symptoms(unit)
                    .functions()
                    .forEach((function, behaviour) -> hands.enter(
                            new TestStep.ManualStep(ManualAction.SYMPTOM, function),
                            new Entry.Content.Done(words.get(1 + behaviour.ordinal()))));
        }
        hands.work();
        boolean faulty = !unit.truth().isEmpty();
        return new TestOfUnit(
                hands.measurements(),
                hands.seconds(),
                hands.named().equals(DiagnosisRun.namesOf(unit.truth())),
                faulty && hands.test().outcome() == RunOutcome.PASS);
    }
}
