package zestymarten.core.quantity;

/**
 * A fault in what a person or a file gave, as opposed to a fault in the program. All problems of an input are reported
 * together.
 *
 * @param where line, column or field, as the person sees it; empty when it concerns the whole input
 * @param text what was read, what was expected, what to do
 */
public record Problem(String where, String text) {
    public Problem {
        if (text.isBlank()) {
            throw new IllegalArgumentException("A problem must say what is wrong.");
        }
    }

    @Override
    public String toString() {
        return where.isEmpty() ? text : where + ": " + text;
    }
}
