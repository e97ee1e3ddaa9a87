package zestymarten.core.testrun;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import zestymarten.core.assembly.Colour;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.quantity.English;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;

/** Putting it right: what is read before a break is repaired, and what a spare core makes of the unit. */
class RepairTest {
    private static final String CABLE = "wire,from,to,colour,function,length_m,area_mm2,spare\n"
            + "W1,J1.1,J2.1,RD,raise,8,0.5,\nW2,J1.2,J2.2,BU,lower,8,0.5,\nSP1,J1.3,J2.3,GY,,8,0.75,true\n";

    private static Bench broken() {
        return Bench.of(CABLE).type("b", "0.30", "OL", "OL", "0.6", "0.5").type("n", "n", "n", "n", "n", "n", "n", "n");
    }

    private static Entry.Content.Repair bySpare(String spare) {
        return new Entry.Content.Repair(Entry.Way.SPARE, "", "", spare, "");
    }

    @Test
    void aSpareThatPassedCarriesTheWireFromThenOn() {
        Bench bench = broken();
        assertThat(bench.test().spares()).extracting(Conductor::id).containsExactly("SP1");
        TestStep.ManualStep mended = new TestStep.ManualStep(ManualAction.REPAIR, "W1 SP1");
        assertThat(bench.test().objection(mended, bySpare("SP1")).map(English::of))
                .isEmpty();
        bench.repair("W1 SP1", bySpare("SP1"));
        assertThat(bench.test().asBuilt()).hasValueSatisfying(built -> {
            assertThat(built.conductors()).extracting(Conductor::id).containsExactly("W1", "W2");
            assertThat(built.conductors().get(0).colour()).hasValue(Colour.of("GY"));
            assertThat(built.conductors().get(0).areaMm2()).hasValue(0.75);
            assertThat(built.conductors().get(0).function()).hasValue("raise");
        });
        assertThat(bench.test()
                        .steps(Stage.CONTINUITY)
                        .filter(step -> !bench.test().isDone(step))
                        .map(Bench::say))
                .as("the wire again; its neighbour may have been moved")
                .containsExactly("CONTINUITY J1.1 J2.1", "CONTINUITY J1.2 J2.2");
        bench.type("0.49", "0.6");
        while (bench.test().current().isPresent() && bench.step() instanceof TestStep.Measurement) {
            bench.type("n");
        }
        assertThat(bench.test().findings()).isEmpty();
        bench.manual("", "works", "works");
        assertThat(bench.test().outcome()).isEqualTo(RunOutcome.PASS);
    }

    @Test
    void aSpareThatDidNotPassCarriesNothing() {
        Bench bench = Bench.of(CABLE).type("b", "0.30", "OL", "OL", "0.6", "OL", "OL");
        assertThat(bench.test().spares()).isEmpty();
        assertThat(bench.test()
                        .objection(new TestStep.ManualStep(ManualAction.REPAIR, "W1 SP1"), bySpare("SP1"))
                        .map(English::of))
                .hasValue(
                        "“SP1” for “W1 SP1” is not accepted; expected a spare core that has passed in this test, for one wire.");
        assertThatThrownBy(() -> new Entry.Content.Repair(Entry.Way.CLEAN, "", "", "SP1", ""))
                .hasMessage("entry.spare_core_named[SP1, way.clean]");
    }

    @Test
    void aNewColourChangesTheUnitToo() {
        Bench bench = broken().repair("W1", new Entry.Content.Repair(Entry.Way.REPLACE, "", "", "", "WH"));
        assertThat(bench.test().asBuilt().orElseThrow().conductors().get(0).colour())
                .hasValue(Colour.of("WH"));
        assertThat(English.of(bench.test().words(bench.test().repairs().get(0))))
                .isEqualTo("replaced, now WH");
        bench.takeBack();
        assertThat(bench.test().asBuilt()).isEmpty();
    }

