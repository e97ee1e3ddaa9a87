package zestymarten.core.circuit;

import java.util.Locale;

/** What a conductor of a circuit is for. */
public enum Role {
    LINE,
    NEUTRAL,
    PROTECTIVE;

    /** The letter that stands before its terminals: L, N, P. */
    String letter() {
        return name().substring(0, 1);
    }

    /** Such as {@code line}. */
    public String words() {
        return name().toLowerCase(Locale.ROOT);
    }
}
