package zestymarten.core.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Isolated;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.WireList;
import zestymarten.core.quantity.Trials;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestStep;

/** A test that follows its earlier state answers just as one that is made anew of all its entries. */
@Isolated("it compares times")
class KeptStateTest {
    private static final List<String> SHORTS =
            List.of("OL", "OL", "OL", "OL", "OL", "OL", "0.4", "b", "3k", "n", "???");
    private static final List<String> ENDS = List.of("0.6", "0.6", "0.6", "0.6", "0.61", "OL", "1.9", "b", "2k", "30");

    private static Assembly assembly(int wires) {
        StringBuilder list = new StringBuilder("wire,from,to,function,length_m,area_mm2\n");
        for (int i = 1; i <= wires; i++) {
            list.append("W" + i + ",J1." + i + ",J2." + i + ",f" + i % 3 + ",8,0.5\n");
        }
        return WireList.read(list.toString()).assembly("Cable", AssemblyKind.CABLE, "", Map.of());
    }

    private static Entry.Content content(TestRun test, TestStep step, Random random) {
        if (random.nextInt(12) == 0 && !(step instanceof TestStep.LeadCheck)) {
            return new Entry.Content.Skip("not in reach");
        }
        if (step instanceof TestStep.ManualStep) {
            return new Entry.Content.Done("");
        }
        List<String> choice = step instanceof TestStep.LeadCheck
                ? List.of("b", "0.30", "0.34")
                : step.stage() == Stage.CONTINUITY ? ENDS : SHORTS;
        String typed = choice.get(random.nextInt(choice.size()));
        return new Entry.Content.Reading(typed, test.understand(step, typed));
    }

    private static TestStep step(TestRun test, Random random) {
        List<TestStep> due = test.undone().limit(6).toList();
        if (!due.isEmpty() && random.nextInt(5) > 0) {
            return due.get(random.nextInt(due.size()));
        }
        if (random.nextInt(6) == 0) {
            return new TestStep.ManualStep(ManualAction.ZERO_DRIFTS);
        }
        List<TestStep> all = test.steps().limit(60).toList();
        return all.get(random.nextInt(all.size()));
    }

    /** What was found, how probable it is and what it rests on. */
    private static List<String> found(TestRun test) {
        return test.findings().stream()
                .map(each -> "%s %.6f %s %s"
                        .formatted(
                                each.finding(),
                                each.probability(),
                                each.alternatives(),
                                each.evidence().stream().map(Entry::sequence).toList()))
                .toList();
    }

    private static void answersAlike(TestRun kept, TestRun anew, String when) {
        assertThat(kept.current()).as(when).isEqualTo(anew.current());
        assertThat(kept.undone().toList())
                .as(when)
                .isEqualTo(anew.steps().filter(step -> !anew.isDone(step)).toList());
        for (Stage stage : Stage.values()) {
            assertThat(kept.left(stage))
                    .as("%s, left of %s", when, stage)
                    .isEqualTo(anew.left(stage))
                    .isEqualTo(
                            anew.steps(stage).filter(step -> !anew.isDone(step)).count());
        }
        for (Entry entry : anew.entries()) {
            assertThat(kept.judgement(entry)).as(when).isEqualTo(anew.judgement(entry));
            assertThat(kept.state(entry.step())).as(when).isEqualTo(anew.state(entry.step()));
            assertThat(kept.entry(entry.id())).as(when).contains(entry);
        }
        assertThat(found(kept)).as(when).isEqualTo(found(anew));
        if (anew.entries().size() % 8 > 0) {
            return; // what is to be measured next costs a search among the faults each time
        }
        assertThat(kept.explanations()).as(when).hasSameSizeAs(anew.explanations());
        assertThat(kept.best(5)).as(when).isEqualTo(anew.best(5));
        assertThat(kept.outcome()).as(when).isEqualTo(anew.outcome());
        assertThat(kept.byHalves()).as(when).isEqualTo(anew.byHalves());
        assertThat(kept.secondsLeft()).as(when).isEqualTo(anew.secondsLeft());
    }

