package zestymarten.core.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.quantity.English;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestStep;

class TestRunTest {
    private static final String THREE_CORES = "wire,from,to,function,length_m,area_mm2,current_a\n"
            + "W1,J1.1,J2.1,up,8,0.5,\nW2,J1.2,J2.2,down,8,0.5,2\nW3,J1.3,J2.3,horn,8,0.5,\n";

    private static List<String> found(TestRun test) {
        return test.findings().stream()
                .map(found -> English.of(found.finding().message()))
                .toList();
    }

    @Test
    void goesThroughTheJobInItsOrderAndPassesAGoodUnit() {
        Bench bench = Bench.of(THREE_CORES);
        assertThat(bench.sentence()).isEqualTo("METER TONE");
        bench.type("b").type("0.30");
        assertThat(bench.sentence()).isEqualTo("CONTINUITY J1.1 J2.1");
        bench.type("0.6", "0.6", "0.6");
        assertThat(bench.sentence()).isEqualTo("SHORTS J1.1 J1.2");
        bench.type("OL", "OL");
        assertThat(bench.sentence()).isEqualTo("SHORTS J1.2 J1.3");
        bench.type("OL");
        assertThat(bench.test().left()).isEqualTo(3);
        bench.type("n", "n", "n");
        assertThat(bench.test().current()).isEmpty();
        assertThat(bench.test().left()).isZero();
        assertThat(bench.test().outcome()).isEqualTo(RunOutcome.PASS);
    }

    @Test
    void asksForCleanMetalBeforeItBelievesAnOpenAndKeepsBothReadings() {
        Bench bench = Bench.of(THREE_CORES).type("b", "0.30", "OL");
        assertThat(bench.sentence()).isEqualTo("CONTINUITY J1.1 J2.1");
        assertThat(bench.test().asksForCleanMetal(bench.step())).isTrue();
        assertThat(found(bench.test())).isEmpty();
        TestStep first = bench.step();
        bench.type("0.6");
        assertThat(bench.test().entriesOf(first)).hasSize(2);
        assertThat(bench.test().state(first)).isEqualTo(StepState.MARGINAL);
        assertThat(bench.sentence()).isEqualTo("CONTINUITY J1.2 J2.2");
    }

    @Test
    void aToneOnACurrentCarryingWireAsksForTheOhms() {
        Bench bench = Bench.of(THREE_CORES).type("b", "0.30", "b");
        assertThat(bench.sentence()).isEqualTo("CONTINUITY J1.2 J2.2");
        TestStep current = bench.step();
        bench.type("b");
        assertThat(bench.step()).isEqualTo(current);
        assertThat(bench.test().state(current)).isEqualTo(StepState.DOUBTFUL);
        bench.type("0.6");
        assertThat(bench.test().state(current)).isEqualTo(StepState.PASS);
    }

    @Test
    void anOpenWireBringsItsFarEndIntoShortsAndFrame() {
        Bench bench = Bench.of(THREE_CORES).type("b", "0.30", "0.6", "OL", "OL", "0.6");
        assertThat(found(bench.test())).containsExactly("W2 is open between J1.2 and J2.2.");
        assertThat(bench.test().steps(Stage.SHORTS).map(Bench::say))
                .containsExactly(
                        "SHORTS J1.1 J1.2",
                        "SHORTS J1.1 J1.3",
                        "SHORTS J1.1 J2.2",
                        "SHORTS J1.2 J1.3",
                        "SHORTS J1.2 J2.2",
                        "SHORTS J1.3 J2.2");
        assertThat(bench.test().steps(Stage.FRAME)).hasSize(4);
        assertThat(bench.test().left(Stage.SHORTS))
                .as("its own two ends were read already")
                .isEqualTo(5);
        bench.type("OL", "OL", "OL", "OL");
        assertThat(bench.sentence()).isEqualTo("SHORTS J1.3 J2.2");
        assertThat(bench.test().findings().get(0).functionsLost()).containsExactly("down");
        assertThat(bench.test().findings().get(0).evidence()).hasSize(2);
        assertThat(bench.test().outcome()).isEqualTo(RunOutcome.FAIL);
    }

