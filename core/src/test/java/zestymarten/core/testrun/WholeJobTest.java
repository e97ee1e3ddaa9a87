package zestymarten.core.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Symptoms;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.quantity.English;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestStep;

/** The job from the symptoms to what is put back. */
class WholeJobTest {
    @Test
    void looksChecksMovesAndPutsBackInTheOrderOfTheJob() {
        Bench bench = Bench.of(ThreeCores.LIST, ThreeCores.WHOLE);
        assertThat(bench.test().steps().map(Bench::say))
                .containsExactly(
                        "INSPECT J1",
                        "INSPECT J2",
                        "INSPECT flexing",
                        "METER TONE",
                        "METER OHMS",
                        "CONTINUITY J1.1 J2.1",
                        "CONTINUITY J1.2 J2.2",
                        "CONTINUITY J1.3 J2.3",
                        "SHORTS J1.1 J1.2",
                        "SHORTS J1.1 J1.3",
                        "SHORTS J1.2 J1.3",
                        "FRAME_PROOF",
                        "FRAME J1.1 FRAME",
                        "FRAME J1.2 FRAME",
                        "FRAME J1.3 FRAME",
                        "WIGGLE J1.1 J2.1",
                        "WIGGLE J1.2 J2.2",
                        "RESTORE TONE",
                        "RESTORE OHMS");
        ThreeCores.untilRungOut(bench).type("n", "n", "n", "0.4", "n", "n", "n", "0.6", "0.6", "b", "0.30");
        assertThat(bench.test().outcome()).isEqualTo(RunOutcome.PASS);
    }

    @Test
    void whatIsSeenByEyeIsKeptAndWatched() {
        Bench bench = Bench.of(ThreeCores.LIST, ThreeCores.WHOLE).manual("", "pin 2 is pushed back", "");
        TestStep.ManualStep seen = new TestStep.ManualStep(ManualAction.INSPECT, "J2");
        assertThat(bench.test().state(seen)).isEqualTo(StepState.MARGINAL);
        assertThat(English.of(bench.test().words(bench.test().entriesOf(seen).get(0))))
                .isEqualTo("pin 2 is pushed back");
        assertThat(English.of(bench.test().words(bench.test().entries().get(0))))
                .isEqualTo("nothing found");
    }

    @Test
    void nothingIsMeasuredBeforeItIsProvedDeadOnBothSidesOfALiveSource() {
        Bench bench = Bench.of(ThreeCores.LIST, ThreeCores.approach(TestMethod.BOTH_ENDS, true))
                .manual("");
        TestStep measurement = new TestStep.Measurement(Stage.CONTINUITY, Terminal.of("J1.1"), Terminal.of("J2.1"));
        assertThat(bench.sentence()).isEqualTo("LIVE_BEFORE");
        assertThat(bench.test().isAllowed(measurement)).isFalse();
        bench.type("3");
        assertThat(bench.sentence())
                .as("a tester that shows nothing on a live source")
                .isEqualTo("LIVE_BEFORE");
        bench.type("231", "48");
        assertThat(bench.sentence()).as("still live").isEqualTo("DEAD");
        bench.type("0.2", "231");
        assertThat(bench.sentence()).isEqualTo("UNPLUGGED J1");
        assertThat(bench.test().isAllowed(measurement)).isFalse();
        bench.manual("", "");
        assertThat(bench.test().isAllowed(measurement)).isTrue();
        assertThat(bench.toRestore()).containsExactly("J1", "J2");
    }

    @Test
    void whatWasUnpluggedOrOpenedIsPutBackAtTheEndAndAgainIfOpenedAgain() {
        Bench bench = Bench.of(ThreeCores.LIST, ThreeCores.approach(TestMethod.BOTH_ENDS, true))
                .manual("")
                .type("231", "0", "231")
                .manual("", "")
                .enters(ManualAction.OPENED, "cover under the desk", "");
        assertThat(bench.test().steps(Stage.RESTORE).map(Bench::say))
                .containsExactly(
                        "RESTORE TONE", "RESTORE OHMS", "RESTORE J1", "RESTORE J2", "RESTORE cover under the desk");
        bench.enters(ManualAction.RESTORE, "J1", "").enters(ManualAction.RESTORE, "J2", "");
        assertThat(bench.toRestore()).containsExactly("cover under the desk");
        bench.enters(ManualAction.RESTORE, "cover under the desk", "");
        assertThat(bench.toRestore()).isEmpty();
        bench.enters(ManualAction.OPENED, "J1", "");
        assertThat(bench.toRestore()).containsExactly("J1");
        assertThat(bench.test().isDone(new TestStep.ManualStep(ManualAction.RESTORE, "J1")))
                .isFalse();
    }

