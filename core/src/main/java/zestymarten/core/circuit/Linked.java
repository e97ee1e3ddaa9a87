package zestymarten.core.circuit;

import zestymarten.core.quantity.Message;

/**
 * What is linked at the origin while a reading is taken. In a ring the two conductors are cross-linked: the line of each end to
 * the other conductor of the other end. In a radial they are linked once.
 */
public enum Linked {
    /** Both ends of every conductor apart. */
    APART,
    LINE_NEUTRAL,
    LINE_PROTECTIVE,
    /** Line and neutral of end A alone: a ring is read as a radial, and what lies beyond a break does not answer. */
    LINE_NEUTRAL_AT_A,
    LINE_PROTECTIVE_AT_A;

    /** The conductor that is linked to the line; the line itself when all are apart. */
    public ConductorRole other() {
        return switch (this) {
            case APART -> ConductorRole.LINE;
            case LINE_NEUTRAL, LINE_NEUTRAL_AT_A -> ConductorRole.NEUTRAL;
            case LINE_PROTECTIVE, LINE_PROTECTIVE_AT_A -> ConductorRole.PROTECTIVE;
        };
    }

    /** Whether only end A is linked. */
    public boolean isAtA() {
        return this == LINE_NEUTRAL_AT_A || this == LINE_PROTECTIVE_AT_A;
    }

    /** Such as {@code line to neutral}. */
    public Message words() {
        if (this == APART) {
            return Message.of("linked.nothing");
        }
        return Message.of("linked.line", other().words(), isAtA());
    }
}