    @Test
    void twoOpensProposeTheCrossReadingsThatTellASwapFromTwoBreaks() {
        Bench bench = Bench.of(THREE_CORES).type("b", "0.30", "OL", "OL", "OL", "OL");
        assertThat(bench.sentence())
                .as("what was not expected is settled before the third wire is read")
                .isIn("SHORTS J1.1 J2.2", "SHORTS J1.2 J2.1");
        assertThat(found(bench.test()))
                .as("one crossing is likelier than two breaks")
                .containsExactly("W1 and W2 are crossed: W1 goes to J2.2 and W2 goes to J2.1.");
        RunFinding crossed = bench.test().findings().get(0);
        assertThat(crossed.certain()).isFalse();
        assertThat(crossed.probability()).isLessThan(1);
        assertThat(crossed.alternatives().stream().map(each -> each.kind() + each.conductors()))
                .contains("open[W1]", "open[W2]");
        List<TestStep.Measurement> cross = best(bench.test());
        assertThat(cross.stream().map(Bench::say)).containsAnyOf("SHORTS J1.1 J2.2", "SHORTS J1.2 J2.1");
        TestStep.Measurement one = new TestStep.Measurement(Stage.SHORTS, Terminal.of("J1.1"), Terminal.of("J2.2"));
        TestStep.Measurement other = new TestStep.Measurement(Stage.SHORTS, Terminal.of("J1.2"), Terminal.of("J2.1"));
        bench.at(one, "0.6").at(other, "0.6");
        assertThat(found(bench.test())).containsExactly("W1 and W2 are crossed: W1 goes to J2.2 and W2 goes to J2.1.");
        assertThat(bench.test().findings().get(0).evidence()).hasSize(6);
        assertThat(bench.test().findings().get(0).certain()).isTrue();
        assertThat(best(bench.test())).doesNotContain(one, other);
        assertThat(bench.sentence()).as("now the plan goes on").isEqualTo("CONTINUITY J1.3 J2.3");
    }

    @Test
    void whatFollowsFromOtherReadingsIsNotAskedAndIsListed() {
        TestStep.Measurement one = new TestStep.Measurement(Stage.SHORTS, Terminal.of("J1.1"), Terminal.of("J2.2"));
        TestStep.Measurement other = new TestStep.Measurement(Stage.SHORTS, Terminal.of("J1.2"), Terminal.of("J2.1"));
        Bench bench = Bench.of(THREE_CORES)
                .type("b", "0.30", "OL", "OL", "OL", "OL")
                .at(one, "0.6")
                .at(other, "0.6")
                .type("0.6");
        assertThat(bench.sentence()).isEqualTo("SHORTS J1.1 J1.3");
        assertThat(bench.test().left(Stage.SHORTS))
                .as("of ten pairs two were read, four follow")
                .isEqualTo(4);
        bench.type("OL", "OL");
        assertThat(bench.sentence()).as("two more follow from these").isEqualTo("FRAME J1.1 FRAME");
        assertThat(bench.test().left(Stage.SHORTS)).isZero();
        bench.type("OL", "OL", "OL");
        assertThat(bench.test().left()).isZero();
        TestStep pair = new TestStep.Measurement(Stage.SHORTS, Terminal.of("J1.1"), Terminal.of("J1.2"));
        assertThat(bench.test().state(pair)).isEqualTo(StepState.IMPLIED);
        assertThat(bench.test().implied(100)).hasSize(8).allSatisfy(each -> {
            assertThat(each.joined()).isFalse();
            assertThat(each.from()).isNotEmpty();
        });
        assertThat(bench.test().outcome()).isEqualTo(RunOutcome.FAIL);
    }

    private static List<TestStep.Measurement> best(TestRun test) {
        return test.best(2).stream().map(TestRun.BestMeasurement::measurement).toList();
    }

    @Test
    void aMovedWireIsJudgedByItsOwnLimit() {
        Bench bench = Bench.of(THREE_CORES).type("b", "0.30", "OL", "OL", "OL", "OL", "0.6");
        TestStep.Measurement one = new TestStep.Measurement(Stage.SHORTS, Terminal.of("J1.1"), Terminal.of("J2.2"));
        TestStep.Measurement other = new TestStep.Measurement(Stage.SHORTS, Terminal.of("J1.2"), Terminal.of("J2.1"));
        bench.at(one, "9.3").at(other, "0.6");
        assertThat(found(bench.test()))
                .containsExactly(
                        "W1 and W2 are crossed: W1 goes to J2.2 and W2 goes to J2.1.",
                        "W1 has a high resistance: 9 Ω from J1.1 to J2.1, limit 0.312 Ω.");
    }

    @Test
    void namesACorrodedJointAShortAndAFrameShort() {
        Bench bench = Bench.of(THREE_CORES).type("b", "0.30", "3.9", "0.6", "0.6", "OL", "OL", "2.1", "OL", "1.4");
        assertThat(found(bench.test()))
                .containsExactly(
                        "W1 has a high resistance: 3.6 Ω from J1.1 to J2.1, limit 0.312 Ω.",
                        "W2 and W3 are shorted to the frame.");
        assertThat(bench.test().findings().get(1).functionsLost()).containsExactly("down", "horn");
    }

