package zestymarten.core.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.assembly.WireList;
import zestymarten.core.finding.Finding;
import zestymarten.core.finding.Symptoms.Behaviour;
import zestymarten.core.quantity.English;
import zestymarten.core.quantity.Ohms;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testplan.Tool;

/** What is offered around the readings: repairs that fit, what a fault explains, what a way of testing costs. */
class RepairRulesTest {
    private static final Design DESIGN = Design.of(
            WireList.read("wire,from,to,function,zone,length_m,area_mm2\n"
                            + "W1,J1.1,J2.1,up,flexing,8,0.5\nW2,J1.2,J2.2,down,wet,8,0.5\nW3,J1.3,J2.3,horn,,8,0.5\n")
                    .assembly("Cable", AssemblyKind.CABLE, "", Map.of()),
            20);
    private static final Terminal NEAR = Terminal.of("J1.1");
    private static final Terminal FAR = Terminal.of("J2.1");

    @Test
    void whatFlexesIsNotSpliced() {
        RepairRules flexing = RepairRules.of(DESIGN, new Finding.Open("W1", NEAR, FAR));
        assertThat(flexing.ways()).startsWith(Entry.Way.CONTACT, Entry.Way.SPARE, Entry.Way.REPLACE);
        assertThat(English.all(flexing.minds()))
                .anyMatch(each -> each.startsWith("It flexes here: a splice stiffens the run"));
        RepairRules fixed = RepairRules.of(DESIGN, new Finding.Open("W3", NEAR, FAR));
        assertThat(fixed.ways()).startsWith(Entry.Way.CONTACT, Entry.Way.SPLICE);
        assertThat(English.of(fixed.minds().get(0)))
                .startsWith("Before repairing a visible break, read each remaining length");
    }

    @Test
    void whatIsWetIsSealedAndWhatIsCrossedIsMoved() {
        assertThat(English.all(RepairRules.of(DESIGN, new Finding.Open("W2", NEAR, FAR))
                        .minds()))
                .contains("It is wet here: seal the repair.");
        RepairRules crossed = RepairRules.of(
                DESIGN,
                new Finding.Crossed(List.of(new Finding.Move("W1", NEAR, FAR), new Finding.Move("W3", NEAR, NEAR))));
        assertThat(crossed.ways().get(0)).isEqualTo(Entry.Way.MOVE);
        RepairRules high =
                RepairRules.of(DESIGN, new Finding.HighResistance(List.of("W3"), NEAR, FAR, Ohms.of(2), Ohms.of(0.3)));
        assertThat(high.ways()).startsWith(Entry.Way.CLEAN, Entry.Way.CONTACT);
    }

    @Test
    void everyWayIsOfferedOnce() {
        for (String wire : List.of("W1", "W2", "W3")) {
            assertThat(RepairRules.of(DESIGN, new Finding.Open(wire, NEAR, FAR)).ways())
                    .containsExactlyInAnyOrder(Entry.Way.values());
        }
    }

    @Test
    void everyKindOfFindingExplainsSomethingOrIsKnownToExplainNothing() {
        assertThat(new TreeSet<>(SymptomExplanation.kinds()))
                .containsExactlyInAnyOrderElementsOf(Set.of(
                        "open",
                        "high_resistance",
                        "low_resistance",
                        "short",
                        "frame_short",
                        "crossed",
                        "misplaced",
                        "mirrored",
                        "shifted",
                        "missing",
                        "extra",
                        "component_open",
                        "component_short",
                        "component_value",
                        "component_state",
                        "intermittent",
                        "insulation_low",
                        "withstand",
                        "leak",
                        "contact_surface"));
    }

    @Test
    void aShortMayMakeAFunctionStayOnOrBlowItsFuse() {
        RunFinding shorted = new RunFinding(
                new Finding.Shorted(List.of(
                        new Finding.Piece(List.of("W1"), NEAR, Finding.Piece.DeviationForm.WIRES),
                        new Finding.Piece(List.of("W3"), FAR, Finding.Piece.DeviationForm.WIRES))),
                1,
                true,
                List.of(),
                List.of(),
                List.of("up", "horn"));
        assertThat(SymptomExplanation.explained("horn", Behaviour.STAYS_ON, List.of(shorted)))
                .isTrue();
        assertThat(SymptomExplanation.explained("horn", Behaviour.DEAD, List.of(shorted)))
                .isTrue();
        assertThat(SymptomExplanation.explained("horn", Behaviour.SOMETIMES, List.of(shorted)))
                .isFalse();
        assertThat(SymptomExplanation.explained("down", Behaviour.DEAD, List.of(shorted)))
                .as("another function")
                .isFalse();
    }

