package zestymarten.core.diagnosis;

import java.util.List;
import zestymarten.core.assembly.State;
import zestymarten.core.assembly.Terminal;

/**
 * A touch that would tell something.
 *
 * @param bits expected drop of the entropy of what is wrong, in bits
 * @param seconds what it costs
 * @param why in words
 */
public record NextTouch(
        Terminal black, Terminal red, State state, List<List<Terminal>> ties, double bits, double seconds, String why) {
    public NextTouch {
        ties = ties.stream().map(List::copyOf).toList();
        if (!(seconds > 0)) {
            throw new IllegalArgumentException("A touch (" + seconds + " s) takes some time.");
        }
    }

    /** What it tells for its time. */
    public double bitsPerSecond() {
        return bits / seconds;
    }
}
