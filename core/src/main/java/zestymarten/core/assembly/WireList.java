package zestymarten.core.assembly;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Problem;

/**
 * A wire list as read from a paste or a file: every line as understood, and everything that is wrong with it. Nothing is
 * ever taken over by half: {@link #assembly} is there only if there is no problem at all.
 *
 * @param lines in the order of the text, remarks and blank lines left out
 * @param problems of the whole list and of its lines, in the order of the text
 * @param notices what was read but is not used, such as unknown columns
 */
public record WireList(List<WireLine> lines, List<Problem> problems, List<Message> notices) {
    /** The largest text that is looked at, in bytes of UTF-8. */
    public static final int MAX_BYTES = 2_000_000;

    public WireList {
        lines = List.copyOf(lines);
        problems = List.copyOf(problems);
        notices = List.copyOf(notices);
    }

    /**
     * One line of the list.
     *
     * @param number line number in the text, from 1
     * @param cells as read, by column name
     * @param conductor as understood: one element, or none if the line has a problem
     */
    public record WireLine(int number, Map<String, String> cells, List<Conductor> conductor, List<Problem> problems) {
        public WireLine {
            cells = Map.copyOf(cells);
            conductor = List.copyOf(conductor);
            problems = List.copyOf(problems);
        }

        /** The cell of a column as read, empty if the list has no such column. */
        public String cell(String column) {
            return cells.getOrDefault(column, "");
        }
    }

    /**
     * Reads a list: a header row, then a line a wire, separated by comma, semicolon or tab, with decimal point, or
     * decimal comma when the separator is not a comma. Cost: linear in the text.
     */
    public static WireList read(String text) {
        int bytes = text.getBytes(StandardCharsets.UTF_8).length;
        if (bytes > MAX_BYTES) {
            return refused(Message.of(
                    "wire_list.too_large",
                    Message.figure(Math.round(bytes / 1e5) / 10.0, ""),
                    Message.figure(MAX_BYTES / 1e6, ""),
                    Assembly.MAX_CONDUCTORS));
        }
        String clean = text.startsWith("\uFEFF") ? text.substring(1) : text;
        if (clean.isBlank()) {
            return refused(Message.of("wire_list.there_nothing_read_paste"));
        }
        return new WireListReader(clean).read();
    }

    static WireList refused(Message why) {
        return new WireList(List.of(), List.of(new Problem("", why)), List.of());
    }

    /** Whether the list can be taken over. */
    public boolean isSound() {
        return problems.isEmpty();
    }

    /** The conductors understood so far, also when other lines have problems. */
    public List<Conductor> conductors() {
        List<Conductor> all = new ArrayList<>();
        lines.forEach(line -> all.addAll(line.conductor()));
        return all;
    }

    /** The assembly that the list describes. */
    public Assembly assembly(String name, AssemblyKind kind, String note, Map<String, CavityLayout> faces) {
        if (!isSound()) {
            throw new IllegalStateException("A wire list with problems is no assembly: " + problems.get(0));
        }
        return Assembly.of(name, kind, note, conductors(), faces);
    }
}
