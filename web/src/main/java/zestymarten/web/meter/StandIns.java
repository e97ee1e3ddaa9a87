package zestymarten.web.meter;

import java.util.Optional;

/** Stand-ins for instruments, found by their names instead of an address. */
public interface StandIns {
    /** The name of the stand-in for a multimeter. */
    String MULTIMETER = "simulated multimeter";

    /** The name of the stand-in for an insulation and withstand tester. */
    String INSULATION_TESTER = "simulated insulation tester";

    /** The loopback port on which it answers; empty if there is none of that name. */
    Optional<Integer> port(String name);
}