    private static PlanEstimate offer(TestMethod method, EffortModel.Pace pace) {
        TestOptions approach = new TestOptions(method, false, true, OptionalDouble.empty());
        return PlanEstimate.of(DESIGN, approach, Bench.CONDITIONS, pace, EnumSet.allOf(Tool.class));
    }

    @Test
    void anOfferCountsWhatTheRunWillAsk() {
        PlanEstimate each = offer(TestMethod.BOTH_ENDS, new EffortModel.Pace(5, 0, 20, 60));
        assertThat(each.effort().measurements())
                .as("3 wires, 3 pairs, 3 to frame")
                .isEqualTo(9);
        assertThat(each.seconds()).isEqualTo(55);
        assertThat(English.all(each.misses())).isEmpty();
        PlanEstimate alone = offer(TestMethod.FAR_END_JOINED, new EffortModel.Pace(5, 0, 20, 60));
        assertThat(alone.effort().trips()).isEqualTo(4);
        assertThat(alone.effort().setups()).as("linked once, freed once").isEqualTo(2);
        assertThat(alone.seconds())
                .isEqualTo((alone.effort().measurements() + alone.effort().checks()) * 5.0 + 2 * 20 + 4 * 60);
        assertThat(English.all(alone.misses())).anyMatch(miss -> miss.startsWith("Blind to crossed wires"));
        PlanEstimate halves = offer(TestMethod.BY_HALVES, new EffortModel.Pace(5, 0, 20, 60));
        assertThat(halves.effort().measurements()).isEqualTo(3 + 2 + 3);
    }

    @Test
    void anOfferAndTheFreshTestSayTheSameMinutes() {
        for (TestMethod method : EnumSet.complementOf(EnumSet.of(TestMethod.INSULATION))) {
            TestOptions approach = new TestOptions(method, false, true, OptionalDouble.empty());
            assertThat(offer(method, EffortModel.Pace.USUAL).seconds())
                    .as(method.code())
                    .isEqualTo(Bench.of(DESIGN.assembly(), approach).test().secondsLeft());
        }
    }

    @Test
    void aFreshTestTakesItsTouchesAndTheMovesBetweenThem() {
        TestOptions approach = new TestOptions(TestMethod.BOTH_ENDS, false, true, OptionalDouble.empty());
        TestRun fresh = Bench.of(DESIGN.assembly(), approach).test();
        assertThat(fresh.secondsLeft())
                .as("11 measurements of 3 s, 14 moves of 1.5 s")
                .isEqualTo(11 * 3 + 14 * 1.5);
    }

    @Test
    void everyProbeThatGoesToAnotherTerminalHasItsPrice() {
        PlanEstimate each = offer(TestMethod.BOTH_ENDS, new EffortModel.Pace(0, 1, 0, 0));
        assertThat(each.effort().moves())
                .as("3 wires of their own two ends; pairs 2 + 1 + 1; the frame and 3 wires")
                .isEqualTo(6 + 4 + 4);
        assertThat(each.seconds()).isEqualTo(14);
    }

    @Test
    void pairsAreNotWalkedToCountTheMovesBetweenThem() {
        for (int wires = 1; wires < 12; wires++) {
            StringBuilder list = new StringBuilder("wire,from,to\n");
            for (int i = 1; i <= wires; i++) {
                list.append("W" + i + ",J1." + i + ",J2." + i + "\n");
            }
            TestRun test = Bench.of(list.toString()).test();
            Set<Terminal> on = Set.of();
            long moves = 0;
            for (TestStep step : test.steps(Stage.SHORTS).toList()) {
                Set<Terminal> next = Set.of(((TestStep.Measurement) step).black(), ((TestStep.Measurement) step).red());
                moves += next.size() - next.stream().filter(on::contains).count();
                on = next;
            }
            assertThat(test.pieces().pairMoves()).as(wires + " wires").isEqualTo(moves);
        }
    }

    @Test
    void whatIsNotAtHandIsSaid() {
        TestOptions approach = new TestOptions(TestMethod.FAR_END_TO_FRAME, false, true, OptionalDouble.empty());
        PlanEstimate bare = PlanEstimate.of(
                DESIGN, approach, Bench.CONDITIONS, EffortModel.Pace.USUAL, EnumSet.of(Tool.INSULATION_TESTER));
        assertThat(bare.lacks()).containsExactly(Tool.CLIPS, Tool.FRAME_RETURN);
        assertThat(English.all(bare.misses())).noneMatch(each -> each.startsWith("No insulation tester"));
        PlanEstimate without =
                PlanEstimate.of(DESIGN, approach, Bench.CONDITIONS, EffortModel.Pace.USUAL, EnumSet.of(Tool.CLIPS));
        assertThat(English.all(without.misses()))
                .contains("No insulation tester: damage that leads only under voltage is not found.");
    }
}