    @Test
    void aPaintedSpotOfTheFrameProvesNothing() {
        Bench bench = ThreeCores.untilRungOut(Bench.of(ThreeCores.LIST, ThreeCores.WHOLE))
                .type("n", "n", "n");
        assertThat(bench.sentence()).isEqualTo("FRAME_PROOF");
        bench.type("OL");
        assertThat(bench.sentence()).isEqualTo("FRAME_PROOF");
        bench.type("12");
        assertThat(bench.sentence()).as("oxide").isEqualTo("FRAME_PROOF");
        bench.type("0.7");
        assertThat(bench.sentence()).isEqualTo("FRAME J1.1 FRAME");
    }

    @Test
    void aZeroThatMovedPutsInDoubtOnlyWhatItWouldJudgeOtherwise() {
        Bench bench = ThreeCores.untilRungOut(Bench.of(ThreeCores.LIST, ThreeCores.WHOLE))
                .type("n", "n", "n", "0.4", "n", "n", "n", "0.6", "0.6", "b");
        bench.at(new TestStep.Measurement(Stage.CONTINUITY, Terminal.of("J1.2"), Terminal.of("J2.2")), "0.5");
        bench.type("b", "0.05");
        assertThat(bench.test()
                        .steps()
                        .filter(step -> !bench.test().isDone(step))
                        .map(Bench::say))
                .as("0.6 less 0.05 is too much for these wires, 0.5 less 0.05 as well")
                .containsExactly(
                        "CONTINUITY J1.1 J2.1",
                        "CONTINUITY J1.2 J2.2",
                        "CONTINUITY J1.3 J2.3",
                        "WIGGLE J1.1 J2.1",
                        "WIGGLE J1.2 J2.2");
        assertThat(bench.test().outcome()).isEqualTo(RunOutcome.INCOMPLETE);
        bench.type("0.35", "0.35", "0.35", "0.35", "0.35", "b", "0.05");
        assertThat(bench.test().outcome()).isEqualTo(RunOutcome.PASS);
    }

    @Test
    void brokenLeadsPutInDoubtEveryApartSinceTheLastWayThrough() {
        Bench bench = ThreeCores.untilRungOut(
                        Bench.of(ThreeCores.LIST, ThreeCores.approach(TestMethod.BOTH_ENDS, false)))
                .type("n", "n", "n", "0.4", "n", "n", "n", "0.6", "0.6");
        bench.at(new TestStep.Measurement(Stage.FRAME, Terminal.of("J1.3"), Terminal.FRAME), "n")
                .type("n");
        assertThat(bench.test()
                        .steps()
                        .filter(step -> !bench.test().isDone(step))
                        .map(Bench::say))
                .as("the moved wires were read through the leads after the other ones")
                .containsExactly("FRAME J1.3 FRAME", "RESTORE OHMS");
    }

    @Test
    void anotherPartIsTriedOnlyAfterPluggingTheOldOneInAgain() {
        Bench bench = Bench.of(ThreeCores.LIST, ThreeCores.WHOLE);
        TestStep.ManualStep plan = new TestStep.ManualStep(ManualAction.SUBSTITUTE, "J1");
        assertThat(TestRun.expected(plan, "ten").map(English::of))
                .contains("the minutes that the change takes, 0 to 600");
        double before = bench.test().secondsLeft();
        bench.enters(ManualAction.SUBSTITUTE, "J1", "10");
        assertThat(bench.test().steps(Stage.REPAIR).map(Bench::say)).containsExactly("REPLUGGED J1", "SUBSTITUTED J1");
        assertThat(bench.test().secondsLeft() - before).as("a price of its own").isGreaterThanOrEqualTo(600);
        bench.enters(ManualAction.REPLUGGED, "J1", "");
        bench.enters(ManualAction.SUBSTITUTED, "J1", "works");
        assertThat(bench.test().state(new TestStep.ManualStep(ManualAction.SUBSTITUTED, "J1")))
                .isEqualTo(StepState.MARGINAL);
        assertThat(bench.test().findings()).as("no diagnosis").isEmpty();
        assertThat(bench.toRestore()).containsExactly("@stand_in J1");
    }

    @Test
    void aContactThatIsCuredByPluggingInNeedsNoOtherPart() {
        Bench bench = Bench.of(ThreeCores.LIST, ThreeCores.WHOLE);
        bench.enters(ManualAction.SUBSTITUTE, "J1", "10");
        bench.enters(ManualAction.REPLUGGED, "J1", "works");
        assertThat(bench.test().steps(Stage.REPAIR).map(Bench::say)).containsExactly("REPLUGGED J1");
        assertThat(bench.test().isPlanned(new TestStep.ManualStep(ManualAction.SUBSTITUTE, "Z9")))
                .isFalse();
    }

