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
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Patience;
import zestymarten.core.quantity.Problem;

/** Reads the text of a wire list into lines; what a line says is left to {@link WireLineReader}. */
final class WireListReader {
    private static final int MAX_COLUMNS = 60;

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
    private final List<Message> notices = new ArrayList<>();
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
                } else if (lines.size() == Assembly.MAX_CONDUCTORS) {
                    problems.add(new Problem(
                            Message.of("problem.line", number),
                            Message.of("wire_list_reader.list_has_more_than", Assembly.MAX_CONDUCTORS)));
                    break;
                } else {
                    line(number, header, row, separator);
                }
            }
        } catch (IOException | java.io.UncheckedIOException | IllegalStateException e) {
            problems.add(new Problem(
                    Message.of("problem.line", lines.size() + 2),
                    Message.of("wire_list_reader.line_cannot_be_parted")));
        }
        if (lines.isEmpty() && problems.isEmpty()) {
            problems.add(new Problem("", Message.of("wire_list_reader.there_header_row_but")));
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
        long maximum = -1;
        for (char candidate : SEPARATORS) {
            long known = List.of(first.split(java.util.regex.Pattern.quote(String.valueOf(candidate)))).stream()
                    .map(WireListReader::column)
                    .filter(name -> COLUMNS.contains(name) || ALSO.contains(name))
                    .count();
            if (known > maximum) {
                maximum = known;
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
        if (names.size() > MAX_COLUMNS) {
            problems.add(new Problem(
                    Message.of("problem.line", number),
                    Message.of("wire_list_reader.header_has_columns_expected", names.size(), MAX_COLUMNS)));
            return names;
        }
        for (String needed : List.of("from", "to")) {
            if (!names.contains(needed)) {
                problems.add(new Problem(
                        Message.of("problem.line", number),
                        Message.of("wire_list_reader.header_has_no_column", String.join(" | ", row), needed)));
            }
        }
        for (int i = 0; i < names.size(); i++) {
            String name = names.get(i);
            if (names.indexOf(name) < i && !name.isEmpty()) {
                problems.add(new Problem(
                        Message.of("problem.line", number),
                        Message.of("wire_list_reader.column_stands_twice_keep", name)));
            } else if (!name.isEmpty() && !COLUMNS.contains(name) && !ALSO.contains(name)) {
                notices.add(Message.of(
                        "wire_list_reader.column_not_known_ignored", row.get(i), String.join(", ", COLUMNS)));
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
                    Message.of("problem.line", number),
                    Message.of(
                            "wire_list_reader.there_cells_under_header", row.size(), header.size(), separator == ',')));
        }
        List<Conductor> understood = new WireLineReader(number, cells, found).read(lines.size() + 1);
        for (Conductor conductor : understood) {
            Integer first = firstLineOf.putIfAbsent(conductor.id(), number);
            if (first != null) {
                found.add(new Problem(
                        Message.of("wire_list_reader.line_wire", number),
                        Message.of("wire_list_reader.which_line_already_has", conductor.id(), first)));
            }
        }
        problems.addAll(found);
        lines.add(new WireList.WireLine(number, cells, found.isEmpty() ? understood : List.of(), found));
    }
}
