package zestymarten.core.plan;

import java.util.List;
import zestymarten.core.assembly.Terminal;

/**
 * One reading of a method: where the probes go, and which terminals are tied together for it.
 *
 * @param ties none if all ends are free
 */
public record Touch(Terminal black, Terminal red, List<List<Terminal>> ties) {
    public Touch {
        ties = ties.stream().map(List::copyOf).toList();
        if (black.equals(red)) {
            throw new IllegalArgumentException("Both probes on " + black + " read nothing.");
        }
    }

    static Touch free(Terminal black, Terminal red) {
        return new Touch(black, red, List.of());
    }
}
