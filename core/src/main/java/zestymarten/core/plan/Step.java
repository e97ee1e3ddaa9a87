package zestymarten.core.plan;

import java.util.function.Function;
import zestymarten.core.assembly.Terminal;

/** One planned action of a run. */
public sealed interface Step {
    Stage stage();

    /** The probes are held together, to learn whether the meter sounds and what its leads add. */
    record Probes(Question question) implements Step {
        /** What is read from the joined probes. */
        public enum Question {
            TONE,
            OHMS
        }

        @Override
        public Stage stage() {
            return Stage.METER;
        }
    }

    /** Black on one terminal, red on the other. */
    record Touch(Stage stage, Terminal black, Terminal red) implements Step {
        public Touch {
            if (stage == Stage.METER) {
                throw new IllegalArgumentException("The meter check touches no terminals.");
            }
            if (black.equals(red)) {
                throw new IllegalArgumentException("Both probes on " + black + " read nothing.");
            }
        }
    }

    /** Chooses by kind. */
    default <T> T fold(Function<Probes, T> probes, Function<Touch, T> touch) {
        return this instanceof Probes one ? probes.apply(one) : touch.apply((Touch) this);
    }
}
