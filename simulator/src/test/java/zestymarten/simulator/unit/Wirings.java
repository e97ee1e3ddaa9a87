package zestymarten.simulator.unit;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.assembly.WireList;
import zestymarten.core.fault.GoodUnit;

/** Units for the tests of the bench. */
public final class Wirings {
    /** Three wires of about a third of an ohm, 8 m each. */
    public static final String THREE = "wire,from,to,length_m,area_mm2,zone\n"
            + "W1,J1.1,J2.1,8,0.5,flexing\nW2,J1.2,J2.2,8,0.5,\nW3,J1.3,J2.3,8,0.5,\n";

    /** One wire of 8 m of 0.5 mm² at 20 °C, in ohms. */
    public static final double ONE_WIRE_OHM = 0.017241 / 0.5 * 8;

    private Wirings() {}

    public static GoodUnit good(String list) {
        return GoodUnit.nominal(Design.of(WireList.read(list).assembly("Cable", AssemblyKind.CABLE, "", Map.of()), 20));
    }

    public static BenchUnit three(Flaw... flaws) {
        return new BenchUnit(good(THREE), List.of(flaws));
    }

    /** A bench with that unit called A on it, and leads without ohms. */
    public static Workbench bench(BenchUnit unit, double leadsOhm) {
        Workbench bench = new Workbench(
                name -> name.equals("A") ? Optional.of(unit) : Optional.empty(), leadsOhm, new SplittableRandom(5));
        bench.put("A");
        return bench;
    }

    public static Terminal at(String name) {
        return Terminal.of(name);
    }
}
