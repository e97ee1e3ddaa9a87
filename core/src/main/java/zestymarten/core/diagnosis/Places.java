package zestymarten.core.diagnosis;

import java.util.HashMap;
import java.util.Map;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.network.Net;

/** Numbers for the places that a fault can name: the nets in design order, the frame, then each empty cavity. */
final class Places {
    private final Map<Terminal, Integer> number = new HashMap<>();
    private final int frame;
    private final int count;

    Places(Design design) {
        int next = 0;
        for (Net net : design.nets().all()) {
            for (var conductor : net.conductors()) {
                number.put(conductor.from(), next);
                number.put(conductor.to(), next);
            }
            next++;
        }
        frame = number.getOrDefault(Terminal.FRAME, next);
        for (Terminal each : design.assembly().terminals()) {
            if (number.putIfAbsent(each, next) == null) {
                next++;
            }
        }
        count = next;
    }

    int of(Terminal terminal) {
        return number.getOrDefault(terminal, -1);
    }

    int frame() {
        return frame;
    }

    int count() {
        return count;
    }
}
