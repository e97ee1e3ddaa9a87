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
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.network.Change;
import zestymarten.core.network.Link;
import zestymarten.core.network.Network;
import zestymarten.core.network.WhatIf;
import zestymarten.core.quantity.Ohms;

/** One edge of a mesh taken out: by the rank-one change against solving the changed network anew. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 3, time = 1)
@Fork(1)
public class WhatIfBenchmark {
    @Param({"20", "200"})
    int nodes;

    private List<Link> links = new ArrayList<>();
    private Network network = Network.of(List.of());
    private static final Terminal FROM = Terminal.of("N0");
    private static final Terminal TO = Terminal.of("N1");

    @Setup
    public void make() {
        Random random = new Random(1);
        links = new ArrayList<>();
        for (int i = 1; i < nodes; i++) {
            links.add(link(i, random.nextInt(i), random));
        }
        for (int i = 0; i < nodes; i++) {
            links.add(link(i, (i + 2 + random.nextInt(5)) % nodes, random));
        }
        network = Network.of(links);
        network.nominal(FROM, TO);
    }

    private static Link link(int a, int b, Random random) {
        Ohms ohm = Ohms.of(0.1 + random.nextDouble());
        return new Link(Terminal.of("N" + a), Terminal.of("N" + b), ohm, ohm, ohm);
    }

    @Benchmark
    public OptionalDouble byRankOne() {
        Link last = links.get(links.size() - 1);
        Change removed = new Change.Removed(last.a(), last.b(), last.nominal().value());
        return WhatIf.of(network, List.of(removed)).between(FROM, TO);
    }

    @Benchmark
    public OptionalDouble bySolvingAnew() {
        return Network.of(links.subList(0, links.size() - 1)).nominal(FROM, TO);
    }
}