    @Test
    void findsAWireInAnEmptyCavity() {
        Bench bench = Bench.withCavities(THREE_CORES, "J2", 4).type("b", "0.30", "0.6", "OL", "OL", "0.6");
        assertThat(bench.test().steps(Stage.SHORTS).map(Bench::say)).contains("SHORTS J1.2 J2.4");
        bench.at(
                new TestStep.Measurement(
                        Stage.SHORTS,
                        zestymarten.core.assembly.Terminal.of("J1.2"),
                        zestymarten.core.assembly.Terminal.of("J2.4")),
                "0.6");
        assertThat(found(bench.test())).containsExactly("W2 is in the wrong cavity: J2.4 instead of J2.2.");
    }

    @Test
    void takingBackUndoesAndErasesNothing() {
        Bench bench = Bench.of(THREE_CORES).type("b", "0.30", "0.6").takeBack();
        assertThat(bench.sentence()).isEqualTo("CONTINUITY J1.1 J2.1");
        assertThat(bench.test().entries()).hasSize(3);
        assertThat(bench.test().nextAttempt(bench.step())).isEqualTo(2);
        bench.type("0.61");
        assertThat(bench.sentence()).isEqualTo("CONTINUITY J1.2 J2.2");
    }

    @Test
    void aSkippedStepLeavesTheVerdictIncomplete() {
        Bench bench = Bench.of(THREE_CORES)
                .type("b", "0.30")
                .skip("pin bent")
                .type("0.6", "0.6", "OL", "OL", "OL", "n", "n", "n");
        assertThat(bench.test().current()).isEmpty();
        assertThat(bench.test().outcome()).isEqualTo(RunOutcome.INCOMPLETE);
    }

    @Test
    void namesALeakAndAJumpingReading() {
        Bench bench = Bench.of(THREE_CORES).type("b", "0.30", "0.6", "~0.4..OL", "0.6", "820k");
        assertThat(found(bench.test()))
                .containsExactly(
                        "Leakage between J1.1 and J1.2: 820 kΩ. It is not a short circuit; measure it with an insulation tester.",
                        "W2 is intermittent between J1.2 and J2.2: the conductor may be broken with its ends still touching.");
    }

    @Test
    void raisesDoubtsBeforeAReadingIsKept() {
        Bench bench = Bench.of(THREE_CORES).type("b", "0.30");
        assertThat(bench.understood("600"))
                .isEqualTo("600 Ω or 0.6 Ω? The second would fit what this wire should read.");
        assertThat(bench.understood("0.1"))
                .isEqualTo(
                        "0.1 Ω is less than the joined probes read (0.3 Ω). Enter it as it is, or touch the probes together and measure again?");
        assertThat(bench.understood("20M")).isEqualTo("The range ends at 20 MΩ. Is that a reading, or over-range?");
        assertThat(bench.understood("30M"))
                .isEqualTo("Read 30 MΩ, but this meter ends at 20 MΩ. Type what it shows, or OL.");
        assertThat(bench.understood("26uA"))
                .isEqualTo(
                        "Read 26 μA, but this step needs a resistance. Type what the meter shows on its resistance range.");
        bench.type("0.6", "0.6", "0.6");
        assertThat(bench.understood("0")).isEqualTo("0.00 or OL? A zero here would be a dead short.");
    }

    @Test
    void theMeterCheckWantsItsOwnAnswers() {
        Bench bench = Bench.of(THREE_CORES);
        assertThat(bench.understood("0.3")).isEqualTo("Press b if it beeps, n if it does not.");
        bench.type("b");
        assertThat(bench.understood("OL")).startsWith("Enter the resistance with the probes joined");
    }

    @Test
    void aBondedWireIsExpectedToReadToTheFrame() {
        Bench bench = Bench.of("from,to\nJ1.1,J2.1\nJ1.2,FRAME\n").type("b", "0.30");
        bench.type("0.5");
        assertThat(bench.sentence()).isEqualTo("CONTINUITY J1.2 FRAME");
        bench.type("0.5");
        assertThat(bench.sentence()).isEqualTo("FRAME J1.1 FRAME");
        bench.type("OL");
        assertThat(bench.test().outcome()).isEqualTo(RunOutcome.PASS);
    }

    @Test
    void asPlayedTheJobIsTheSameWhoeverAsks() {
        Bench bench = Bench.of(THREE_CORES).type("b", "0.30", "0.6", "OL", "OL");
        TestRun again = TestRun.of(
                bench.test().design(),
                TestOptions.QUICK,
                Bench.CONDITIONS,
                bench.test().entries());
        assertThat(again.current()).isEqualTo(bench.test().current());
        assertThat(found(again)).isEqualTo(found(bench.test()));
        assertThat(again.secondsLeft()).isEqualTo(bench.test().secondsLeft()).isPositive();
    }
}
