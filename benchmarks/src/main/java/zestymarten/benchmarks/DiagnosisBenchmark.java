package zestymarten.benchmarks;

import java.util.ArrayList;
import java.util.List;
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
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Complaint;
import zestymarten.core.diagnosis.Costs;
import zestymarten.core.diagnosis.Diagnosis;
import zestymarten.core.diagnosis.NextTouch;
import zestymarten.core.finding.Priors;
import zestymarten.core.diagnosis.Touched;
import zestymarten.core.fault.GoodUnit;
import zestymarten.core.fault.Probe;
import zestymarten.core.fault.RandomHarness;
import zestymarten.core.meter.Conditions;
import zestymarten.core.network.Net;
import zestymarten.core.quantity.ReadingLanguage;

/** A cable of 200 wires with three faults, rung out end to end: one reading more, and the next touch after it. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 3, time = 2)
@Fork(1)
public class DiagnosisBenchmark {
    private final RandomHarness cable = RandomHarness.cable(new Random(7), 200).sabotage(3);
    private final Conditions conditions = Cables.conditions(0.005);
    private final Diagnosis diagnosis = rungOut();

    private Diagnosis rungOut() {
        Probe probe = new Probe(cable.unit(), conditions, new Random(1), 0);
        List<Touched> readings = new ArrayList<>();
        for (Net net : cable.design().nets().all()) {
            Terminal a = net.ends().get(0);
            Terminal b = net.ends().get(1);
            String shown = probe.shows(a, b, cable.assembly().states().get(0), List.of());
            readings.add(touched(readings.size(), a, b, shown));
        }
        return Diagnosis.of(
                GoodUnit.nominal(cable.design()), conditions, Priors.usual().forSize(200), Complaint.NONE, readings);
    }

    private Touched touched(int number, Terminal a, Terminal b, String shown) {
        return new Touched(
                number,
                a,
                b,
                cable.assembly().states().get(0),
                List.of(),
                new ReadingLanguage(false).understand(shown));
    }

    @Benchmark
    public Diagnosis update() {
        Net net = cable.design().nets().all().get(3);
        return diagnosis.plus(touched(200, net.ends().get(0), Terminal.FRAME, "OL"));
    }

    @Benchmark
    public List<NextTouch> updateAndNextTouch() {
        return update().next(Costs.bench(false), 1);
    }
}
