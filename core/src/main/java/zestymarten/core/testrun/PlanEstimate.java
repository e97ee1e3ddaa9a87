package zestymarten.core.testrun;

import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import zestymarten.core.analysis.Design;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.Message;
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
        TestMethod method, EffortModel effort, double seconds, List<Tool> lacks, List<Message> misses) {
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
    private static Stream<Message> withoutTools(TestRun test, Set<Tool> tools) {
        Stream<Message> insulation = tools.contains(Tool.INSULATION_TESTER)
                ? Stream.empty()
                : Stream.of(Message.of("plan_estimate.no_insulation_tester_damage"));
        long tight = tools.contains(Tool.LOW_OHM_METER) ? 0 : test.tight();
        Stream<Message> ohms =
                tight == 0 ? Stream.empty() : Stream.of(Message.of("plan_estimate.no_low_resistance_meter", tight));
        return Stream.concat(ohms, insulation);
    }

    /** The last blind spot is that of every ohmmeter. */
    private static List<Message> ofThisMethod(CoverageAnalysis coverage) {
        List<Message> all = coverage.blindSpots();
        return all.subList(0, all.size() - 1);
    }
}
