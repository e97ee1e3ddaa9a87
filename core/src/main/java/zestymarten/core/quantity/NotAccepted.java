package zestymarten.core.quantity;

import java.util.Arrays;

/**
 * What a person or a file gave makes no such value, said in words that they can read: records guard themselves with it
 * against whatever comes from outside. A fault of the program is a plain {@link IllegalArgumentException}.
 */
public final class NotAccepted extends IllegalArgumentException {
    private static final long serialVersionUID = 1;

    private final transient Message what;

    /**
     * A refusal.
     *
     * @param code see {@link Message}
     * @param arguments see {@link MessageArgument#of}; a bare figure has no unit
     */
    public NotAccepted(String code, Object... arguments) {
        this(Message.of(
                code,
                Arrays.stream(arguments)
                        .map(each -> each instanceof Double figure ? given(figure, "") : each)
                        .toArray()));
    }

    private NotAccepted(Message what) {
        super(what.toString());
        this.what = what;
    }

    /** A figure as it was given, with its unit if it has one; also one that is none. */
    public static MessageArgument given(double value, String unit) {
        return Double.isFinite(value) ? Message.figure(value, unit) : MessageArgument.of(String.valueOf(value));
    }

    /** What was read, what was expected, what to do. */
    public Message what() {
        return what;
    }
}
