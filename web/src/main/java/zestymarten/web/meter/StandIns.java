package zestymarten.web.meter;

import java.util.List;
import java.util.Optional;

/** Stand-ins for instruments, found by their names instead of an address. */
public interface StandIns {
    /** The name of the stand-in for a multimeter. */
    String MULTIMETER = "simulated multimeter";

    /** The name of the stand-in for an insulation and withstand tester. */
    String INSULATION_TESTER = "simulated insulation tester";

    /** The name of the stand-in for a scanning switch with a multimeter and an insulation tester in one case. */
    String SCANNER = "simulated scanner";

    /** All of them. */
    List<String> NAMES = List.of(MULTIMETER, INSULATION_TESTER, SCANNER);

    /** The loopback port on which it answers; empty if there is none of that name. */
    Optional<Integer> port(String name);
}
