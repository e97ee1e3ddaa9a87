package zestymarten.core.circuit;

import zestymarten.core.quantity.Message;

/** What a conductor of a circuit is for. */
public enum ConductorRole {
    LINE,
    NEUTRAL,
    PROTECTIVE;

    /** The letter that stands before its terminals: L, N, P. */
    String letter() {
        return name().substring(0, 1);
    }

    /** Such as {@code line}. */
    public Message words() {
        return Message.of(this);
    }
}
