package zestymarten.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Kind;
import zestymarten.core.assembly.WireList;
import zestymarten.core.network.Nets;
import zestymarten.core.plan.Coverage.Count;
import zestymarten.core.plan.Coverage.Fault;

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
        assertThat(procedure.seconds(5, 20, 120)).isEqualTo(touches * 5 + setups * 20 + method.walks() * 120);
    }

    @Test
    void withBothEndsAtHandEverySingleFaultIsSeen() {
        Coverage coverage = coverage(cable(8), Method.BOTH_ENDS);
        coverage.counts()
                .forEach((kind, count) ->
                        assertThat(count.seen()).as(kind.code()).isEqualTo(count.all()));
        assertThat(coverage.counts()).containsKeys(Fault.values());
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
