package zestymarten.core.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import zestymarten.core.quantity.English;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Purpose;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;

/** A unit comes back repaired: what the repair concerns is shown again, and what was not is said. */
class RetestTest {
    private static final String TEN = wires();

    private static String wires() {
        StringBuilder list = new StringBuilder("wire,from,to,length_m,area_mm2\n");
        for (int i = 1; i <= 10; i++) {
            list.append("W%d,J1.%d,J2.%d,8,0.5%n".formatted(i, i, i));
        }
        return list.toString();
    }

    private static Bench retest(String subject) {
        return Bench.of(TEN).enters(ManualAction.PURPOSE, "", Purpose.RETEST.code() + " " + subject);
    }

    private static List<TestStep.Measurement> measured(Bench bench, String joined) {
        List<TestStep.Measurement> made = new ArrayList<>();
        for (Optional<TestStep> due = bench.test().current();
                due.isPresent();
                due = bench.test().current()) {
            TestStep step = due.get();
            assertThat(made).as("it never ends").hasSizeLessThan(100);
            if (step instanceof TestStep.Measurement measurement) {
                boolean through = bench.test().expectation(measurement).fold(any -> true, () -> false);
                bench.at(step, through ? joined : "OL");
                made.add(measurement);
            } else {
                step.fold(
                        probes -> bench.type(probes.question() == TestStep.LeadCheck.LeadQuestion.TONE ? "b" : "0.2"),
                        any -> bench,
                        manual -> bench.manual(""));
            }
        }
        return made;
    }

    @Test
    void itMeasuresTheWireItsNeighboursAndThePairsBetweenAndNothingElse() {
        Bench bench = retest("W4");
        List<TestStep.Measurement> made = measured(bench, "0.5");
        assertThat(made.stream()
                        .filter(each -> each.stage() == Stage.CONTINUITY)
                        .map(each -> each.black().name()))
                .containsExactly("J1.3", "J1.4", "J1.5");
        assertThat(made.stream().filter(each -> each.stage() == Stage.SHORTS))
                .isNotEmpty()
                .allMatch(each ->
                        each.black().name().endsWith(".4") || each.red().name().endsWith(".4"));
        assertThat(made).hasSizeLessThan(12);
        assertThat(bench.test().findings()).isEmpty();
        assertThat(bench.test().retested()).isEqualTo("W4");
        assertThat(bench.test().outcome()).as("not everything was measured").isEqualTo(RunOutcome.INCOMPLETE);
    }

    @Test
    void whatIsStillWrongFails() {
        Bench bench = retest("W4");
        measured(bench, "9");
        assertThat(bench.test().outcome()).isEqualTo(RunOutcome.FAIL);
    }

    @Test
    void itCanBecomeAWholeTestAndNothingMeasuredIsLost() {
        Bench bench = retest("W4 W9");
        int before = measured(bench, "0.5").size();
        bench.enters(ManualAction.PURPOSE, "", Purpose.EVERYTHING.code());
        int after = measured(bench, "0.5").size();
        assertThat(bench.test().outcome()).isEqualTo(RunOutcome.PASS);
        Bench whole = Bench.of(TEN);
        assertThat(before + after).isEqualTo(measured(whole, "0.5").size());
    }

    @Test
    void aRetestNamesWhatWasRepairedAndNothingElseDoes() {
        TestStep.ManualStep manual = new TestStep.ManualStep(ManualAction.PURPOSE, "");
        assertThat(TestRun.expected(manual, "retest").map(English::of)).isPresent();
        assertThat(TestRun.expected(manual, "retest W4").map(English::of)).isEmpty();
        assertThat(TestRun.expected(manual, "everything W4").map(English::of)).isPresent();
        assertThat(TestRun.expected(manual, "find_fault").map(English::of)).isEmpty();
        assertThat(TestRun.expected(manual, "").map(English::of)).isPresent();
    }
}
