package zestymarten.core.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.AssemblyReader;
import zestymarten.core.assembly.JsonMembers;
import zestymarten.core.assembly.WireList;
import zestymarten.core.network.Nets;
import zestymarten.core.quantity.English;
import zestymarten.core.quantity.Problem;
import zestymarten.core.testplan.CoverageAnalysis;
import zestymarten.core.testplan.CoverageAnalysis.Count;
import zestymarten.core.testplan.CoverageAnalysis.PossibleFault;
import zestymarten.core.testplan.ProbePlacement;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.Tool;

/** What the methods cost, and what they would miss. */
class OfferCoverageTest {
    private static Assembly cable(int wires) {
        StringBuilder list = new StringBuilder("from,to\n");
        for (int i = 1; i <= wires; i++) {
            list.append("J1.").append(i).append(",J2.").append(i).append('\n');
        }
        return WireList.read(list.toString()).assembly("Cable", AssemblyKind.CABLE, "", Map.of());
    }

    private static CoverageAnalysis coverage(Assembly assembly, TestMethod method) {
        return plan(assembly, method).coverage();
    }

    private static PlanEstimate offer(Assembly assembly, TestMethod method) {
        return PlanEstimate.of(
                Design.of(assembly, 20),
                new TestOptions(method, false, true, OptionalDouble.empty()),
                Bench.CONDITIONS,
                EffortModel.Pace.USUAL,
                EnumSet.allOf(Tool.class));
    }

    private static MeasurementPlan plan(Assembly assembly, TestMethod method) {
        return MeasurementPlan.of(Design.of(assembly, 20), method, Bench.CONDITIONS);
    }

    @ParameterizedTest
    @CsvSource({
        "BOTH_ENDS, 11, 77, 0, 0",
        "FAR_END_JOINED, 11, 77, 2, 4",
        "FAR_END_TO_FRAME, 11, 78, 2, 4",
        "EACH_TO_REST, 11, 32, 10, 0",
        "BY_HALVES, 11, 26, 4, 0",
        "BY_HALVES, 200, 408, 8, 0",
        "EACH_TO_REST, 1, 2, 0, 0"
    })
    void countsMeasurementsAndChangesOfLinks(TestMethod method, int wires, int measurements, int setups, int trips) {
        EffortModel effort = offer(cable(wires), method).effort();
        assertThat(effort.measurements()).isEqualTo(measurements);
        assertThat(plan(cable(wires), method).measurements()).hasSize(measurements);
        assertThat(plan(cable(wires), method).effort()).isEqualTo(effort);
        assertThat(effort.setups()).isEqualTo(setups);
        assertThat(effort.trips()).isEqualTo(trips);
        assertThat(effort.checks()).isEqualTo(2);
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
        return JsonMembers.read(DESK, problems)
                .flatMap(members -> AssemblyReader.read(members, problems))
                .orElseThrow(() -> new AssertionError(problems));
    }

    @Test
    void readsPartsOnceWhereTheyConductAndContactsWhereTheyAreOpenToo() {
        MeasurementPlan plan = plan(desk(), TestMethod.BOTH_ENDS);
        List<ProbePlacement> measured = plan.measurements();
        assertThat(plan.positions()).isEqualTo(1);
        assertThat(measured.stream()
                        .skip(measured.size() - 3)
                        .map(each -> each.black() + " " + each.red() + " "
                                + each.state().id()))
                .containsExactly("J2.1 J2.2 rest", "J2.3 J2.4 rest", "J2.3 J2.4 held");
        CoverageAnalysis coverage = coverage(desk(), TestMethod.BOTH_ENDS);
        assertThat(coverage.counts().get(PossibleFault.PART_OPEN)).isEqualTo(new CoverageAnalysis.Count(2, 2));
        assertThat(coverage.counts().get(PossibleFault.PART_STUCK)).isEqualTo(new CoverageAnalysis.Count(1, 1));
        assertThat(coverage.counts().getOrDefault(PossibleFault.SHORT, new CoverageAnalysis.Count(0, 0)))
                .as("a short beside a fuse reads like the fuse")
                .isEqualTo(new CoverageAnalysis.Count(6, 5));
    }

