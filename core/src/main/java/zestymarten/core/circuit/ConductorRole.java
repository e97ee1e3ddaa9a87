package zestymarten.core.circuit;

/** What a conductor of a circuit is for. */
public enum ConductorRole {
    LINE("line"),
    NEUTRAL("neutral"),
    PROTECTIVE("protective conductor");

    private final String words;

    ConductorRole(String words) {
        this.words = words;
    }

    /** The letter that stands before its terminals: L, N, P. */
    String letter() {
        return name().substring(0, 1);
    }

    /** Such as {@code line}. */
    public String words() {
        return words;
    }
}
