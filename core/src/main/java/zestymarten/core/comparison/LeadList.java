package zestymarten.core.comparison;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MessageArgument;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.Metres;
import zestymarten.core.quantity.Problem;
import zestymarten.core.quantity.ReadingParser;

/**
 * Leads as they are typed or pasted: a line each, length in metres, ohms, and whatever is to be said of it: its name, {@code
 * jumps} if it did when it was moved, what was seen.
 */
public final class LeadList {
    /** The most leads of one list. */
    public static final int MAX = 500;

    private static final Pattern SEPARATOR = Pattern.compile("\\s*[\\t;]\\s*|,\\s+|\\s+");

    private static final Pattern UNIT = Pattern.compile("(\\d)\\s+(m|cm|ft|feet|[mkM]?Ω|[Oo]hms?)(?=[\\s,;]|$)");
    /** A spreadsheet's own separator between two figures with decimal points. */
    private static final Pattern POINTS_AND_COMMA = Pattern.compile("\\d+\\.\\d+\\s*[a-zΩ']*,.*");

    private LeadList() {}

    /**
     * A lead with what was said of it.
     *
     * @param ohm infinite where the meter shows open
     * @param words name and findings as typed
     */
    public record LeadEntry(int number, double lengthM, double ohm, String words) {
        /** Whether it jumped when it was moved, or something is to be seen on it. */
        boolean isCondemned() {
            List<String> said = List.of(words.toLowerCase(Locale.ROOT).split("[^a-z]+"));
            return IntStream.range(0, said.size())
                    .anyMatch(i -> CONDEMNED.contains(said.get(i)) && (i == 0 || !DENIED.contains(said.get(i - 1))));
        }

        /** Whether there is no continuity through it. */
        boolean isOpen() {
            return Double.isInfinite(ohm);
        }

        /** The resistance as a person reads it. */
        public MessageArgument resistance() {
            return isOpen() ? Message.of("lead_list.open") : Message.figure(ohm, "Ω");
        }

        private static final Set<String> DENIED = Set.of("no", "not", "never");

        private static final List<String> CONDEMNED = List.of(
                "jumps",
                "jumped",
                "cut",
                "burnt",
                "burned",
                "melted",
                "crushed",
                "chafed",
                "cracked",
                "corroded",
                "broken",
                "frayed");
    }

    /**
     * Reads a list.
     *
     * @param problems gains what cannot be read, with its line
     */
    public static List<LeadEntry> read(String text, List<Problem> problems) {
        List<LeadEntry> lines = new ArrayList<>();
        String[] rows = text.split("\\R", -1);
        for (int i = 0; i < rows.length; i++) {
            String row = rows[i].strip();
            boolean head = lines.isEmpty() && row.chars().noneMatch(Character::isDigit);
            if (row.isEmpty() || row.startsWith("#") || head) {
                continue;
            }
            String[] cells = cells(row);
            OptionalDouble length = cells.length > 0 ? Metres.of(cells[0]) : OptionalDouble.empty();
            OptionalDouble ohm = cells.length > 1 ? resistance(cells[1]) : OptionalDouble.empty();
            if (length.isEmpty() || ohm.isEmpty() || length.getAsDouble() <= 0) {
                problems.add(new Problem(
                        Message.of("problem.line", i + 1), Message.of("lead_list.not_accepted_expected_length", row)));
            } else {
                String words = cells.length > 2 ? cells[2].strip() : "";
                lines.add(new LeadEntry(lines.size() + 1, length.getAsDouble(), ohm.getAsDouble(), words));
            }
        }
        if (lines.size() > MAX) {
            problems.add(new Problem("", Message.of("lead_list.there_leads_most_compared", lines.size(), MAX)));
        }
        return lines;
    }

    /** Length, resistance and the rest, units kept with their figures: {@code 4.4 m 13.40 Ω brown} too. */
    private static String[] cells(String row) {
        String together = UNIT.matcher(row).replaceAll("$1$2");
        String[] cells = SEPARATOR.split(together, 3);
        return cells.length == 1 && POINTS_AND_COMMA.matcher(together).matches() ? together.split(",", 3) : cells;
    }

    private static OptionalDouble resistance(String text) {
        return new ReadingParser(false).understand(text) instanceof MeterReading.OverRange
                ? OptionalDouble.of(Double.POSITIVE_INFINITY)
                : figure(text);
    }

    private static OptionalDouble figure(String text) {
        return new ReadingParser(false).understand(text) instanceof MeterReading.Value value
                ? OptionalDouble.of(value.value())
                : OptionalDouble.empty();
    }
}