    @Test
    void insulationIsReadEachToTheLinkedRestOnClipsThatWereProvedJustBefore() {
        List<ProbePlacement> measured = plan(cable(5), TestMethod.INSULATION).measurements();
        assertThat(measured).extracting(ProbePlacement::isUnderVoltage).startsWith(false, true, false, true);
        assertThat(measured).filteredOn(ProbePlacement::isUnderVoltage).hasSize(5);
        CoverageAnalysis coverage = coverage(cable(5), TestMethod.INSULATION);
        assertThat(coverage.counts()).containsEntry(PossibleFault.OPEN, new Count(5, 5));
        List<ProbePlacement> unproved =
                measured.stream().filter(ProbePlacement::isUnderVoltage).toList();
        assertThat(English.all(CoverageAnalysis.of(cable(5), Nets.of(cable(5)), any -> unproved)
                        .blindSpots()))
                .contains("Blind to broken wires: a unit with them reads like a good one.");
    }

    @Test
    void withBothEndsAtHandEverySingleFaultIsSeen() {
        CoverageAnalysis coverage = coverage(cable(8), TestMethod.BOTH_ENDS);
        coverage.counts()
                .forEach((kind, count) ->
                        assertThat(count.seen()).as(kind.code()).isEqualTo(count.all()));
        assertThat(coverage.counts())
                .containsKeys(
                        PossibleFault.OPEN, PossibleFault.SHORT, PossibleFault.FRAME_SHORT, PossibleFault.CROSSED);
        assertThat(English.all(coverage.blindSpots())).noneMatch(spot -> spot.startsWith("Blind to"));
    }

    @Test
    void aJoinedFarEndIsBlindToCrossedWires() {
        CoverageAnalysis coverage = coverage(cable(6), TestMethod.FAR_END_JOINED);
        assertThat(coverage.counts()).containsEntry(PossibleFault.CROSSED, new Count(15, 0));
        assertThat(coverage.counts()).containsEntry(PossibleFault.OPEN, new Count(6, 6));
        assertThat(English.of(coverage.blindSpots().get(0)))
                .isEqualTo("Blind to crossed wires: a unit with them reads like a good one.");
    }

    @Test
    void theClosingPairTellsABrokenReferenceFromBreaksInAllOthers() {
        assertThat(English.all(coverage(cable(6), TestMethod.FAR_END_JOINED).indistinguishable()))
                .noneMatch(group -> group.contains("W1 open"));
        assertThat(English.all(coverage(cable(2), TestMethod.FAR_END_JOINED).indistinguishable()))
                .as("two wires have no closing pair")
                .containsExactly("W1 open and W2 open");
    }

    @Test
    void byHalvesDetectsEveryShortButDoesNotNameIt() {
        CoverageAnalysis coverage = coverage(cable(8), TestMethod.BY_HALVES);
        assertThat(coverage.counts()).containsEntry(PossibleFault.SHORT, new Count(28, 28));
        assertThat(coverage(cable(8), TestMethod.EACH_TO_REST).counts())
                .containsEntry(PossibleFault.FRAME_SHORT, new Count(8, 8));
    }

    @Test
    void aNetThatNoProbeCanReachIsLeftOut() {
        Assembly buried =
                WireList.read("from,to\nJ1.1,J2.1\nS1,S2\n").assembly("Buried", AssemblyKind.CABLE, "", Map.of());
        for (TestMethod method : TestMethod.values()) {
            assertThat(coverage(buried, method).counts()).containsEntry(PossibleFault.FRAME_SHORT, new Count(1, 1));
        }
    }

    @Test
    void aLargeCableIsSampledAndSaysSo() {
        CoverageAnalysis coverage = coverage(cable(500), TestMethod.BOTH_ENDS);
        assertThat(English.all(coverage.blindSpots())).contains("Computed on 24 of the 500 nets, evenly chosen.");
        assertThat(coverage.counts()).containsEntry(PossibleFault.OPEN, new Count(24, 24));
    }
}
