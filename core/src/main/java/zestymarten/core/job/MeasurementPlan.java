package zestymarten.core.job;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.meter.Conditions;
import zestymarten.core.plan.Approach;
import zestymarten.core.plan.Coverage;
import zestymarten.core.plan.Measurement;
import zestymarten.core.plan.Method;
import zestymarten.core.plan.Step;

/**
 * What a method measures on a good unit, measurement by measurement: the steps of a fresh test, its effort, and which faults
 * they would show. The insulation test comes after continuity has passed and is planned by itself.
 *
 * @param measurements in their order
 */
public record MeasurementPlan(Method method, List<Measurement> measurements, Effort effort, Coverage coverage) {
    public MeasurementPlan {
        measurements = List.copyOf(measurements);
    }

    /** The plan of a method for a design. Cost: that of {@link Coverage}, and one step for each measurement. */
    public static MeasurementPlan of(Design design, Method method, Conditions conditions) {
        boolean insulation = method == Method.INSULATION;
        Approach approach = new Approach(insulation ? Method.BOTH_ENDS : method, false, true, OptionalDouble.empty());
        Job job = Job.of(design, approach, conditions, List.of());
        List<Step.Touch> touches =
                insulation ? job.underVoltage().toList() : job.measurements().toList();
        Coverage coverage = insulation
                ? Coverage.of(
                        design.assembly(),
                        design.nets(),
                        sample -> fresh(design, approach, conditions, sample)
                                .underVoltage()
                                .map(job::measurement)
                                .toList())
                : coverage(design, approach, conditions);
        return new MeasurementPlan(
                method,
                touches.stream().map(job::measurement).toList(),
                insulation ? Effort.of(touches) : Effort.left(job),
                coverage);
    }

    /** Which faults the measurements of an approach would show, of a good unit with free ends and linked ones alike. */
    static Coverage coverage(Design design, Approach approach, Conditions conditions) {
        return Coverage.of(design.assembly(), design.nets(), sample -> {
            Job job = fresh(design, approach, conditions, sample);
            return job.measurements().map(job::measurement).toList();
        });
    }

    private static Job fresh(Design design, Approach approach, Conditions conditions, Assembly sample) {
        Design own = sample.equals(design.assembly()) ? design : design.with(sample);
        return Job.of(own, approach, conditions, List.of());
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
