package zestymarten.core.circuit;

import zestymarten.core.quantity.Message;

/** What a conductor of a circuit is for. */
public enum ConductorRole {
    /** The one line of a circuit. */
    LINE("L"),
    /** The lines of a three-phase circuit. */
    LINE_1("L1"),
    LINE_2("L2"),
    LINE_3("L3"),
    NEUTRAL("N"),
    PROTECTIVE("P");

    private final String letter;

    ConductorRole(String letter) {
        this.letter = letter;
    }

    /** What stands for it in the names of its terminals and of fields: L, L1, L2, L3, N, P. */
    public String letter() {
        return letter;
    }

    boolean isLine() {
        return this != NEUTRAL && this != PROTECTIVE;
    }

    /** Such as {@code line}. */
    public Message words() {
        return Message.of(this);
    }
}