    @Test
    void bothRemainingLengthsAreReadBeforeABreakIsSpliced() {
        Bench bench = broken();
        TestStep.ManualStep mended = new TestStep.ManualStep(ManualAction.REPAIR, "W1");
        Entry.Content.Repair splice = new Entry.Content.Repair(Entry.Way.SPLICE, "", "");
        assertThat(bench.test().objection(mended, splice).map(English::of))
                .hasValue("Before it is spliced, read each remaining length: W1 from J1.1, W1 from J2.1. A wire can be"
                        + " broken twice.");
        assertThat(bench.test()
                        .objection(mended, new Entry.Content.Repair(Entry.Way.CONTACT, "", ""))
                        .map(English::of))
                .isEmpty();
        List<TestStep.ManualStep> remainders =
                bench.test().remainders(bench.test().findings().get(0).finding());
        bench.at(remainders.get(0), "0.4").at(remainders.get(1), "OL");
        assertThat(bench.test().state(remainders.get(0))).isEqualTo(StepState.PASS);
        assertThat(bench.test()
                        .judgement(bench.test()
                                .entries()
                                .get(bench.test().entries().size() - 1))
                        .map(each -> English.of(each.reason())))
                .hasValue("This length is broken as well: repairing the break that is seen would not do.");
        assertThat(English.of(bench.test().objection(mended, splice).orElseThrow()))
                .startsWith("The length 'W1 from J2.1' is at fault too");
        bench.takeBack().at(remainders.get(1), "0.4");
        assertThat(bench.test().objection(mended, splice).map(English::of)).isEmpty();
    }

    @Test
    void aSecondBreakIsAFindingOfItsOwnThatIsMendedAndProved() {
        Bench bench = broken();
        Entry.Content.Repair splice = new Entry.Content.Repair(Entry.Way.SPLICE, "", "");
        List<TestStep.ManualStep> lengths =
                bench.test().remainders(bench.test().findings().get(0).finding());
        bench.at(lengths.get(0), "0.4").at(lengths.get(1), "OL");
        assertThat(bench.test().findings())
                .extracting(found -> English.of(found.finding().message()))
                .containsExactly(
                        "W1 is open between J1.1 and J2.1.",
                        "W1 is open a second time between J2.1 and the break that is seen.");
        bench.repair("@length W1 J2.1", splice);
        assertThat(bench.test().findings())
                .as("the break that is seen is still there, and the length is read again")
                .extracting(found -> English.of(found.finding().message()))
                .containsExactly("W1 is open between J1.1 and J2.1.");
        assertThat(bench.test().isDone(lengths.get(0))).isTrue();
        assertThat(bench.test()
                        .objection(new TestStep.ManualStep(ManualAction.REPAIR, "W1"), splice)
                        .map(English::of))
                .hasValue(
                        "Before it is spliced, read each remaining length: W1 from J2.1. A wire can be broken twice.");
        bench.at(lengths.get(1), "0.4").repair("W1", splice);
        assertThat(bench.test().findings()).isEmpty();
        assertThat(bench.test().isDone(bench.test().current().orElseThrow()))
                .as("the whole wire is read again")
                .isFalse();
    }

    @Test
    void aRepairLeavesTheFindingsOfItsNeighboursUntilTheyAreReadAgain() {
        Bench bench = Bench.of("wire,from,to\nW1,J1.1,J2.1\nW2,J1.2,J2.2\nW3,J1.3,J2.3\n")
                .type("b", "0.30", "OL", "OL")
                .type("OL", "OL")
                .at(new TestStep.Measurement(Stage.CONTINUITY, Terminal.of("J1.3"), Terminal.of("J2.3")), "0.5")
                .repair("W1", Entry.Way.CONTACT);
        assertThat(bench.test().findings())
                .extracting(found -> English.of(found.finding().message()))
                .contains("W2 is open between J1.2 and J2.2.");
        assertThat(bench.test()
                        .steps(Stage.CONTINUITY)
                        .filter(step -> !bench.test().isDone(step)))
                .as("it is read again all the same")
                .hasSize(2);
    }

    @Test
    void aRemainingLengthWithMoreThanTheWholeWireMayHaveIsAtFault() {
        Bench bench = broken();
        TestStep.ManualStep remainder = bench.test()
                .remainders(bench.test().findings().get(0).finding())
                .get(0);
        bench.at(remainder, "0.9");
        assertThat(bench.test().state(remainder)).isEqualTo(StepState.FAIL);
        bench.repair("W1", Entry.Way.REPLACE);
        assertThat(bench.test().entriesOf(remainder))
                .as("a new wire has no remains")
                .isEmpty();
    }
}
