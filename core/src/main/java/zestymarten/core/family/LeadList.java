package zestymarten.core.family;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.regex.Pattern;
import zestymarten.core.quantity.Problem;
import zestymarten.core.quantity.ReadingLanguage;
import zestymarten.core.quantity.Understood;

/**
 * Leads as they are typed or pasted: a line each, length in metres, ohms, and whatever is to be said of it: its name, {@code
 * jumps} if it did when it was moved, what was seen.
 */
public final class LeadList {
    /** The most leads of one list. */
    public static final int MOST = 500;

    private static final Pattern SEPARATOR = Pattern.compile("\\s*[\\t;]\\s*|,\\s+|\\s+");

    private LeadList() {}

    /**
     * A lead with what was said of it.
     *
     * @param words name and findings as typed
     */
    public record Line(int number, double lengthM, double ohm, String words) {
        /** Whether it jumped when it was moved, or something is to be seen on it. */
        boolean isCondemned() {
            return List.of(words.toLowerCase(Locale.ROOT).split("[^a-z]+")).stream()
                    .anyMatch(CONDEMNED::contains);
        }

        private static final List<String> CONDEMNED =
                List.of("jumps", "jumped", "cut", "burnt", "melted", "crushed", "chafed", "cracked", "corroded");
    }

    /**
     * Reads a list.
     *
     * @param problems gains what cannot be read, with its line
     */
    public static List<Line> read(String text, List<Problem> problems) {
        List<Line> lines = new ArrayList<>();
        String[] rows = text.split("\\R", -1);
        for (int i = 0; i < rows.length; i++) {
            String row = rows[i].strip();
            if (row.isEmpty() || row.startsWith("#")) {
                continue;
            }
            String[] cells = SEPARATOR.split(row, 3);
            OptionalDouble length = cells.length > 0 ? figure(cells[0]) : OptionalDouble.empty();
            OptionalDouble ohm = cells.length > 1 ? figure(cells[1]) : OptionalDouble.empty();
            if (length.isEmpty() || ohm.isEmpty() || length.getAsDouble() <= 0) {
                problems.add(new Problem(
                        "line " + (i + 1),
                        "Read '" + row + "'; expected length in metres and ohms, such as 2.1 5.31, then its name."));
            } else {
                String words = cells.length > 2 ? cells[2].strip() : "";
                lines.add(new Line(lines.size() + 1, length.getAsDouble(), ohm.getAsDouble(), words));
            }
        }
        if (lines.size() > MOST) {
            problems.add(new Problem("", "There are " + lines.size() + " leads; at most " + MOST + " are compared."));
        }
        return lines;
    }

    private static OptionalDouble figure(String text) {
        return new ReadingLanguage(false).understand(text) instanceof Understood.Value value
                ? OptionalDouble.of(value.value())
                : OptionalDouble.empty();
    }
}
