package zestymarten.web.demo;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.boot.autoconfigure.condition.ConditionalOnBooleanProperty;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.AssemblyReader;
import zestymarten.core.assembly.CavityLayout;
import zestymarten.core.assembly.WireList;
import zestymarten.core.fault.SeededFault;
import zestymarten.core.quantity.Problem;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testplan.TestOptions;
import zestymarten.web.assembly.Assemblies;
import zestymarten.web.assembly.Revision;
import zestymarten.web.meter.MeterRow;
import zestymarten.web.meter.Meters;
import zestymarten.web.meter.StandIns;
import zestymarten.web.people.People;
import zestymarten.web.people.PersonRole;
import zestymarten.web.simulator.Shelf;
import zestymarten.web.testrun.RunEntries;
import zestymarten.web.testrun.TestRuns;
import zestymarten.web.unit.DueDate;
import zestymarten.web.unit.Units;

/**
 * Fills an empty database with the workshop of the Kestrel Fen Tramway before the first page is served. A database that
 * has an account is left alone. All of it or nothing is kept.
 */
@Component
@ConditionalOnBooleanProperty("marten.demo")
class DemoData implements SmartInitializingSingleton {
    private static final String PASSWORD = "marten-demo";
    private static final int ALL = Integer.MAX_VALUE;
    private static final int WELL_UNDER_WAY = 20;
    private static final int HALF = 22;

    private final People people;
    private final Assemblies assemblies;
    private final TestRuns runs;
    private final RunEntries entries;
    private final Units units;
    private final Meters meters;
    private final DemoSheets sheets;
    private final TransactionTemplate transaction;
    private final Clock clock;

    DemoData(
            People people,
            Assemblies assemblies,
            TestRuns runs,
            RunEntries entries,
            Units units,
            Meters meters,
            DemoSheets sheets,
            TransactionTemplate transaction,
            Clock clock) {
        this.sheets = sheets;
        this.units = units;
        this.meters = meters;
        this.people = people;
        this.assemblies = assemblies;
        this.runs = runs;
        this.entries = entries;
        this.transaction = transaction;
        this.clock = clock;
    }

    @Override
    public void afterSingletonsInstantiated() {
        transaction.executeWithoutResult(status -> {
            if (people.none()) {
                load();
            }
        });
    }

    private void load() {
        people.addDemo("bench", PASSWORD, PersonRole.TECHNICIAN);
        people.addDemo("lead", PASSWORD, PersonRole.LEAD);
        people.addDemo("admin", PASSWORD, PersonRole.ADMIN);
        people.addDemo("viewer", PASSWORD, PersonRole.VIEWER);
        Technician bench = new Technician(runs, entries, "bench");
        Technician lead = new Technician(runs, entries, "lead");
        pendant(bench);
        desk(bench, lead);
        shoreLead(bench);
        sheets.load();
        hutCable(lead);
        drawPit(bench);
        heater(bench);
        wholeJob(bench);
        rising(bench);
        collector(bench);
        devices(bench);
        due();
        meters();
    }

    /** The pendant cable of a hoist that does not lower, in the middle of the whole job. */
    private void wholeJob(Technician bench) {
        Revision cable = assemblies.latest(assemblies.page("Pendant", 0).get(0).id());
        TestOptions whole = new TestOptions(TestMethod.BOTH_ENDS, false, false, OptionalDouble.empty());
        bench.test(cable, "PC-09", Shelf.faults("PC-09"), 21, ago(0, 2), WELL_UNDER_WAY, whole);
    }

    /** A pendant cable of which one core rises from test to test, and still passes. */
    private void rising(Technician bench) {
        Revision cable = assemblies.latest(assemblies.page("Pendant", 0).get(0).id());
        bench.test(cable, "PC-02", List.of(), 18, ago(5, 3), ALL);
        bench.test(cable, "PC-02", List.of(new SeededFault.High("W6", 0.035)), 22, ago(1, 11), ALL);
    }

    private void meters() {
        LocalDate today = LocalDate.now(clock);
        Instant now = clock.instant();
        meters.keep(
                0,
                new MeterRow(
                        0,
                        "bench meter 2",
                        0.008,
                        0.01,
                        30,
                        false,
                        20e6,
                        "",
                        "",
                        StandIns.MULTIMETER,
                        today.plusMonths(5),
                        "",
                        "lead",
                        now));
        meters.keep(
                0,
                new MeterRow(
                        0,
                        "yard meter",
                        0.01,
                        0.1,
                        50,
                        true,
                        20e6,
                        "200.0 2000.0 20000.0 200000.0 2000000.0 20000000.0",
                        "",
                        null,
                        today.minusDays(20),
                        "Ranges by hand; shows a bare 1.",
                        "lead",
                        now));
        meters.keep(
                0,
                new MeterRow(
                        0,
                        "insulation tester",
                        0.05,
                        0.1,
                        5,
                        false,
                        2e9,
                        "",
                        "250 500 1000",
                        StandIns.INSULATION_TESTER,
                        today.plusMonths(9),
                        "",
                        "lead",
                        now));
    }