    private static void play(TestMethod method, int wires, long seed) {
        Random random = new Random(seed);
        Design design = Design.of(assembly(wires), 20);
        TestOptions approach = new TestOptions(method, false, random.nextBoolean(), OptionalDouble.empty());
        List<Entry> entries = new ArrayList<>();
        TestRun kept = TestRun.of(design, approach, Bench.CONDITIONS, entries);
        for (int i = 1; i <= 40; i++) {
            TestStep step = step(kept, random);
            Entry entry = new Entry(
                    new UUID(seed, i),
                    i,
                    step,
                    kept.nextAttempt(step),
                    content(kept, step, random),
                    false,
                    "bench",
                    Instant.EPOCH.plusSeconds(i));
            if (random.nextInt(8) == 0) {
                kept.plus(new Entry(
                                new UUID(seed, -i),
                                i,
                                step,
                                kept.nextAttempt(step),
                                content(kept, step, random),
                                false,
                                "rolled back",
                                Instant.EPOCH))
                        .left();
            }
            entries.add(entry);
            kept = kept.plus(entry);
            answersAlike(
                    kept,
                    TestRun.of(design, approach, Bench.CONDITIONS, entries),
                    method + " " + seed + ", entry " + i + " at " + Bench.say(step));
        }
    }

    @Test
    void aKeptStateAnswersAsOneThatIsMadeAnewAfterEveryEntry() {
        for (long seed = 1; seed <= Trials.of(3); seed++) {
            play(TestMethod.BOTH_ENDS, 5, seed);
            play(TestMethod.EACH_TO_REST, 4, seed);
            play(TestMethod.BY_HALVES, 5, seed);
            play(TestMethod.FAR_END_JOINED, 4, seed);
        }
    }

    /** With a margin, as other work on the machine may fall on either hundred. Made anew each time it took eight times as long. */
    @Test
    void oneReadingMoreCostsAsMuchAtTheTenthEntryAsAtTheThousandth() {
        Bench bench = Bench.of(list(46)).type("b", "0.30");
        for (int i = 0; i < 46; i++) {
            bench.type("0.6");
        }
        thousandPairs(bench.test(), 0);
    }

    /** The same with a broken wire, which is found again after every reading. */
    @Test
    void soItDoesWithAFaultInTheUnit() {
        Bench bench = Bench.of(list(46)).type("b", "0.30");
        for (int i = 0; i < 46; i++) {
            if (i == 3) {
                bench.type("OL", "OL");
            } else {
                bench.type("0.6");
            }
        }
        thousandPairs(bench.test(), 1);
    }

    private static void thousandPairs(TestRun first, int findings) {
        TestRun test = first;
        List<Long> early = new ArrayList<>();
        List<Long> late = new ArrayList<>();
        for (int i = 1; i <= 1000; i++) {
            TestStep step = test.current().orElseThrow();
            long begun = System.nanoTime();
            test = test.plus(new Entry(
                    new UUID(1, i),
                    test.entries().size() + 1,
                    step,
                    1,
                    new Entry.Content.Reading("OL", test.understand(step, "OL")),
                    false,
                    "bench",
                    Instant.EPOCH));
            assertThat(test.current()).isPresent();
            assertThat(test.findings()).hasSize(findings);
            assertThat(test.left()).isPositive();
            long taken = System.nanoTime() - begun;
            if (i > 100 && i <= 200) {
                early.add(taken);
            } else if (i > 900) {
                late.add(taken);
            }
        }
        assertThat(median(late))
                .as("ns of one of the last hundred, as the second hundred took")
                .isLessThan(2 * median(early));
    }

    /** What the machine does beside it delays a few of them. */
    private static long median(List<Long> taken) {
        return taken.stream().sorted().skip(taken.size() / 2).findFirst().orElseThrow();
    }

    private static String list(int wires) {
        StringBuilder list = new StringBuilder("wire,from,to,length_m,area_mm2\n");
        for (int i = 1; i <= wires; i++) {
            list.append("W" + i + ",J1." + i + ",J2." + i + ",8,0.5\n");
        }
        return list.toString();
    }
}
