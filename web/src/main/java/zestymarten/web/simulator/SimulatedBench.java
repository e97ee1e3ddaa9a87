package zestymarten.web.simulator;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.annotation.PreDestroy;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.fault.GoodUnit;
import zestymarten.core.meter.MeterProfile;
import zestymarten.simulator.instrument.InsulationTester;
import zestymarten.simulator.instrument.Multimeter;
import zestymarten.simulator.instrument.Scanner;
import zestymarten.simulator.scpi.Commands;
import zestymarten.simulator.scpi.ScpiServer;
import zestymarten.simulator.unit.BenchUnit;
import zestymarten.simulator.unit.Flaw;
import zestymarten.simulator.unit.Workbench;
import zestymarten.web.meter.StandIns;
import zestymarten.web.platform.NotFound;
import zestymarten.web.testrun.RunSnapshot;
import zestymarten.web.testrun.TestRuns;

/**
 * Instruments on loopback ports of their own, and the unit of whichever run they are asked for. A run's unit is called by the
 * number of its run; it stays the same piece while the run goes on.
 */
@Component
@ConditionalOnProperty("marten.demo")
class SimulatedBench implements StandIns {
    private static final MeterProfile PROFILE = new MeterProfile("bench meter 2", 0.008, 0.01, 30, false, 20e6);
    private static final double LEADS_OHM = 0.3;
    private static final double UNLIKE = 0.02;
    private static final long SEED = 7;

    private final TestRuns runs;
    private final Cache<Long, BenchUnit> units =
            Caffeine.newBuilder().maximumSize(200).build();
    private final Map<String, ScpiServer> servers;

    SimulatedBench(TestRuns runs) {
        this.runs = runs;
        servers = Map.of(
                StandIns.MULTIMETER,
                ScpiServer.on(0, () -> new Multimeter(workbench(), PROFILE, new SplittableRandom(SEED)).commands()),
                StandIns.INSULATION_TESTER,
                ScpiServer.on(
                        0,
                        () -> new InsulationTester(workbench(), new SplittableRandom(SEED), System::nanoTime)
                                .commands()),
                StandIns.SCANNER,
                ScpiServer.on(0, this::scanner));
    }

    private Commands scanner() {
        Workbench bench = workbench();
        return new Scanner(bench)
                .commands()
                .with(new Multimeter(bench, PROFILE, new SplittableRandom(SEED)).commands())
                .with(new InsulationTester(bench, new SplittableRandom(SEED), System::nanoTime).commands());
    }

    /** A bench for every connection, so that two technicians are not in each other's way. */
    private Workbench workbench() {
        return new Workbench(this::unit, LEADS_OHM, new SplittableRandom(SEED));
    }

    private Optional<BenchUnit> unit(String run) {
        if (!run.matches("[0-9]{1,18}")) {
            return Optional.empty();
        }
        try {
            return Optional.of(units.get(Long.valueOf(run), number -> made(runs.find(number))));
        } catch (NotFound e) {
            return Optional.empty();
        }
    }

    /** No two wires are quite alike, by a spread of a few percent that looks like chance. */
    private static BenchUnit made(RunSnapshot run) {
        Design design = Design.of(run.revision().assembly(), run.test().design().ambientC());
        List<Conductor> wires = design.assembly().conductors();
        GoodUnit good = GoodUnit.spread(design, wire -> 1 + UNLIKE * Math.sin(7.3 * (wires.indexOf(wire) + 1)));
        return new BenchUnit(
                good,
                Shelf.faults(run.serial()).stream().<Flaw>map(Flaw.Wired::new).toList());
    }

    @Override
    public Optional<Integer> port(String name) {
        return Optional.ofNullable(servers.get(name)).map(ScpiServer::port);
    }

    @PreDestroy
    void close() {
        servers.values().forEach(ScpiServer::close);
    }
}
