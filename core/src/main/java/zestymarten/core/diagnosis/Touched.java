package zestymarten.core.diagnosis;

import java.util.List;
import zestymarten.core.analysis.Reading;
import zestymarten.core.assembly.State;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.quantity.Understood;

/**
 * A reading as it counts for the diagnosis.
 *
 * @param number by which its source knows it
 */
public record Touched(int number, Terminal a, Terminal b, State state, List<List<Terminal>> ties, Understood meaning) {
    public Touched {
        ties = ties.stream().map(List::copyOf).toList();
    }

    /** A reading as it was understood. */
    public static Touched of(int number, Reading reading, Understood meaning) {
        return new Touched(number, reading.a(), reading.b(), reading.state(), reading.ties(), meaning);
    }
}
