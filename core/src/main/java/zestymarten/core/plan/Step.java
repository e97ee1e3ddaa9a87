package zestymarten.core.plan;

import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import zestymarten.core.assembly.Terminal;

/** One planned action of a run. */
public sealed interface Step {
    Stage stage();

    /**
     * The probes are held together, to learn whether the meter sounds and what its leads add: before the readings, and once
     * more after them.
     */
    record Probes(Stage stage, Question question) implements Step {
        /** What is read from the joined probes. */
        public enum Question {
            TONE,
            OHMS
        }

        public Probes {
            if (stage != Stage.METER && stage != Stage.CLOSE) {
                throw new IllegalArgumentException(
                        "The meter is checked before and after, not at stage " + stage + ".");
            }
        }

        /** The check before the readings. */
        public Probes(Question question) {
            this(Stage.METER, question);
        }
    }

    /**
     * Black on one terminal, red on the other.
     *
     * @param state of switches and relays by its name; empty for the one at rest
     * @param ties groups of terminals that are tied together for it; none for free ends
     */
    record Touch(Stage stage, Terminal black, Terminal red, String state, List<List<Terminal>> ties) implements Step {
        public Touch {
            ties = ties.isEmpty() ? List.of() : ties.stream().map(List::copyOf).toList();
            if (!stage.isTouched()) {
                throw new IllegalArgumentException("Stage " + stage + " touches no terminals.");
            }
            if (black.equals(red)) {
                throw new IllegalArgumentException("Both probes on " + black + " read nothing.");
            }
        }

        /** At rest, with free ends. */
        public Touch(Stage stage, Terminal black, Terminal red) {
            this(stage, black, red, "", List.of());
        }

        public boolean isTied() {
            return !ties.isEmpty();
        }

        /** Whether the test voltage is on, rather than the meter. */
        public boolean isUnderVoltage() {
            return stage.isUnderVoltage() && red.isFrame();
        }

        // A test of thousands of pairs is a map by these, and the compiler that makes quick starts is slow at what a
        // record has of itself.

        @Override
        public boolean equals(@Nullable Object other) {
            return this == other
                    || (other instanceof Touch touch
                            && stage == touch.stage
                            && black.equals(touch.black)
                            && red.equals(touch.red)
                            && state.equals(touch.state)
                            && ties.equals(touch.ties));
        }

        @Override
        public int hashCode() {
            int probes = 31 * black.hashCode() + red.hashCode();
            return 31 * (31 * probes + stage.name().hashCode())
                    + state.hashCode()
                    + (ties.isEmpty() ? 0 : ties.hashCode());
        }

        /** Whether either probe is on a terminal. */
        public boolean isOn(Terminal terminal) {
            return black.equals(terminal) || red.equals(terminal);
        }
    }

    /**
     * Something done or looked at.
     *
     * @param subject what it concerns, empty where there is only one of its kind
     */
    record Act(Deed deed, String subject) implements Step {
        private static final int LONGEST_SUBJECT = 200;

        public Act {
            if (subject.length() > LONGEST_SUBJECT) {
                throw new IllegalArgumentException(
                        "What it concerns must be said in " + LONGEST_SUBJECT + " characters.");
            }
        }

        public Act(Deed deed) {
            this(deed, "");
        }

        @Override
        public Stage stage() {
            return deed.stage();
        }
    }

    /** Chooses by kind. */
    default <T> T fold(Function<Probes, T> probes, Function<Touch, T> touch, Function<Act, T> act) {
        if (this instanceof Probes one) {
            return probes.apply(one);
        }
        return this instanceof Touch one ? touch.apply(one) : act.apply((Act) this);
    }
}
