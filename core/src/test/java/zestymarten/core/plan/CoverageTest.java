package zestymarten.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyReader;
import zestymarten.core.assembly.Kind;
import zestymarten.core.assembly.Members;
import zestymarten.core.assembly.WireList;
import zestymarten.core.network.Nets;
import zestymarten.core.plan.Coverage.Count;
import zestymarten.core.plan.Coverage.Fault;
import zestymarten.core.quantity.Problem;

/** What the methods cost, and what they would miss. */
class CoverageTest {
    private static Assembly cable(int wires) {
        StringBuilder list = new StringBuilder("from,to\n");
        for (int i = 1; i <= wires; i++) {
            list.append("J1.").append(i).append(",J2.").append(i).append('\n');
        }
        return WireList.read(list.toString()).assembly("Cable", Kind.CABLE, "", Map.of());
    }

    private static Coverage coverage(Assembly assembly, Method method) {
        return Coverage.of(assembly, Nets.of(assembly), method);
    }

    @ParameterizedTest
    @CsvSource({
        "BOTH_ENDS, 11, 77, 0",
        "FAR_END_JOINED, 11, 77, 2",
        "FAR_END_TO_FRAME, 11, 78, 2",
        "EACH_TO_REST, 11, 22, 11",
        "BY_HALVES, 11, 15, 4",
        "BY_HALVES, 200, 208, 8",
        "EACH_TO_REST, 1, 2, 0"
    })
    void countsTouchesAndChangesOfTies(Method method, int wires, int touches, int setups) {
        Assembly cable = cable(wires);
        Procedure procedure = Procedure.of(cable, Nets.of(cable), method);
        assertThat(procedure.touches()).hasSize(touches);
        assertThat(procedure.setups()).isEqualTo(setups);
        assertThat(procedure.seconds(5, 0, 20, 120)).isEqualTo(touches * 5 + setups * 20 + method.walks() * 120);
    }

    private static final String DESK = """
            {"format": "zesty-marten/assembly", "version": 1, "name": "Desk", "kind": "harness",
             "connectors": [{"id": "J1", "pins": ["1", "2", "3", "4"]}, {"id": "J2", "pins": ["1", "2", "3", "4"]}],
             "conductors": [{"id": "W1", "from": "J1.1", "to": "J2.1"}, {"id": "W2", "from": "J1.2", "to": "J2.2"},
                {"id": "W3", "from": "J1.3", "to": "J2.3"}, {"id": "W4", "from": "J1.4", "to": "J2.4"}],
             "components": [{"id": "F1", "kind": "fuse", "a": "J2.1", "b": "J2.2"},
                {"id": "SW1", "kind": "switch", "a": "J2.3", "b": "J2.4"}],
             "states": [{"id": "rest", "closed": []}, {"id": "held", "closed": ["SW1"]}]}
            """;

    private static Assembly desk() {
        List<Problem> problems = new ArrayList<>();
        return Members.read(DESK, problems)
                .flatMap(members -> AssemblyReader.read(members, problems))
                .orElseThrow(() -> new AssertionError(problems));
    }

    @Test
    void readsPartsOnceWhereTheyConductAndContactsWhereTheyAreOpenToo() {
        Procedure procedure = Procedure.of(desk(), Nets.of(desk()), Method.BOTH_ENDS);
        assertThat(procedure.touches().stream()
                        .skip(procedure.touches().size() - 3)
                        .map(touch -> touch.black() + " " + touch.red() + " "
                                + touch.state().id()))
                .containsExactly("J2.1 J2.2 rest", "J2.3 J2.4 rest", "J2.3 J2.4 held");
        assertThat(procedure.states()).isEqualTo(1);
        assertThat(procedure.moves())
                .isBetween(procedure.touches().size(), 2 * procedure.touches().size());
        Coverage coverage = coverage(desk(), Method.BOTH_ENDS);
        assertThat(coverage.counts().get(Fault.PART_OPEN)).isEqualTo(new Coverage.Count(2, 2));
        assertThat(coverage.counts().get(Fault.PART_STUCK)).isEqualTo(new Coverage.Count(1, 1));
        assertThat(coverage.counts().getOrDefault(Fault.SHORT, new Coverage.Count(0, 0)))
                .as("a short beside a fuse reads like the fuse")
                .isEqualTo(new Coverage.Count(6, 5));
    }

    @Test
    void insulationIsReadEachToTheTiedRestAndIsBlindToOpens() {
        Procedure procedure = Procedure.of(cable(5), Nets.of(cable(5)), Method.INSULATION);
        assertThat(procedure.touches()).hasSize(5).allMatch(Touch::insulation);
        List<String> blind = coverage(cable(5), Method.INSULATION).blindSpots();
        assertThat(blind)
                .contains(
                        "Blind to broken wires: a unit with them reads like a good one.",
                        "A clip that has fallen off passes every insulation test: prove the connection of each.");
    }

    @Test
    void withBothEndsAtHandEverySingleFaultIsSeen() {
        Coverage coverage = coverage(cable(8), Method.BOTH_ENDS);
        coverage.counts()
                .forEach((kind, count) ->
                        assertThat(count.seen()).as(kind.code()).isEqualTo(count.all()));
        assertThat(coverage.counts()).containsKeys(Fault.OPEN, Fault.SHORT, Fault.FRAME_SHORT, Fault.CROSSED);
        assertThat(coverage.blindSpots()).noneMatch(spot -> spot.startsWith("Blind to"));
    }

    @Test
    void aJoinedFarEndIsBlindToCrossedWires() {
        Coverage coverage = coverage(cable(6), Method.FAR_END_JOINED);
        assertThat(coverage.counts()).containsEntry(Fault.CROSSED, new Count(15, 0));
        assertThat(coverage.counts()).containsEntry(Fault.OPEN, new Count(6, 6));
        assertThat(coverage.blindSpots().get(0))
                .isEqualTo("Blind to crossed wires: a unit with them reads like a good one.");
    }

    @Test
    void theClosingPairTellsABrokenReferenceFromBreaksInAllOthers() {
        assertThat(coverage(cable(6), Method.FAR_END_JOINED).alike()).noneMatch(group -> group.contains("W1 open"));
        assertThat(coverage(cable(2), Method.FAR_END_JOINED).alike())
                .as("two wires have no closing pair")
                .containsExactly("W1 open / W2 open");
    }

    @Test
    void byHalvesDetectsEveryShortButDoesNotNameIt() {
        Coverage coverage = coverage(cable(8), Method.BY_HALVES);
        assertThat(coverage.counts()).containsEntry(Fault.SHORT, new Count(28, 28));
        assertThat(coverage.alike()).isNotEmpty();
        assertThat(coverage(cable(8), Method.EACH_TO_REST).counts()).containsEntry(Fault.FRAME_SHORT, new Count(8, 8));
    }

    @Test
    void aNetThatNoProbeCanReachIsLeftOut() {
        Assembly buried = WireList.read("from,to\nJ1.1,J2.1\nS1,S2\n").assembly("Buried", Kind.CABLE, "", Map.of());
        for (Method method : Method.values()) {
            assertThat(coverage(buried, method).counts()).containsEntry(Fault.FRAME_SHORT, new Count(1, 1));
        }
    }

    @Test
    void aLargeCableIsSampledAndSaysSo() {
        Coverage coverage = coverage(cable(500), Method.BOTH_ENDS);
        assertThat(coverage.blindSpots()).contains("Computed on 24 of the 500 nets, evenly chosen.");
        assertThat(coverage.counts()).containsEntry(Fault.OPEN, new Count(24, 24));
    }
}