    @Test
    void aRepairAsksAgainForTheWireItsNeighboursAndEveryFunction() {
        Bench bench = Bench.of(ThreeCores.LIST, ThreeCores.WHOLE)
                .manual("", "", "")
                .type("b", "0.30", "OL", "OL", "0.6", "0.6");
        while (bench.test().current().isPresent() && bench.step() instanceof TestStep.Measurement) {
            bench.type("n");
        }
        assertThat(ThreeCores.found(bench)).containsExactly("W1 is open between J1.1 and J2.1.");
        bench.repair("W1", Entry.Way.CONTACT);
        assertThat(ThreeCores.found(bench)).isEmpty();
        assertThat(bench.test().outcome()).isEqualTo(RunOutcome.INCOMPLETE);
        assertThat(bench.test()
                        .steps(Stage.CONTINUITY)
                        .filter(step -> !bench.test().isDone(step))
                        .map(Bench::say))
                .containsExactly("CONTINUITY J1.1 J2.1", "CONTINUITY J1.2 J2.2");
        assertThat(bench.test()
                        .steps(Stage.SHORTS)
                        .filter(step -> !bench.test().isDone(step))
                        .map(Bench::say))
                .as("only against its neighbour")
                .containsExactly("SHORTS J1.1 J1.2");
        assertThat(bench.test().steps(Stage.REPAIR).map(Bench::say))
                .containsExactly("RESET", "FUNCTION up", "FUNCTION down", "FUNCTION horn");
        bench.type("0.6", "0.6", "n", "0.4", "n", "n", "n", "0.6", "0.6").manual("", "works", "works", "works");
        bench.type("b", "0.30");
        assertThat(bench.test().outcome()).isEqualTo(RunOutcome.PASS);
        bench.enters(ManualAction.FUNCTION, "up", "dead");
        assertThat(bench.test().outcome())
                .as("a function that does not work after all")
                .isEqualTo(RunOutcome.FAIL);
    }

    @Test
    void everyFindingSaysWhatOfTheComplaintItExplains() {
        Bench bench = Bench.of(ThreeCores.LIST, ThreeCores.WHOLE)
                .enters(ManualAction.SYMPTOM, "up", "dead")
                .enters(ManualAction.SYMPTOM, "horn", "stays on")
                .enters(ManualAction.SYMPTOM, "down", "works");
        assertThat(bench.test().symptoms().functions())
                .containsEntry("up", Symptoms.Behaviour.DEAD)
                .containsEntry("horn", Symptoms.Behaviour.STAYS_ON)
                .containsEntry("down", Symptoms.Behaviour.WORKS);
        assertThat(bench.test().unexplained()).containsExactly("horn", "up");
        bench.manual("", "", "").type("b", "0.30", "OL", "OL", "0.6", "0.6");
        assertThat(bench.test().explainedBy(bench.test().findings().get(0))).containsExactly("up");
        assertThat(bench.test().unexplained())
                .as("an open does not make a horn stay on")
                .containsExactly("horn");
        bench.enters(ManualAction.SYMPTOM, "horn", "not tried");
        assertThat(bench.test().unexplained()).isEmpty();
    }

    @Test
    void underTheTestVoltageGoesOnlyWhatHasPassedContinuity() {
        TestOptions approach = new TestOptions(TestMethod.BOTH_ENDS, false, true, OptionalDouble.of(500));
        Bench bench = Bench.of(ThreeCores.LIST, approach).type("b", "0.30", "0.6", "0.6", "0.6");
        assertThat(bench.test().size(Stage.INSULATION)).isZero();
        bench.type("n", "n", "n", "n", "n", "n");
        assertThat(bench.test().steps(Stage.INSULATION).map(Bench::say))
                .containsExactly(
                        "BARRIERS",
                        "INSULATION J1.1 J2.1",
                        "INSULATION J1.1 FRAME linked",
                        "INSULATION J1.2 J2.2",
                        "INSULATION J1.2 FRAME linked",
                        "INSULATION J1.3 J2.3",
                        "INSULATION J1.3 FRAME linked",
                        "DISCHARGED");
        bench.manual("").type("0.6", ">999M", "0.6", "0.4M", "0.6", ">999M", "0");
        assertThat(ThreeCores.found(bench)).singleElement().asString().contains("J1.2", "400 kΩ");
        assertThat(bench.test().outcome()).isEqualTo(RunOutcome.FAIL);
    }

