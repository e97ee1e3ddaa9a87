package zestymarten.core.testrun;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.CavityLayout;
import zestymarten.core.assembly.Subject;
import zestymarten.core.assembly.WireList;
import zestymarten.core.finding.FaultHistory;
import zestymarten.core.limit.LearntResistance;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.English;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestStep;

/** A technician at the bench, for tests: types what the meter shows at whatever step is due. */
final class Bench {
    static final TestConditions CONDITIONS = new TestConditions(
            20,
            new MeterProfile("bench meter", 0.005, 0.01, 30, false, 20e6),
            OptionalDouble.empty(),
            LeadPolicy.FULL,
            false,
            TestConditions.JOINED_BELOW_OHM);

    private final Design design;
    private final TestOptions approach;
    private TestConditions conditions = CONDITIONS;
    private Instant now = Instant.EPOCH;
    private final List<Entry> entries = new ArrayList<>();
    private Optional<TestRun> test = Optional.empty();

    private Bench(Design design, TestOptions approach) {
        this.design = design;
        this.approach = approach;
    }

    static Bench of(String wireList) {
        return of(wireList, TestOptions.QUICK);
    }

    static Bench of(String wireList, TestOptions approach) {
        return new Bench(
                Design.of(WireList.read(wireList).assembly("Cable", AssemblyKind.CABLE, "", Map.of()), 20), approach);
    }

    static Bench of(String wireList, Map<String, LearntResistance> learnt) {
        Assembly assembly = WireList.read(wireList).assembly("Cable", AssemblyKind.CABLE, "", Map.of());
        return new Bench(Design.of(assembly, 20, learnt), TestOptions.QUICK);
    }

    static Bench of(String wireList, FaultHistory history) {
        Assembly assembly = WireList.read(wireList).assembly("Cable", AssemblyKind.CABLE, "", Map.of());
        return new Bench(Design.of(assembly, 20, Map.of(), history), TestOptions.QUICK);
    }

    static Bench of(Assembly assembly, TestOptions approach) {
        return new Bench(Design.of(assembly, 20), approach);
    }

    static Bench withCavities(String wireList, String connector, int cavities) {
        return new Bench(
                Design.of(
                        WireList.read(wireList)
                                .assembly(
                                        "Cable",
                                        AssemblyKind.CABLE,
                                        "",
                                        Map.of(connector, CavityLayout.line(cavities))),
                        20),
                TestOptions.QUICK);
    }

    /** The same bench with another meter. */
    Bench with(MeterProfile meter) {
        conditions = new TestConditions(
                20, meter, OptionalDouble.empty(), LeadPolicy.FULL, false, TestConditions.JOINED_BELOW_OHM);
        test = Optional.empty();
        return this;
    }

    /** The same bench under other conditions. */
    Bench under(TestConditions others) {
        conditions = others;
        test = Optional.empty();
        return this;
    }

    /** The test as it stands, with what earlier states have counted, as the product keeps it. */
    TestRun test() {
        TestRun now = test.orElseGet(() -> TestRun.of(design, approach, conditions, entries));
        test = Optional.of(now);
        return now;
    }

    TestStep step() {
        return test().current().orElseThrow();
    }

    String sentence() {
        return say(step());
    }

    /** What is still to be restored, by its code. */
    List<String> toRestore() {
        return test().toRestore().stream().map(Subject::code).toList();
    }

    static String say(TestStep step) {
        return step.fold(
                probes -> probes.stage() + " " + probes.question(),
                measurement -> measurement.stage() + " " + measurement.black() + " " + measurement.red()
                        + (measurement.isLinked() ? " linked" : ""),
                manual -> manual.action()
                        + (manual.subject().isNothing()
                                ? ""
                                : " " + manual.subject().code()));
    }

    String understood(String typed) {
        MeterReading understood = test().understand(step(), typed);
        return understood instanceof MeterReading.Ambiguous ambiguous
                ? English.of(ambiguous.question())
                : English.of(understood.message());
    }

    Bench type(String... readings) {
        for (String reading : readings) {
            at(step(), reading);
        }
        return this;
    }

    /** Types a reading, and says that it is meant where that is asked. */
    Bench typeAndMean(String reading) {
        TestStep step = step();
        MeterReading understood = test().understand(step, reading);
        return add(
                step,
                new Entry.Content.Reading(
                        reading,
                        understood instanceof MeterReading.Ambiguous asked
                                ? asked.candidates().get(0)
                                : understood));
    }

    Bench at(TestStep step, String reading) {
        return add(step, new Entry.Content.Reading(reading, test().understand(step, reading)));
    }

    /** Does what is due, or says what is seen there. */
    Bench manual(String... words) {
        for (String each : words) {
            add(step(), new Entry.Content.Done(each));
        }
        return this;
    }

    Bench enters(ManualAction action, String subject, String words) {
        return add(new TestStep.ManualStep(action, subject), new Entry.Content.Done(words));
    }

    Bench repair(String subject, Entry.Way way) {
        return add(new TestStep.ManualStep(ManualAction.REPAIR, subject), new Entry.Content.Repair(way, "", ""));
    }

    Bench repair(String subject, Entry.Content.Repair repair) {
        return add(new TestStep.ManualStep(ManualAction.REPAIR, subject), repair);
    }

    /** Lets so many seconds pass. */
    Bench wait(int seconds) {
        now = now.plusSeconds(seconds);
        return this;
    }

    Bench skip(String reason) {
        return add(step(), new Entry.Content.Skip(reason));
    }

    private Bench add(TestStep step, Entry.Content content) {
        int sequence = entries.size() + 1;
        TestRun before = test();
        Entry entry = new Entry(
                new UUID(0, sequence), sequence, step, before.nextAttempt(step), content, false, "bench", now);
        entries.add(entry);
        test = Optional.of(before.plus(entry));
        return this;
    }

    Bench takeBack() {
        Entry last = test().last().orElseThrow();
        entries.set(
                last.sequence() - 1,
                new Entry(
                        last.id(),
                        last.sequence(),
                        last.step(),
                        last.attempt(),
                        last.content(),
                        true,
                        last.by(),
                        last.at()));
        test = Optional.empty();
        return this;
    }
}
