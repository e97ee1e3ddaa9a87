package zestymarten.core.assembly;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;

/**
 * One contact of the wiring: a connector's pin ({@code J1.3}), a joint ({@code S1}) or the frame ({@code FRAME}).
 * Letters, digits and {@code _ - + / #}; at most one dot, which parts connector and pin; at most 40 characters.
 */
public record Terminal(String name) implements Comparable<Terminal> {
    static final Message FORM = Message.of("terminal.terminal_such_as_joint");
    private static final String SIGNS = "_+/#-";
    private static final int LONGEST = 40;

    /** The frame, body or earth of the unit. */
    public static final Terminal FRAME = new Terminal("FRAME");

    public Terminal {
        if (!isName(name)) {
            throw new NotAccepted("terminal.terminal_such_as", name, LONGEST);
        }
    }

    static boolean isName(String name) {
        int dot = name.indexOf('.');
        return name.length() <= LONGEST
                && (dot < 0
                        ? isPart(name, 0, name.length())
                        : isPart(name, 0, dot) && isPart(name, dot + 1, name.length()));
    }

    /** Whether a stretch of a name is not empty and all letters, digits and signs. By hand: every analysis makes thousands. */
    private static boolean isPart(String name, int from, int to) {
        int at = from;
        while (at < to) {
            int character = name.codePointAt(at);
            if (!isLetterOrNumber(character) && SIGNS.indexOf(character) < 0) {
                return false;
            }
            at += Character.charCount(character);
        }
        return to > from;
    }

    private static boolean isLetterOrNumber(int character) {
        return Character.isLetterOrDigit(character)
                || Character.getType(character) == Character.LETTER_NUMBER
                || Character.getType(character) == Character.OTHER_NUMBER;
    }

    public static Terminal of(String name) {
        return new Terminal(name);
    }

    /** The terminal of that name, if a terminal can be called so. */
    public static Optional<Terminal> parse(String name) {
        return isName(name) ? Optional.of(new Terminal(name)) : Optional.empty();
    }

    public static Terminal of(String connector, String pin) {
        return new Terminal(connector + "." + pin);
    }

    public boolean isFrame() {
        return equals(FRAME);
    }

    /** Whether this is a pin of a connector, so that a probe has a known place to go. */
    public boolean isPin() {
        return name.indexOf('.') > 0;
    }

    /** The connector's reference; the whole name for a joint or the frame. */
    public String connector() {
        int dot = name.indexOf('.');
        return dot < 0 ? name : name.substring(0, dot);
    }

    /** The pin within its connector; the whole name for a joint or the frame. */
    public String pin() {
        return name.substring(name.indexOf('.') + 1);
    }

    // Written out, as these are the keys of nearly every map there is.

    @Override
    public boolean equals(@Nullable Object other) {
        return this == other || (other instanceof Terminal terminal && name.equals(terminal.name));
    }

    @Override
    public int hashCode() {
        return name.hashCode();
    }

    @Override
    public int compareTo(Terminal other) {
        return name.compareTo(other.name);
    }

    @Override
    public String toString() {
        return name;
    }
}
