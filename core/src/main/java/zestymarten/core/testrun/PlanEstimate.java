package zestymarten.core.testrun;

import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import zestymarten.core.analysis.Design;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.testplan.CoverageAnalysis;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.Tool;

/**
 * What a way of testing costs on a good unit, and what it would miss.
 *
 * @param effort in actions
 * @param seconds at the given pace
 * @param lacks what it takes and is not at hand
 * @param misses what it would miss besides what no ohmmeter shows, in plain words, computed from the wiring
 */
public record PlanEstimate(
        TestMethod method, EffortModel effort, double seconds, List<Tool> lacks, List<String> misses) {
    public PlanEstimate {
        lacks = List.copyOf(lacks);
        misses = List.copyOf(misses);
    }

    /**
     * The offer of an approach for a design.
     *
     * @param tools what is at hand besides the meter
     */
    public static PlanEstimate of(
            Design design, TestOptions approach, TestConditions conditions, EffortModel.Pace pace, Set<Tool> tools) {
        TestRun test = TestRun.of(design, approach, conditions, List.of());
        EffortModel effort = EffortModel.left(test);
        CoverageAnalysis coverage = MeasurementPlan.coverage(design, approach, conditions);
        return new PlanEstimate(
                approach.method(),
                effort,
                effort.seconds(pace),
                approach.method().tools().stream()
                        .filter(each -> !tools.contains(each))
                        .toList(),
                Stream.concat(ofThisMethod(coverage).stream(), withoutTools(test, tools))
                        .toList());
    }

    /** What nobody can see without a tool, whatever the method. */
    private static Stream<String> withoutTools(TestRun test, Set<Tool> tools) {
        Stream<String> insulation = tools.contains(Tool.INSULATION_TESTER)
                ? Stream.empty()
                : Stream.of("No insulation tester: damage that leads only under voltage is not found.");
        long tight = tools.contains(Tool.LOW_OHM_METER) ? 0 : test.tight();
        Stream<String> ohms = tight == 0
                ? Stream.empty()
                : Stream.of("No low-resistance meter: " + tight + (tight == 1 ? " wire has" : " wires have")
                        + " a limit of less than twenty steps of a usual meter, and a small excess is hardly seen.");
        return Stream.concat(ohms, insulation);
    }

    /** The last blind spot is that of every ohmmeter. */
    private static List<String> ofThisMethod(CoverageAnalysis coverage) {
        List<String> all = coverage.blindSpots();
        return all.subList(0, all.size() - 1);
    }
}
