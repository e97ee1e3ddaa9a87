package zestymarten.core.circuit;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.NotAccepted;

/**
 * All dead tests of a circuit as far as they are taken.
 *
 * @param insulation what the insulation tester showed between two conductors: a value, more than one, or less than one
 * @param polarity {@code right} at every point that was looked at; anything else names the points where it is wrong; empty: not
 *     looked at
 */
public record Tests(
        Circuit circuit, CircuitReadings readings, Map<TestPair, MeterReading> insulation, Optional<String> polarity) {
    public static final String RIGHT = "right";
    private static final java.util.Set<String> RIGHT_WORDS =
            java.util.Set.of(RIGHT, "ok", "okay", "yes", "good", "correct", "fine", "pass", "all right", "all ok");

    public Tests {
        Map<TestPair, MeterReading> copy = new EnumMap<>(TestPair.class);
        copy.putAll(insulation);
        insulation = java.util.Collections.unmodifiableMap(copy);
        insulation.forEach((pair, shown) -> {
            if (shown.figure().isEmpty()) {
                throw new NotAccepted("tests.insulation_read_expected", pair, shown.kind());
            }
        });
    }

    /** The pairs of conductors between which the insulation of a circuit is tested. */
    public static List<TestPair> pairs(Circuit circuit) {
        return Stream.of(TestPair.values())
                .filter(each -> each != TestPair.LINES || circuit.shape() == CircuitShape.THREE_PHASE)
                .toList();
    }

    /** Whether what was said of the polarity means that it is right. */
    static boolean isRight(String said) {
        return RIGHT_WORDS.contains(said.strip().replaceAll("[.!]+$", "").toLowerCase(java.util.Locale.ROOT));
    }

    /** Two conductors between which insulation is tested. */
    public enum TestPair {
        /** The lines of a three-phase circuit to one another: the lowest. */
        LINES,
        LINE_NEUTRAL,
        LINE_PROTECTIVE,
        NEUTRAL_PROTECTIVE;

        /** Such as {@code line to neutral}. */
        public Message words() {
            return Message.of(this);
        }
    }
}
