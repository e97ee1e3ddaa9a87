package zestymarten.core.testrun;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.testplan.CoverageAnalysis;
import zestymarten.core.testplan.ProbePlacement;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestStep;

/**
 * What a method measures on a good unit, measurement by measurement: the steps of a fresh test, its effort, and which faults
 * they would show. The insulation test comes after continuity has passed and is planned by itself.
 *
 * @param measurements in their order
 */
public record MeasurementPlan(
        TestMethod method, List<ProbePlacement> measurements, EffortModel effort, CoverageAnalysis coverage) {
    public MeasurementPlan {
        measurements = List.copyOf(measurements);
    }

    /** The plan of a method for a design. Cost: that of {@link CoverageAnalysis}, and one step for each measurement. */
    public static MeasurementPlan of(Design design, TestMethod method, TestConditions conditions) {
        boolean insulation = method == TestMethod.INSULATION;
        TestOptions approach =
                new TestOptions(insulation ? TestMethod.BOTH_ENDS : method, false, true, OptionalDouble.empty());
        TestRun test = TestRun.of(design, approach, conditions, List.of());
        List<TestStep.Measurement> measurements =
                insulation ? test.underVoltage().toList() : test.measurements().toList();
        CoverageAnalysis coverage = insulation
                ? CoverageAnalysis.of(
                        design.assembly(),
                        design.nets(),
                        sample -> fresh(design, approach, conditions, sample)
                                .underVoltage()
                                .map(test::measurement)
                                .toList())
                : coverage(design, approach, conditions);
        return new MeasurementPlan(
                method,
                measurements.stream().map(test::measurement).toList(),
                insulation ? EffortModel.of(measurements) : EffortModel.left(test),
                coverage);
    }

    /** Which faults the measurements of an approach would show, of a good unit with free ends and linked ones alike. */
    static CoverageAnalysis coverage(Design design, TestOptions approach, TestConditions conditions) {
        return CoverageAnalysis.of(design.assembly(), design.nets(), sample -> {
            TestRun test = fresh(design, approach, conditions, sample);
            return test.measurements().map(test::measurement).toList();
        });
    }

    private static TestRun fresh(Design design, TestOptions approach, TestConditions conditions, Assembly sample) {
        Design own = sample.equals(design.assembly()) ? design : design.with(sample);
        return TestRun.of(own, approach, conditions, List.of());
    }

    /** How often switches and relays are set to another position. */
    public int positions() {
        return (int) Stream.iterate(1, i -> i < measurements.size(), i -> i + 1)
                .filter(i -> !measurements
                        .get(i)
                        .state()
                        .equals(measurements.get(i - 1).state()))
                .count();
    }
}
