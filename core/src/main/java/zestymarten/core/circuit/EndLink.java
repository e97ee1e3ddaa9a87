package zestymarten.core.circuit;

import java.util.stream.Stream;
import zestymarten.core.quantity.Message;

/**
 * What is linked at the origin while a reading is taken. In a ring the two conductors are cross-linked: the line of each end to
 * the other conductor of the other end. In a radial they are linked once.
 */
public enum EndLink {
    /** Both ends of every conductor apart. */
    APART(ConductorRole.LINE, ConductorRole.LINE),
    LINE_NEUTRAL(ConductorRole.LINE, ConductorRole.NEUTRAL),
    LINE_PROTECTIVE(ConductorRole.LINE, ConductorRole.PROTECTIVE),
    /** Line and neutral of end A alone: a ring is read as a radial, and what lies beyond a break does not answer. */
    LINE_NEUTRAL_AT_A(ConductorRole.LINE, ConductorRole.NEUTRAL),
    LINE_PROTECTIVE_AT_A(ConductorRole.LINE, ConductorRole.PROTECTIVE),
    /** One line of a three-phase radial and another conductor. */
    LINE_1_NEUTRAL(ConductorRole.LINE_1, ConductorRole.NEUTRAL),
    LINE_2_NEUTRAL(ConductorRole.LINE_2, ConductorRole.NEUTRAL),
    LINE_3_NEUTRAL(ConductorRole.LINE_3, ConductorRole.NEUTRAL),
    LINE_1_PROTECTIVE(ConductorRole.LINE_1, ConductorRole.PROTECTIVE);

    private final ConductorRole line;
    private final ConductorRole other;

    EndLink(ConductorRole line, ConductorRole other) {
        this.line = line;
        this.other = other;
    }

    /** The line and another conductor at every end of the circuit. */
    static EndLink of(ConductorRole line, ConductorRole other) {
        return Stream.of(values())
                .filter(each -> each != APART && !each.isAtA() && each.line == line && each.other == other)
                .findFirst()
                .orElseThrow();
    }

    /** The line that is linked. */
    public ConductorRole line() {
        return line;
    }

    /** The conductor that is linked to the line; the line itself when all are apart. */
    public ConductorRole other() {
        return other;
    }

    /** Whether only end A is linked. */
    public boolean isAtA() {
        return this == LINE_NEUTRAL_AT_A || this == LINE_PROTECTIVE_AT_A;
    }

    /** Such as {@code line to neutral}. */
    public Message words() {
        if (this == APART) {
            return Message.of("end_link.nothing");
        }
        return Message.of("end_link.line", line.words(), other.words(), isAtA());
    }
}
