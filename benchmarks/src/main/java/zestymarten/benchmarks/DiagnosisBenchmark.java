package zestymarten.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import zestymarten.core.analysis.Analysis;
import zestymarten.core.analysis.AnalysisReading;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.fault.Probe;
import zestymarten.core.fault.RandomHarness;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.network.Net;

/** A cable of 200 wires with three faults, rung out end to end: one reading more, and the next measurement after it. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 3, time = 2)
@Fork(1)
public class DiagnosisBenchmark {
    private final RandomHarness cable = RandomHarness.cable(new Random(7), 200).sabotage(3);
    private final TestConditions conditions = Cables.conditions(0.005);
    private final List<AnalysisReading> readings = rungOut();

    private List<AnalysisReading> rungOut() {
        Probe probe = new Probe(cable.unit(), conditions, new Random(1), 0);
        List<AnalysisReading> all = new ArrayList<>();
        for (Net net : cable.design().nets().all()) {
            Terminal a = net.ends().get(0);
            Terminal b = net.ends().get(1);
            all.add(reading(a, b, probe.shows(a, b, cable.assembly().states().get(0), List.of())));
        }
        return all;
    }

    private AnalysisReading reading(Terminal a, Terminal b, String shown) {
        return new AnalysisReading(a, b, shown, cable.assembly().states().get(0), List.of(), OptionalDouble.empty());
    }

    /** The whole analysis of one reading more, with the next measurement. */
    @Benchmark
    public Analysis oneReadingMore() {
        List<AnalysisReading> more = new ArrayList<>(readings);
        more.add(reading(cable.design().nets().all().get(3).ends().get(0), Terminal.FRAME, "OL"));
        return Analysis.of(cable.design(), conditions, more);
    }
}
