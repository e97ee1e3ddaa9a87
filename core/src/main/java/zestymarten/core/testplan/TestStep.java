package zestymarten.core.testplan;

import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import zestymarten.core.assembly.Subject;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.quantity.Message;

/** One planned action of a run. */
public sealed interface TestStep {
    Stage stage();

    /** What it is, shortly, as lists name it. */
    Message title();

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
            if (stage != Stage.METER && stage != Stage.RESTORE) {
                throw new IllegalArgumentException(
                        "The meter is checked before and after, not at stage " + stage + ".");
            }
        }

        @Override
        public Message title() {
            return Message.of(question);
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
     * @param links groups of terminals that are linked together for it; none for free ends
     */
    record Measurement(Stage stage, Terminal black, Terminal red, String state, List<List<Terminal>> links)
            implements TestStep {
        public Measurement {
            links = links.isEmpty()
                    ? List.of()
                    : links.stream().map(List::copyOf).toList();
            if (!stage.isMeasured()) {
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

        /** Its two points, with the position of switches or of a moving part where it is not at rest. */
        @Override
        public Message title() {
            Message points = state.isEmpty()
                    ? Message.of("measurement.points", black.name(), red.name())
                    : Message.of("measurement.points_in", black.name(), red.name(), state);
            return isLinked() ? Message.of("measurement.linked", points) : points;
        }

        public boolean isLinked() {
            return !links.isEmpty();
        }

        /** What is one point with a probe's terminal by the links, itself included. */
        public List<Terminal> side(Terminal probe) {
            return ProbePlacement.side(probe, links);
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
                    || (other instanceof Measurement measurement
                            && stage == measurement.stage
                            && black.equals(measurement.black)
                            && red.equals(measurement.red)
                            && state.equals(measurement.state)
                            && links.equals(measurement.links));
        }

        @Override
        public int hashCode() {
            int probes = 31 * black.hashCode() + red.hashCode();
            return 31 * (31 * probes + stage.code().hashCode())
                    + state.hashCode()
                    + (links.isEmpty() ? 0 : links.hashCode());
        }

        /** Whether either probe is on a terminal. */
        public boolean isOn(Terminal terminal) {
            return black.equals(terminal) || red.equals(terminal);
        }
    }

    /**
     * Something done or looked at.
     *
     * @param subject what it concerns; {@link Subject#nothing} where there is only one of its kind
     */
    record ManualStep(ManualAction action, Subject subject) implements TestStep {
        private static final int LONGEST_SUBJECT = 200;

        public ManualStep {
            if (subject.code().length() > LONGEST_SUBJECT) {
                throw new IllegalArgumentException(
                        "What it concerns must be said in " + LONGEST_SUBJECT + " characters.");
            }
        }

        public ManualStep(ManualAction action) {
            this(action, Subject.nothing());
        }

        /** @param subject see {@link Subject#of} */
        public ManualStep(ManualAction action, String subject) {
            this(action, Subject.of(subject));
        }

        @Override
        public Message title() {
            if (subject == Subject.Sole.THERE || subject == Subject.Sole.BACK) {
                return subject.words();
            }
            boolean back = action == ManualAction.MOVED_TO && subject.isNothing();
            Message what = back ? Message.of("manual_step.moved_back") : Message.of(action);
            return subject.isNothing() ? what : Message.of("manual_step.of", what, subject.words());
        }

        @Override
        public Stage stage() {
            return action.stage();
        }
    }

    /** Chooses by kind. */
    default <T> T fold(
            Function<LeadCheck, T> probes, Function<Measurement, T> measurement, Function<ManualStep, T> manual) {
        if (this instanceof LeadCheck one) {
            return probes.apply(one);
        }
        return this instanceof Measurement one ? measurement.apply(one) : manual.apply((ManualStep) this);
    }
}
