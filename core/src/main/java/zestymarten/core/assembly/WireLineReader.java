package zestymarten.core.assembly;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.regex.Pattern;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Problem;

/** What one line of a wire list says: each cell by its column's rule, each fault with line, column, value and rule. */
final class WireLineReader {
    private static final Pattern NUMBER = Pattern.compile("[+-]?(?:\\d+(?:[.,]\\d*)?|[.,]\\d+)(?:[eE][+-]?\\d{1,2})?");
    private static final Set<String> YES = Set.of("yes", "y", "true", "1", "x", "spare");
    private static final Set<String> NO = Set.of("no", "n", "false", "0", "-");
    private static final double METRES_PER_FOOT = 0.3048;
    /** A gauge and the metric size nearest to it differ by up to this share; more is a contradiction. */
    private static final double AWG_AGREES_WITHIN = 0.12;

    private static final int LONGEST_TEXT = 200;
    private static final int LONGEST_ID = 40;

    private final int number;
    private final Map<String, String> cells;
    private final List<Problem> problems;

    WireLineReader(int number, Map<String, String> cells, List<Problem> problems) {
        this.number = number;
        this.cells = cells;
        this.problems = problems;
    }

    /** The conductor, or nothing if the line has a problem; {@code ordinal} names a wire that has no name. */
    List<Conductor> read(int ordinal) {
        String id = text("wire", LONGEST_ID).orElse("W" + ordinal);
        Optional<Terminal> from = terminal("from");
        Optional<Terminal> to = terminal("to");
        if (from.isPresent() && from.equals(to)) {
            problem("to", to.get().name(), Message.of("wire_line_reader.terminal_other_than_from"));
        }
        Optional<Colour> colour = text("colour", LONGEST_TEXT).map(Colour::of);
        Optional<String> function = text("function", LONGEST_TEXT);
        OptionalDouble length = length();
        OptionalDouble area = area();
        Metal metal = metal();
        StrandClass strandClass = strandClass();
        Optional<String> zone = text("zone", LONGEST_TEXT);
        OptionalDouble current = number("current_a", 0, true, Conductor.MAX_AMPERES, "A");
        boolean spare = spare();
        OptionalDouble max = number("max_ohm", 0, false, Conductor.MAX_OHM, "ohm");
        OptionalDouble min = number("min_ohm", 0, false, Conductor.MAX_OHM, "ohm");
        if (max.isPresent() && min.isPresent() && min.getAsDouble() > max.getAsDouble()) {
            problem("min_ohm", cell("min_ohm"), Message.of("wire_line_reader.most_max_ohm_which", cell("max_ohm")));
        }
        Optional<String> note = text("note", LONGEST_TEXT);
        if (!problems.isEmpty() || from.isEmpty() || to.isEmpty()) {
            return List.of();
        }
        return List.of(new Conductor(
                id,
                from.get(),
                to.get(),
                colour,
                function,
                length,
                area,
                metal,
                strandClass,
                zone,
                current,
                spare,
                max,
                min,
                note));
    }

    private Optional<Terminal> terminal(String column) {
        Optional<String> name = text(column, LONGEST_TEXT);
        if (name.isEmpty()) {
            if (cell(column).isEmpty()) {
                problem(column, "", Terminal.FORM);
            }
            return Optional.empty();
        }
        String written = name.get().equalsIgnoreCase("frame") ? "FRAME" : name.get();
        if (!Terminal.isName(written)) {
            problem(column, name.get(), Message.of("wire_line_reader.letters_digits_no_spaces", Terminal.FORM));
            return Optional.empty();
        }
        return Optional.of(Terminal.of(written));
    }

    private OptionalDouble length() {
        OptionalDouble metres = number("length_m", 0, false, Conductor.LONGEST_M, "m");
        OptionalDouble feet = number("length_ft", 0, false, Conductor.LONGEST_M / METRES_PER_FOOT, "ft");
        if (feet.isEmpty()) {
            return metres;
        }
        double converted = feet.getAsDouble() * METRES_PER_FOOT;
        if (metres.isPresent() && Math.abs(metres.getAsDouble() - converted) > 0.01 * converted) {
            problem(
                    "length_ft",
                    cell("length_ft"),
                    Message.of(
                            "wire_line_reader.same_length_as_length", cell("length_m"), Message.figure(converted, "")));
        }
        return metres.isPresent() ? metres : OptionalDouble.of(converted);
    }

