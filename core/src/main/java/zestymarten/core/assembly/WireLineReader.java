package zestymarten.core.assembly;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.regex.Pattern;
import zestymarten.core.quantity.EngineeringFormat;
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
            problem("to", to.get().name(), "a terminal other than 'from': a wire to itself is no wire");
        }
        Optional<Colour> colour = text("colour", LONGEST_TEXT).map(Colour::of);
        Optional<String> function = text("function", LONGEST_TEXT);
        OptionalDouble length = length();
        OptionalDouble area = area();
        Metal metal = metal();
        StrandClass strandClass = strandClass();
        Optional<String> zone = text("zone", LONGEST_TEXT);
        OptionalDouble current = number("current_a", 0, true, Conductor.MOST_AMPERES, "A");
        boolean spare = spare();
        OptionalDouble max = number("max_ohm", 0, false, Conductor.MOST_OHM, "ohm");
        OptionalDouble min = number("min_ohm", 0, false, Conductor.MOST_OHM, "ohm");
        if (max.isPresent() && min.isPresent() && min.getAsDouble() > max.getAsDouble()) {
            problem("min_ohm", cell("min_ohm"), "at most max_ohm, which is " + cell("max_ohm"));
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
            problem(column, name.get(), Terminal.FORM + " (letters, digits, _ - + / #; no spaces)");
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
                    "the same length as length_m (" + cell("length_m") + " m), but it is "
                            + EngineeringFormat.figure(converted) + " m; give one of the two");
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
            problem("awg", cell("awg"), "a gauge from 4/0 to 40");
            return area;
        }
        double byGauge = Awg.areaMm2(gauge.getAsInt());
        if (area.isPresent() && Math.abs(area.getAsDouble() / byGauge - 1) > AWG_AGREES_WITHIN) {
            problem(
                    "awg",
                    cell("awg"),
                    "the same section as area_mm2 (" + cell("area_mm2") + " mm²), but AWG " + cell("awg") + " is "
                            + String.format(Locale.ROOT, "%.3g", byGauge) + " mm²; give one of the two");
        }
        return area.isPresent() ? area : OptionalDouble.of(byGauge);
    }

    private Metal metal() {
        String code = cell("metal").toLowerCase(Locale.ROOT);
        Optional<Metal> known = code.isEmpty() ? Optional.of(Metal.COPPER) : Metal.of(code);
        if (known.isEmpty()) {
            problem("metal", cell("metal"), "one of " + String.join(", ", Metal.codes()));
        }
        return known.orElse(Metal.COPPER);
    }

    private StrandClass strandClass() {
        String code = cell("class").toLowerCase(Locale.ROOT);
        Optional<StrandClass> known = code.isEmpty() ? Optional.of(StrandClass.FIVE) : StrandClass.of(code);
        if (known.isEmpty()) {
            problem("class", cell("class"), "1, 2, 5 or 6 (IEC 60228), or vehicle (ISO 6722)");
        }
        return known.orElse(StrandClass.FIVE);
    }

    private boolean spare() {
        String written = cell("spare").toLowerCase(Locale.ROOT);
        if (!written.isEmpty() && !YES.contains(written) && !NO.contains(written)) {
            problem("spare", cell("spare"), "yes or no");
        }
        return YES.contains(written);
    }

    private OptionalDouble number(String column, double above, boolean orEqual, double most, String unit) {
        String written = cell(column);
        if (written.isEmpty()) {
            return OptionalDouble.empty();
        }
        double value = NUMBER.matcher(written).matches() ? Double.parseDouble(written.replace(',', '.')) : Double.NaN;
        if (!((orEqual ? value >= above : value > above) && value <= most)) {
            String range =
                    orEqual ? "from " + EngineeringFormat.figure(above) : "above " + EngineeringFormat.figure(above);
            problem(
                    column,
                    written,
                    "a number " + range + " and at most " + EngineeringFormat.figure(most) + " " + unit
                            + ", or nothing if it is not known");
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(value);
    }

    /** A cell as text. A formula is refused: its value is wanted, and it must not travel on into other programs. */
    private Optional<String> text(String column, int longest) {
        String written = cell(column);
        if (written.startsWith("=") || written.startsWith("@")) {
            problem(column, written, "the value itself, not a formula; paste values only");
            return Optional.empty();
        }
        if (written.length() > longest) {
            problem(column, written.substring(0, 20) + "...", "maximum " + longest + " characters");
            return Optional.empty();
        }
        return written.isEmpty() ? Optional.empty() : Optional.of(CellText.plain(written));
    }

    private String cell(String column) {
        return cells.getOrDefault(column, "");
    }

    private void problem(String column, String read, String expected) {
        problems.add(new Problem(
                "line " + number + ", " + column,
                (read.isEmpty() ? "Nothing was entered" : "“" + read + "” is not accepted") + "; expected " + expected
                        + "."));
    }
}