    /** When the shore leads are to be tested again: one soon, one days ago. */
    private void due() {
        LocalDate today = LocalDate.now(clock);
        units.of(assemblies.page("Shore", 0).get(0).id()).forEach(unit -> {
            if (unit.serial().equals("SL-01")) {
                units.setDue(unit.id(), new DueDate(today.plusDays(12), null, null));
            } else if (unit.serial().equals("SL-02")) {
                units.setDue(unit.id(), new DueDate(today.minusDays(3), null, null));
            }
        });
    }

    private void pendant(Technician bench) {
        Revision cable = wiring(
                "Pendant control cable",
                AssemblyKind.CABLE,
                "Hangs from the hoist in the workshop; flexes where it leaves the pendant.",
                "pendant.csv",
                Map.of("J1", CavityLayout.grid(3, 4), "J2", CavityLayout.grid(3, 4)));
        bench.test(cable, "PC-01", List.of(), 20, ago(9, 7), ALL);
        bench.test(cable, "PC-02", List.of(), 20, ago(8, 9), ALL);
        bench.test(cable, "PC-04", Shelf.faults("PC-04"), 21, ago(3, 10), ALL);
        bench.test(cable, "PC-07", List.of(), 21, ago(0, 1), HALF);
    }

    private void desk(Technician bench, Technician lead) {
        Revision harness = wiring(
                "Driver's desk harness",
                AssemblyKind.HARNESS,
                "Three connectors and the splice S1, which feeds both lamps.",
                "desk.csv",
                Map.of("J1", CavityLayout.grid(2, 6), "J2", CavityLayout.ring(7), "J3", CavityLayout.line(6)));
        lead.test(harness, "DH-21", List.of(), 19, ago(6, 8), ALL);
        bench.test(harness, "DH-22", Shelf.faults("DH-22"), 20, ago(2, 13), ALL);
    }

    private void shoreLead(Technician bench) {
        Revision lead = wiring(
                "Shore-supply lead, five cores",
                AssemblyKind.LEAD,
                "Feeds a carriage in the depot. Insulation is a test of its own.",
                "shore.csv",
                Map.of("P1", CavityLayout.ring(5), "P2", CavityLayout.ring(5)));
        bench.test(lead, "SL-01", List.of(), 17, ago(5, 8), ALL);
        bench.test(lead, "SL-02", List.of(), 17, ago(5, 7), ALL);
        bench.test(lead, "SL-03", Shelf.faults("SL-03"), 17, ago(5, 6), ALL);
    }

    private void hutCable(Technician lead) {
        Revision cable = wiring(
                "Signal hut to platform cable",
                AssemblyKind.CABLE,
                "Seventeen cores, all of one colour; numbered sleeves at both ends.",
                "hut.csv",
                Map.of());
        lead.test(cable, "HP-A", List.of(), 12, ago(12, 10), ALL);
    }

    private void drawPit(Technician bench) {
        Revision cable = wiring(
                "Track-circuit cable, flooded draw pit",
                AssemblyKind.CABLE,
                "In the ground from the hut to the first insulated rail joint, through the pit that floods.",
                "pit.csv",
                Map.of());
        bench.test(cable, "TC-3", Shelf.faults("TC-3"), 9, ago(1, 9), ALL);
    }

    private void heater(Technician bench) {
        Revision cable = wiring(
                "Points heater and sensor lead",
                AssemblyKind.LEAD,
                "Two heavy cores for the heater, two thin ones for its sensor; the armour is bonded to frame.",
                "heater.csv",
                Map.of());
        bench.test(cable, "PH-5", List.of(), 6, ago(4, 11), ALL);
    }

    private void collector(Technician bench) {
        Revision chain = wiring(
                "Collector chain of the tram",
                AssemblyKind.DEVICE,
                "From the strip on the wire down to the motor's brush: six joints in a row, every one can be probed.",
                "collector.csv",
                Map.of());
        bench.test(chain, "CT-6", Shelf.faults("CT-6"), 15, ago(1, 6), ALL);
    }

    /** A switch in two positions, a fuse, windings. */
    private void devices(Technician bench) {
        bench.test(assembly("lamp.json"), "SL-L2", List.of(), 18, ago(7, 8), ALL);
        bench.test(assembly("motor.json"), "CM-1", Shelf.faults("CM-1"), 20, ago(6, 9), ALL);
    }

    private Revision assembly(String file) {
        List<Problem> problems = new ArrayList<>();
        Assembly assembly = AssemblyReader.read(read(file), problems)
                .orElseThrow(() -> new IllegalStateException(file + ": " + problems));
        return assemblies.withClock(Clock.fixed(ago(30, 0), ZoneOffset.UTC)).create(assembly, "lead");
    }

    private Revision wiring(String name, AssemblyKind kind, String note, String file, Map<String, CavityLayout> faces) {
        Clock then = Clock.fixed(ago(30, 0), ZoneOffset.UTC);
        return assemblies.withClock(then).create(WireList.read(read(file)).assembly(name, kind, note, faces), "lead");
    }

    private static String read(String file) {
        try {
            return new ClassPathResource(file, DemoData.class).getContentAsString(StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException("The demo data lack " + file + ".", e);
        }
    }

    private Instant ago(int days, int hours) {
        return clock.instant().minus(Duration.ofDays(days).plusHours(hours)).truncatedTo(ChronoUnit.SECONDS);
    }
}