    private OptionalDouble area() {
        OptionalDouble area = number("area_mm2", 0, false, Conductor.THICKEST_MM2, "mm²");
        if (cell("awg").isEmpty()) {
            return area;
        }
        OptionalInt gauge = Awg.parse(cell("awg"));
        if (gauge.isEmpty()) {
            problem("awg", cell("awg"), Message.of("wire_line_reader.gauge_from"));
            return area;
        }
        double byGauge = Awg.areaMm2(gauge.getAsInt());
        if (area.isPresent() && Math.abs(area.getAsDouble() / byGauge - 1) > AWG_AGREES_WITHIN) {
            problem(
                    "awg",
                    cell("awg"),
                    Message.of(
                            "wire_line_reader.same_section_as_area",
                            cell("area_mm2"),
                            cell("awg"),
                            Message.figure(byGauge, "mm²")));
        }
        return area.isPresent() ? area : OptionalDouble.of(byGauge);
    }

    private Metal metal() {
        String code = cell("metal").toLowerCase(Locale.ROOT);
        Optional<Metal> known = code.isEmpty() ? Optional.of(Metal.COPPER) : Metal.of(code);
        if (known.isEmpty()) {
            problem("metal", cell("metal"), Message.of("wire_line_reader.one", String.join(", ", Metal.codes())));
        }
        return known.orElse(Metal.COPPER);
    }

    private StrandClass strandClass() {
        String code = cell("class").toLowerCase(Locale.ROOT);
        Optional<StrandClass> known = code.isEmpty() ? Optional.of(StrandClass.FIVE) : StrandClass.of(code);
        if (known.isEmpty()) {
            problem("class", cell("class"), Message.of("wire_line_reader.or_iec_or_vehicle"));
        }
        return known.orElse(StrandClass.FIVE);
    }

    private boolean spare() {
        String written = cell("spare").toLowerCase(Locale.ROOT);
        if (!written.isEmpty() && !YES.contains(written) && !NO.contains(written)) {
            problem("spare", cell("spare"), Message.of("wire_line_reader.yes_or_no"));
        }
        return YES.contains(written);
    }

    private OptionalDouble number(String column, double above, boolean orEqual, double maximum, String unit) {
        String written = cell(column);
        if (written.isEmpty()) {
            return OptionalDouble.empty();
        }
        double value = NUMBER.matcher(written).matches() ? Double.parseDouble(written.replace(',', '.')) : Double.NaN;
        if (!((orEqual ? value >= above : value > above) && value <= maximum)) {
            Message range = orEqual
                    ? Message.of("wire_line_reader.from", Message.figure(above, ""))
                    : Message.of("wire_line_reader.above", Message.figure(above, ""));
            problem(
                    column,
                    written,
                    Message.of("wire_line_reader.number_most_or_nothing", range, Message.figure(maximum, ""), unit));
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(value);
    }

    /** A cell as text. A formula is refused: its value is wanted, and it must not travel on into other programs. */
    private Optional<String> text(String column, int longest) {
        String written = cell(column);
        if (written.startsWith("=") || written.startsWith("@")) {
            problem(column, written, Message.of("wire_line_reader.value_itself_not_formula"));
            return Optional.empty();
        }
        if (written.length() > longest) {
            problem(
                    column,
                    written.substring(0, 20) + "...",
                    Message.of("wire_line_reader.maximum_characters", longest));
            return Optional.empty();
        }
        return written.isEmpty() ? Optional.empty() : Optional.of(CellText.plain(written));
    }

    private String cell(String column) {
        return cells.getOrDefault(column, "");
    }

    private void problem(String column, String read, Message expected) {
        problems.add(new Problem(
                Message.of("wire_line_reader.line", number, column),
                Message.of("wire_line_reader.expected", read.isEmpty(), read, expected)));
    }
}
