package zestymarten.core.testplan;

import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.quantity.Message;

/** One planned action of a run. */
public sealed interface TestStep {
    Stage stage();

    /**
     * The probes are held together, to learn whether the meter sounds and what its leads add: before the readings, and once
     * more after them.
     */
    record LeadCheck(Stage stage, LeadQuestion question) implements TestStep {
        /** What is read from the joined probes. */
        public enum LeadQuestion {
            TONE,
            OHMS
        }

        public LeadCheck {
            if (stage != Stage.METER && stage != Stage.CLOSE) {
                throw new IllegalArgumentException(
                        "The meter is checked before and after, not at stage " + stage + ".");
            }
        }

        /** The check before the readings. */
        public LeadCheck(LeadQuestion question) {
            this(Stage.METER, question);
        }
    }

    /**
     * Black on one terminal, red on the other.
     *
     * @param state of switches and relays by its name, in the wiggle test also the position of a moving part; empty for
     *     the one at rest
     * @param ties groups of terminals that are tied together for it; none for free ends
     */
    record Measurement(Stage stage, Terminal black, Terminal red, String state, List<List<Terminal>> ties)
            implements TestStep {
        public Measurement {
            ties = ties.isEmpty() ? List.of() : ties.stream().map(List::copyOf).toList();
            if (!stage.isTouched()) {
                throw new IllegalArgumentException("Stage " + stage + " touches no terminals.");
            }
            if (black.equals(red)) {
                throw new IllegalArgumentException("Both probes on " + black + " read nothing.");
            }
        }

        /** At rest, with free ends. */
        public Measurement(Stage stage, Terminal black, Terminal red) {
            this(stage, black, red, "", List.of());
        }

        /** Its two points as lists name them, with the position of switches or of a moving part where it is not at rest. */
        public Message title() {
            Message points = state.isEmpty()
                    ? Message.of("measurement.points", black.name(), red.name())
                    : Message.of("measurement.points_in", black.name(), red.name(), state);
            return isTied() ? Message.of("measurement.linked", points) : points;
        }

        public boolean isTied() {
            return !ties.isEmpty();
        }

        /** What is one point with a probe's terminal by the links, itself included. */
        public List<Terminal> side(Terminal probe) {
            return ProbePlacement.side(probe, ties);
        }

        /** Whether the test voltage is on, rather than the meter. */
        public boolean isUnderVoltage() {
            return stage.isUnderVoltage() && red.isFrame();
        }

        /** Whether a diode is read on the meter's diode range: red is where it conducts from, or to. */
        public boolean isOnDiodeRange() {
            return stage == Stage.DIODES;
        }

        /** Whether the meter shows ohms. */
        public boolean isInOhms() {
            return !isUnderVoltage() && !isOnDiodeRange();
        }

        // A test of thousands of pairs is a map by these, and the compiler that makes quick starts is slow at what a
        // record has of itself.

        @Override
        public boolean equals(@Nullable Object other) {
            return this == other
                    || (other instanceof Measurement touch
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
    record ManualStep(ManualAction action, String subject) implements TestStep {
        private static final int LONGEST_SUBJECT = 200;

        public ManualStep {
            if (subject.length() > LONGEST_SUBJECT) {
                throw new IllegalArgumentException(
                        "What it concerns must be said in " + LONGEST_SUBJECT + " characters.");
            }
        }

        public ManualStep(ManualAction action) {
            this(action, "");
        }

        @Override
        public Stage stage() {
            return action.stage();
        }
    }

    /** Chooses by kind. */
    default <T> T fold(Function<LeadCheck, T> probes, Function<Measurement, T> touch, Function<ManualStep, T> act) {
        if (this instanceof LeadCheck one) {
            return probes.apply(one);
        }
        return this instanceof Measurement one ? touch.apply(one) : act.apply((ManualStep) this);
    }
}
