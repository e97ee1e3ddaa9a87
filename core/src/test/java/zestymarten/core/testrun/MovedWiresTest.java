package zestymarten.core.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyReader;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;

/** What is read while wires are moved, and in the positions of a moving part. */
class MovedWiresTest {
    @Test
    void aWireThatJumpsWhenMovedIsIntermittentWhereItJumped() {
        Bench bench = ThreeCores.untilRungOut(Bench.of(ThreeCores.LIST, ThreeCores.WHOLE))
                .type("n", "n", "n", "0.4", "n", "n", "n")
                .type("0.6", "jumps");
        assertThat(ThreeCores.found(bench)).singleElement().asString().contains("intermittent between J1.2 and J2.2");
        assertThat(bench.test().findings().get(0).finding().kind()).isEqualTo("intermittent");
    }

    @Test
    void theWiresOfWhatWorksOnlySometimesAreMovedEvenWhereNothingFlexes() {
        Bench bench = Bench.of("wire,from,to,function\nW1,J1.1,J2.1,lamp\nW2,J1.2,J2.2,horn\n")
                .enters(ManualAction.SYMPTOM, "lamp", "sometimes")
                .type("b", "0.30", "0.5", "0.5", "n", "n", "n");
        assertThat(bench.sentence()).isEqualTo("WIGGLE J1.1 J2.1");
        assertThat(bench.test().outcome()).as("not yet moved").isEqualTo(RunOutcome.INCOMPLETE);
        assertThat(bench.type("0.4").test().outcome()).isEqualTo(RunOutcome.PASS);
        bench.takeBack().type("jumps");
        assertThat(bench.test().findings().get(0).finding().kind()).isEqualTo("intermittent");
        assertThat(bench.test().unexplained()).isEmpty();
    }

    @Test
    void aWireThatOpensInOnePositionOfTheMovingPartIsIntermittent() {
        Bench bench = Bench.of("wire,from,to\nW1,J1.1,J2.1\nW2,J1.2,J2.2\n")
                .enters(ManualAction.POSITION_NAMED, "door half open", "")
                .type("b", "0.30", "0.5", "0.5", "n", "n", "n");
        assertThat(bench.sentence()).isEqualTo("MOVED_TO door half open");
        assertThat(bench.test().outcome()).as("not read there yet").isEqualTo(RunOutcome.INCOMPLETE);
        bench.manual("").type("0.5", "OL");
        assertThat(ThreeCores.found(bench))
                .singleElement()
                .asString()
                .contains("W2 is intermittent between J1.2 and J2.2");
        assertThat(bench.test().outcome()).isEqualTo(RunOutcome.FAIL);
        assertThat(bench.sentence()).as("what is read later is read at rest").isEqualTo("MOVED_TO");
        assertThat(bench.toRestore()).containsExactly("@moving_part");
        assertThat(bench.manual("").test().toRestore()).isEmpty();
        bench.repair("W2", Entry.Way.REPLACE);
        assertThat(bench.test()
                        .steps()
                        .filter(each -> !bench.test().isDone(each))
                        .map(Bench::say))
                .as("read again in that position, not only at rest, and then brought back")
                .containsSubsequence("CONTINUITY J1.2 J2.2", "MOVED_TO door half open", "WIGGLE J1.2 J2.2", "MOVED_TO");
    }

    @Test
    void afterTheRepairOfASwitchItIsAskedToBeSetAgain() {
        Terminal in = Terminal.of("J2.1");
        Terminal out = Terminal.of("J2.2");
        Assembly desk = AssemblyReader.read("""
                {"format": "zesty-marten/assembly", "version": 1, "name": "Desk", "kind": "harness",
                 "connectors": [{"id": "J1", "pins": ["1", "2"]}, {"id": "J2", "pins": ["1", "2"]}],
                 "conductors": [{"id": "W1", "from": "J1.1", "to": "J2.1"}, {"id": "W2", "from": "J1.2", "to": "J2.2"}],
                 "components": [{"id": "SW1", "kind": "switch", "a": "J2.1", "b": "J2.2"}],
                 "states": [{"id": "rest", "closed": []}, {"id": "held", "closed": ["SW1"]}]}
                """, new ArrayList<>()).orElseThrow();
        Bench bench = Bench.of(desk, ThreeCores.WHOLE)
                .enters(ManualAction.POSITION, "held", "")
                .at(new TestStep.Measurement(Stage.PARTS, in, out, "held", List.of()), "OL");
        TestStep held = new TestStep.ManualStep(ManualAction.POSITION, "held");
        assertThat(bench.test().isDone(held)).isTrue();
        bench.repair("SW1", Entry.Way.REPLACE);
        assertThat(bench.test().isDone(held)).isFalse();
        bench.repair("W1", Entry.Way.REPLACE).enters(ManualAction.POSITION, "held", "");
        assertThat(bench.test().isDone(held))
                .as("set again, and not asked twice")
                .isTrue();
    }

    @Test
    void inAPositionOnlyWhatFlexesAndWhatWorksSometimesIsRead() {
        Bench bench = Bench.of(ThreeCores.LIST, ThreeCores.WHOLE)
                .enters(ManualAction.SYMPTOM, "horn", "sometimes")
                .enters(ManualAction.POSITION_NAMED, "seat back", "")
                .enters(ManualAction.POSITION_NAMED, "seat forward", "");
        assertThat(bench.test()
                        .steps()
                        .filter(each -> each.stage() == Stage.WIGGLE)
                        .map(Bench::say))
                .containsExactly(
                        "WIGGLE J1.1 J2.1",
                        "WIGGLE J1.2 J2.2",
                        "WIGGLE J1.3 J2.3",
                        "MOVED_TO seat back",
                        "WIGGLE J1.1 J2.1",
                        "WIGGLE J1.2 J2.2",
                        "WIGGLE J1.3 J2.3",
                        "MOVED_TO seat forward",
                        "WIGGLE J1.1 J2.1",
                        "WIGGLE J1.2 J2.2",
                        "WIGGLE J1.3 J2.3",
                        "MOVED_TO");
    }
}
