package zestymarten.core.quantity;

/**
 * A fault in what a person or a file gave, as opposed to a fault in the program. All problems of an input are reported
 * together.
 *
 * @param where line, column or field, as the person sees it; {@link Message#NONE} when it concerns the whole input
 * @param what what was read, what was expected, what to do
 */
public record Problem(Message where, Message what) {
    public Problem {
        if (what.isEmpty()) {
            throw new IllegalArgumentException("A problem must say what is wrong.");
        }
    }

    /** A problem with a field, which has the same name in every language; an empty one for the whole input. */
    public Problem(String field, Message what) {
        this(Message.verbatim(field), what);
    }

    /** The problem in one: "where: what". */
    public Message message() {
        return where.isEmpty() ? what : Message.of("problem.at", where, what);
    }

    @Override
    public String toString() {
        return message().toString();
    }
}
