package zestymarten.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import zestymarten.core.analysis.Analysis;
import zestymarten.core.analysis.AnalysisReading;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.network.Path;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testrun.MeasurementPlan;

/** Plans, bounds and classification by the number of wires; the baseline goes through the wires once and adds their lengths. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 3, time = 1)
@Fork(value = 1, jvmArgs = "-Xmx256m")
public class ReckoningBenchmark {
    @Param({"100", "1000", "10000"})
    int wires;

    private Assembly assembly = Cables.straight(1);
    private Design design = Design.of(assembly, 20);
    private List<AnalysisReading> readings = new ArrayList<>();
    private final TestConditions conditions = Cables.conditions(0.005);

    @Setup(Level.Trial)
    public void make() {
        assembly = Cables.straight(wires);
        design = Design.of(assembly, 20);
        readings = Cables.goodReadings(design);
    }

    @Benchmark
    public double baseline() {
        double sum = 0;
        for (Conductor each : assembly.conductors()) {
            sum += each.lengthM().orElse(0);
        }
        return sum;
    }

    @Benchmark
    public int plan() {
        return MeasurementPlan.of(Design.of(assembly, 20), TestMethod.BY_HALVES, conditions)
                .measurements()
                .size();
    }

    @Benchmark
    public int bounds() {
        Design fresh = Design.of(assembly, 20);
        int through = 0;
        for (Conductor each : assembly.conductors()) {
            through += fresh.path(each.from(), each.to()) instanceof Path.Ohmic ? 1 : 0;
        }
        return through;
    }

    @Benchmark
    public Analysis.AnalysisState classification() {
        return Analysis.of(design, conditions, readings).state();
    }

    /** The budget: plan, expected bounds and full classification of 10 000 wires together within a second and 256 MB. */
    @Benchmark
    public OptionalDouble together() {
        Design fresh = Design.of(assembly, 20);
        int measurements = MeasurementPlan.of(fresh, TestMethod.BY_HALVES, conditions)
                .measurements()
                .size();
        for (Conductor each : assembly.conductors()) {
            fresh.path(each.from(), each.to());
        }
        Analysis analysis = Analysis.of(fresh, conditions, readings);
        return analysis.state() == Analysis.AnalysisState.PASS ? OptionalDouble.of(measurements) : OptionalDouble.empty();
    }
}
