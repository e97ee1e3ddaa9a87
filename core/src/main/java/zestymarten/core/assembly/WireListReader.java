package zestymarten.core.assembly;

import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import zestymarten.core.quantity.Patience;
import zestymarten.core.quantity.Problem;

/** Reads the text of a wire list into lines; what a line says is left to {@link WireLineReader}. */
final class WireListReader {
    private static final int MOST_COLUMNS = 60;

    /** The columns of the format, in the order in which they are written. */
    static final List<String> COLUMNS = List.of(
            "wire",
            "from",
            "to",
            "colour",
            "function",
            "length_m",
            "area_mm2",
            "metal",
            "class",
            "zone",
            "current_a",
            "spare",
            "max_ohm",
            "min_ohm",
            "note");

    private static final List<String> ALSO = List.of("awg", "length_ft");
    private static final char[] SEPARATORS = {'\t', ';', ','};

    private final String text;
    private final List<WireList.WireLine> lines = new ArrayList<>();
    private final List<Problem> problems = new ArrayList<>();
    private final List<String> notices = new ArrayList<>();
    private final Map<String, Integer> firstLineOf = new HashMap<>();

    WireListReader(String text) {
        this.text = text;
    }

    WireList read() {
        char separator = separator();
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(separator)
                .setCommentMarker('#')
                .setIgnoreEmptyLines(true)
                .setIgnoreSurroundingSpaces(separator != '\t')
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            List<String> header = null;
            for (CSVRecord row : parser) {
                int number = Math.toIntExact(parser.getCurrentLineNumber());
                if (row.stream().allMatch(String::isBlank)) {
                    continue;
                }
                if (header == null) {
                    header = header(row, number);
                    if (!problems.isEmpty()) {
                        break;
                    }
                } else if (lines.size() == Assembly.MOST_CONDUCTORS) {
                    problems.add(new Problem(
                            "line " + number,
                            "The list has more than " + Assembly.MOST_CONDUCTORS + " wires, the most that"
                                    + " one assembly may have. Split it into several assemblies."));
                    break;
                } else {
                    line(number, header, row, separator);
                }
            }
        } catch (IOException | java.io.UncheckedIOException | IllegalStateException e) {
            problems.add(new Problem(
                    "line " + (lines.size() + 2),
                    "The line cannot be parted into cells; a quotation mark may"
                            + " be open. Close it, or double it inside a quoted cell."));
        }
        if (lines.isEmpty() && problems.isEmpty()) {
            problems.add(new Problem("", "There is a header row but no wire under it. Add a line for each wire."));
        }
        return new WireList(lines, problems, notices);
    }

    /** The separator under which the first line that is no remark has the most known columns. */
    private char separator() {
        String first = text.lines()
                .filter(line -> !line.isBlank() && !line.startsWith("#"))
                .findFirst()
                .orElse("");
        char best = ',';
        long most = -1;
        for (char candidate : SEPARATORS) {
            long known = List.of(first.split(java.util.regex.Pattern.quote(String.valueOf(candidate)))).stream()
                    .map(WireListReader::column)
                    .filter(name -> COLUMNS.contains(name) || ALSO.contains(name))
                    .count();
            if (known > most) {
                most = known;
                best = candidate;
            }
        }
        return best;
    }

    private static String column(String heading) {
        String name = heading.strip().toLowerCase(Locale.ROOT).replace(' ', '_').replace("\"", "");
        return name.equals("color") ? "colour" : name;
    }

    private List<String> header(CSVRecord row, int number) {
        List<String> names = row.stream().map(WireListReader::column).toList();
        if (names.size() > MOST_COLUMNS) {
            problems.add(new Problem(
                    "line " + number,
                    "The header has " + names.size() + " columns; expected at most " + MOST_COLUMNS + "."));
            return names;
        }
        for (String needed : List.of("from", "to")) {
            if (!names.contains(needed)) {
                problems.add(new Problem(
                        "line " + number,
                        "The header is '" + String.join(" | ", row) + "'; it has no column '" + needed
                                + "'. Expected a"
                                + " header row with at least 'from' and 'to', separated by comma, semicolon or tab."));
            }
        }
        for (int i = 0; i < names.size(); i++) {
            String name = names.get(i);
            if (names.indexOf(name) < i && !name.isEmpty()) {
                problems.add(
                        new Problem("line " + number, "The column '" + name + "' stands twice. Keep one of them."));
            } else if (!name.isEmpty() && !COLUMNS.contains(name) && !ALSO.contains(name)) {
                notices.add("Column '" + row.get(i) + "' is not known and is ignored. Known columns: "
                        + String.join(", ", COLUMNS) + ", awg, length_ft.");
            }
        }
        return names;
    }

    private void line(int number, List<String> header, CSVRecord row, char separator) {
        Patience.check();
        Map<String, String> cells = new LinkedHashMap<>();
        for (int i = 0; i < row.size() && i < header.size(); i++) {
            if (!row.get(i).isBlank()) {
                cells.putIfAbsent(header.get(i), row.get(i).strip());
            }
        }
        List<Problem> found = new ArrayList<>();
        if (row.size() > header.size() && row.stream().skip(header.size()).anyMatch(cell -> !cell.isBlank())) {
            found.add(new Problem(
                    "line " + number,
                    "There are " + row.size() + " cells under a header of " + header.size() + "."
                            + (separator == ','
                                    ? " With commas as separator, write 0.5 rather than 0,5, or put the cell in quotation marks."
                                    : " Remove what stands to the right of the last column.")));
        }
        List<Conductor> understood = new WireLineReader(number, cells, found).read(lines.size() + 1);
        for (Conductor conductor : understood) {
            Integer first = firstLineOf.putIfAbsent(conductor.id(), number);
            if (first != null) {
                found.add(new Problem(
                        "line " + number + ", wire",
                        "“" + conductor.id() + "”, which line " + first + " already has. Each wire needs a name of its"
                                + " own."));
            }
        }
        problems.addAll(found);
        lines.add(new WireList.WireLine(number, cells, found.isEmpty() ? understood : List.of(), found));
    }
}