    @Test
    void onAMeterWithRangesOverRangeAsksForTheNextOneBeforeItIsOpen() {
        Bench bench = Bench.of(ThreeCores.LIST, TestOptions.QUICK)
                .with(new MeterProfile("old meter", 0.01, 0.1, 30, true, 20e6, List.of(200.0, 2000.0, 20e3, 20e6)))
                .type("b", "0.3");
        TestStep.Measurement first = (TestStep.Measurement) bench.step();
        assertThat(bench.test().range(first)).hasValue(200);
        bench.type("OL");
        assertThat(bench.step()).as("more than 200 ohm is not open").isEqualTo(first);
        assertThat(bench.test().range(first)).hasValue(2000);
        bench.type("OL");
        assertThat(bench.test().range(first)).hasValue(20e3);
        assertThat(ThreeCores.found(bench)).isEmpty();
        bench.type("OL");
        assertThat(bench.test().asksForCleanMetal(first)).isTrue();
        bench.type("OL");
        assertThat(ThreeCores.found(bench)).containsExactly("W1 is open between J1.1 and J2.1.");
        bench.type("0.6", "0.6");
        assertThat(bench.test().range((TestStep.Measurement) bench.step()))
                .as("what should be apart is read on the highest range")
                .hasValue(20e6);
        bench.type("OL");
        assertThat(bench.test().state(new TestStep.Measurement(Stage.SHORTS, Terminal.of("J1.1"), Terminal.of("J1.2"))))
                .isEqualTo(StepState.PASS);
    }

    @Test
    void readingsUnderVoltageMakeACurveAndAreDoneAfterAMinute() {
        TestOptions approach = new TestOptions(TestMethod.BOTH_ENDS, false, true, OptionalDouble.of(500));
        Bench bench = Bench.of(ThreeCores.LIST, approach)
                .type("b", "0.30", "0.6", "0.6", "0.6", "n", "n", "n", "n", "n", "n")
                .manual("")
                .type("0.6");
        TestStep.Measurement first = (TestStep.Measurement) bench.step();
        bench.type("210M@15", "300M@30");
        assertThat(bench.step()).as("still charging").isEqualTo(first);
        bench.type("380M@60");
        assertThat(bench.sentence()).isEqualTo("INSULATION J1.2 J2.2");
        assertThat(bench.test().absorption(first).points()).hasSize(3);
        bench.at(first, "900M@10min");
        assertThat(English.all(bench.test().absorption(first).said(20))).contains("PI (10 min to 1 min) 2.37.");
        assertThat(ThreeCores.found(bench)).isEmpty();
    }

    @Test
    void aWireThatPassesButIsOddAmongItsLikesIsWatched() {
        StringBuilder list = new StringBuilder("wire,from,to,length_m,area_mm2\n");
        for (int i = 1; i <= 6; i++) {
            list.append("W%d,J1.%d,J2.%d,8,0.5%n".formatted(i, i, i));
        }
        Bench bench = Bench.of(list.toString(), TestOptions.QUICK).type("b", "0.30");
        bench.type("0.55", "0.56", "0.60", "0.55");
        TestStep.Measurement odd = new TestStep.Measurement(Stage.CONTINUITY, Terminal.of("J1.3"), Terminal.of("J2.3"));
        assertThat(bench.test().state(odd)).as("three likes and itself").isEqualTo(StepState.MARGINAL);
        bench.type("0.56", "0.55");
        Entry entry = bench.test().entriesOf(odd).get(0);
        assertThat(English.of(bench.test().judgement(entry).orElseThrow().reason()))
                .isEqualTo("0.3 Ω passes, but the 5 other wires of its kind read about 0.255 Ω.");
        assertThat(bench.test().findings()).isEmpty();
    }

    @Test
    void fewWiresHaveNoLikesToBeOddAmong() {
        Bench bench = Bench.of(ThreeCores.LIST, TestOptions.QUICK).type("b", "0.30", "0.55", "0.55", "0.60");
        TestStep.Measurement last =
                new TestStep.Measurement(Stage.CONTINUITY, Terminal.of("J1.3"), Terminal.of("J2.3"));
        assertThat(bench.test().state(last)).isEqualTo(StepState.PASS);
    }

    @Test
    void aRepairBetweenTwoCavitiesAsksForThemAgain() {
        Bench bench =
                Bench.of(ThreeCores.LIST, TestOptions.QUICK).type("b", "0.30", "0.6", "0.6", "0.6", "n", "0.8", "n");
        bench.repair("J1.1 J1.3", Entry.Way.CLEAN);
        assertThat(bench.test()
                        .steps(Stage.SHORTS)
                        .filter(step -> !bench.test().isDone(step))
                        .map(Bench::say))
                .contains("SHORTS J1.1 J1.3");
        assertThat(ThreeCores.found(bench)).isEmpty();
    }
}
