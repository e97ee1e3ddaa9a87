package zestymarten.web.simulator;

import java.util.List;
import java.util.Map;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.fault.SeededFault;

/** What is wrong with the units of the demo workshop, by their serials; every other one is good. */
public final class Shelf {
    private static final Map<String, List<SeededFault>> FAULTS = Map.of(
            "PC-04",
            List.of(new SeededFault.Moved(Map.of("W4", Terminal.of("J2.7"), "W7", Terminal.of("J2.4")))),
            "PC-09",
            List.of(new SeededFault.Open("W4")),
            "DH-22",
            List.of(new SeededFault.High("W6", 1.9)),
            "SL-03",
            List.of(new SeededFault.Shorted(Terminal.of("P2.2"), Terminal.of("P2.3"), 0.8)),
            "TC-3",
            List.of(new SeededFault.Shorted(Terminal.of("FRAME"), Terminal.of("R1.4"), 240)),
            "CT-6",
            List.of(new SeededFault.High("stud", 0.21)),
            "CM-1",
            List.of(new SeededFault.PartValue("LR", 0.6)));

    private Shelf() {}

    /** The faults of a unit. */
    public static List<SeededFault> faults(String serial) {
        return FAULTS.getOrDefault(serial, List.of());
    }
}
