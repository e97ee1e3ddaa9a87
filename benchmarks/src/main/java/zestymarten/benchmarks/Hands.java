package zestymarten.benchmarks;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.IntStream;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.fault.Probe;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.EffortModel;
import zestymarten.core.testrun.Entry;
import zestymarten.core.testrun.TestRun;

/** A technician who does what the test asks for. */
final class Hands {
    private static final int MAX_STEPS = 400;
    private static final EffortModel.Pace PACE = EffortModel.Pace.USUAL;

    private final Assembly assembly;
    private final Probe probe;
    private TestRun test;
    private int entries;
    private int measurements;
    private double seconds;
    private Set<Terminal> probes = Set.of();

    Hands(Design design, TestConditions conditions, Probe probe) {
        assembly = design.assembly();
        this.probe = probe;
        TestOptions approach = new TestOptions(TestMethod.BOTH_ENDS, false, true, OptionalDouble.empty());
        test = TestRun.of(design, approach, conditions, List.of());
    }

    void work() {
        Optional<TestStep> due = test.current();
        for (int i = 0; i < MAX_STEPS && due.isPresent(); i++) {
            due.get().fold(this::check, this::measure, manual -> enter(manual, new Entry.Content.Done("")));
            due = test.current();
        }
    }

    private boolean check(TestStep.LeadCheck step) {
        seconds += PACE.measurement();
        return read(step, step.question() == TestStep.LeadCheck.LeadQuestion.TONE ? "b" : "0.25");
    }

    private boolean measure(TestStep.Measurement step) {
        Set<Terminal> next = Set.of(step.black(), step.red());
        long moved = next.stream().filter(each -> !probes.contains(each)).count();
        seconds += PACE.measurement() + moved * PACE.move();
        probes = next;
        measurements++;
        SwitchState state = assembly.states().stream()
                .filter(each -> each.id().equals(step.state()))
                .findFirst()
                .orElse(assembly.states().get(0));
        return read(step, probe.shows(step.black(), step.red(), state, step.links()));
    }

    private boolean read(TestStep step, String shown) {
        MeterReading understood = test.understand(step, shown);
        MeterReading meant = understood instanceof MeterReading.Ambiguous asked
                ? asked.candidates().get(0)
                : understood;
        return enter(step, new Entry.Content.Reading(shown, meant));
    }

    TestRun test() {
        return test;
    }

    /** Mean, median and worst, as three cells of a table. */
    static String spread(IntStream measurements) {
        int[] all = measurements.sorted().toArray();
        return "%.1f | %d | %d"
                .formatted(Arrays.stream(all).average().orElseThrow(), all[all.length / 2], all[all.length - 1]);
    }

    /** What the likeliest explanation names as faulty. */
    Set<String> named() {
        Set<String> named = new TreeSet<>();
        test.explanations().stream()
                .limit(1)
                .flatMap(each -> each.faults().stream())
                .forEach(each -> named.addAll(each.named()));
        return named;
    }

    int measurements() {
        return measurements;
    }

    double seconds() {
        return seconds;
    }

    boolean enter(TestStep step, Entry.Content content) {
        int sequence = ++entries;
        test = test.plus(new Entry(
                new UUID(0, sequence), sequence, step, test.nextAttempt(step), content, false, "study", Instant.EPOCH));
        return true;
    }
}
