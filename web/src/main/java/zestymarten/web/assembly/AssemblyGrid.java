package zestymarten.web.assembly;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyJson;
import zestymarten.core.assembly.AssemblyReader;
import zestymarten.core.assembly.CrossSection;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.Metres;
import zestymarten.core.quantity.Problem;
import zestymarten.core.quantity.ReadingParser;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Words;

/**
 * An assembly as rows of cells, as they were typed. It is read by the one reader of the open format, so that a grid, a file
 * and a program are answered the same; every problem comes back to the cell that it is about.
 *
 * @param fields by name: {@code name}, {@code kind}, {@code note}, {@code bonded}, and {@code wires.3.length_m} for a cell
 */
record AssemblyGrid(Map<String, String> fields) {
    /** Rows of a table that are fields of a page; those after them come along as one text, see {@link #BEYOND}. */
    static final int SHOWN_ROWS = 100;

    /** Rows of a table; one more than an assembly may have wires, so that the reader says what is too many. */
    static final int MAX_ROWS = Assembly.MAX_CONDUCTORS + 1;

    /** The field with the cells of the rows that a page does not show, as a JSON object by their names. */
    static final String BEYOND = "beyond";

    private static final Pattern PATH = Pattern.compile("([a-z]+)\\[([0-9]+)\\](?:\\.(.+))?");
    private static final double HUNDRED = 100;
    private static final JsonMapper JSON = JsonMapper.builder().build();

    AssemblyGrid {
        fields = Map.copyOf(fields);
    }

    /** What a grid describes: an assembly, or what is wrong with which field. A problem of no field has an empty place. */
    record GridResult(Optional<Assembly> assembly, List<Problem> problems) {}

    /**
     * What was sent by a page: its fields, and the cells beyond them.
     *
     * @throws Refusal if the cells beyond are no object of texts
     */
    static AssemblyGrid sent(Map<String, String> fields) {
        Map<String, String> all = new HashMap<>();
        String beyond = fields.getOrDefault(BEYOND, "");
        if (!beyond.isBlank()) {
            try {
                Map<?, ?> cells = JSON.readValue(beyond, Map.class);
                cells.forEach((name, text) -> all.put(text(name), text(text)));
            } catch (JacksonException e) {
                throw new Refusal(BEYOND, Message.of("assembly_grid.rows_not_read"));
            }
        }
        all.putAll(fields);
        all.remove(BEYOND);
        return new AssemblyGrid(all);
    }

    /** The cells of the rows that a page does not show. */
    public String beyond() {
        Map<String, String> cells = new TreeMap<>();
        fields.forEach((name, text) -> {
            if (!text.isBlank() && GridCell.of(name).stream().anyMatch(cell -> cell.row() >= SHOWN_ROWS)) {
                cells.put(name, text);
            }
        });
        return cells.isEmpty() ? "" : JSON.writeValueAsString(cells);
    }

    /** An assembly as the cells that say it. */
    static AssemblyGrid of(Assembly assembly) {
        Map<String, String> fields = new HashMap<>();
        Map<?, ?> root = JSON.readValue(AssemblyJson.write(assembly), Map.class);
        for (String each : List.of("name", "kind", "note")) {
            fields.put(each, text(root.get(each)));
        }
        fields.put(
                "bonded",
                assembly.bonded().stream().sorted().map(String::valueOf).collect(Collectors.joining(" ")));
        // A connector that is laid out as its pins in use make it by themselves grows with the next wire.
        Set<String> asUsed = AssemblyForm.faces(assembly).entrySet().stream()
                .filter(each -> each.getValue().isEmpty())
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
        for (AssemblyTable table : AssemblyTable.values()) {
            List<?> rows = root.get(table.member()) instanceof List<?> list ? list : List.of();
            for (int row = 0; row < Math.min(rows.size(), MAX_ROWS); row++) {
                Map<?, ?> members = (Map<?, ?>) rows.get(row);
                for (AssemblyTable.TableColumn column : table.columns()) {
                    Object value = members.get(column.member());
                    if (value == null
                            && members.get("face") instanceof Map<?, ?> face
                            && !asUsed.contains(text(members.get("id")))) {
                        value = face.get(column.member());
                    }
                    fields.put(cell(table, row, column), text(value));
                }
            }
        }
        return new AssemblyGrid(fields);
    }

    private static String text(@Nullable Object value) {
        if (value instanceof List<?> list) {
            return list.stream().map(String::valueOf).collect(Collectors.joining(" "));
        }
        if (value instanceof Double number) {
            return new java.math.BigDecimal(String.valueOf(number))
                    .stripTrailingZeros()
                    .toPlainString();
        }
        return value == null || Boolean.FALSE.equals(value) ? "" : String.valueOf(value);
    }

    static String cell(AssemblyTable table, int row, AssemblyTable.TableColumn column) {
        return table.code() + "." + row + "." + column.member();
    }

    public String field(String name) {
        return fields.getOrDefault(name, "").strip();
    }

    /**
     * The numbers of the rows in which something stands, in their order; none for a table without any. Cost: proportional to
     * the cells of all tables.
     */
    Map<AssemblyTable, List<Integer>> rows() {
        Map<AssemblyTable, Set<Integer>> rows = new EnumMap<>(AssemblyTable.class);
        fields.forEach((name, text) -> {
            if (!text.isBlank()) {
                GridCell.of(name)
                        .filter(cell -> cell.row() < MAX_ROWS && !isUsual(cell.table(), cell.member()))
                        .ifPresent(cell -> rows.computeIfAbsent(cell.table(), any -> new TreeSet<>())
                                .add(cell.row()));
            }
        });
        return Stream.of(AssemblyTable.values())
                .collect(Collectors.toMap(table -> table, table -> List.copyOf(rows.getOrDefault(table, Set.of()))));
    }

    /** Which cell a field is. */
    private record GridCell(AssemblyTable table, int row, String member) {
        private static final int MAX_DIGITS = 5;

        /** The cell of a name such as {@code wires.3.length_m}; by hand, as a large grid has tens of thousands of them. */
        static Optional<GridCell> of(String name) {
            int dot = name.indexOf('.');
            int next = name.indexOf('.', dot + 1);
            if (dot < 0 || next <= dot + 1 || next - dot > MAX_DIGITS + 1 || next + 1 == name.length()) {
                return Optional.empty();
            }
            String row = name.substring(dot + 1, next);
            return row.chars().allMatch(each -> each >= '0' && each <= '9')
                    ? AssemblyTable.of(name.substring(0, dot))
                            .map(table -> new GridCell(table, Integer.parseInt(row), name.substring(next + 1)))
                    : Optional.empty();
        }
    }

    /** A choice has always a value, which says nothing in a row that is empty otherwise. */
    private static boolean isUsual(AssemblyTable table, String member) {
        return table.columns().stream().anyMatch(each -> each.member().equals(member) && each.isChoice());
    }

    /** The assembly that the cells say. */
    GridResult read() {
        Map<AssemblyTable, List<Integer>> rows = rows();
        Map<String, Object> root = new LinkedHashMap<>();
        root.put("format", "zesty-marten/assembly");
        root.put("version", 1);
        for (String each : List.of("name", "kind", "note")) {
            root.put(each, field(each));
        }
        for (AssemblyTable table : AssemblyTable.values()) {
            root.put(
                    table.member(),
                    rows.getOrDefault(table, List.of()).stream()
                            .map(row -> members(table, row))
                            .toList());
        }
        root.put("frame", Map.of("bonded", names(field("bonded"))));
        List<Problem> problems = new ArrayList<>();
        Optional<Assembly> read = AssemblyReader.read(JSON.writeValueAsString(root), problems);
        return new GridResult(
                read, problems.stream().map(each -> atItsCell(each, rows)).toList());
    }

    private Map<String, Object> members(AssemblyTable table, int row) {
        Map<String, Object> members = new LinkedHashMap<>();
        Map<String, Object> face = new LinkedHashMap<>();
        for (AssemblyTable.TableColumn column : table.columns()) {
            String typed = field(cell(table, row, column));
            if (!typed.isEmpty()) {
                boolean ofFace = table == AssemblyTable.CONNECTORS
                        && List.of("shape", "rows", "columns").contains(column.member());
                (ofFace ? face : members).put(column.member(), value(column, typed));
            }
        }
        if (face.size() > 1) { // a layout without figures says nothing
            members.put("face", face);
        }
        return members;
    }

    private static Object value(AssemblyTable.TableColumn column, String typed) {
        return switch (column.holds()) {
            case TEXT, CHOICE -> typed;
            case FLAG -> true;
            case LIST -> names(typed);
            case NUMBER ->
                number(column.member(), typed).<Object>map(each -> each).orElse(typed);
        };
    }

    private static List<String> names(String typed) {
        return Stream.of(typed.split("[\\s,;]+"))
                .filter(each -> !each.isEmpty())
                .toList();
    }

    /** A figure as it is usually written: 4.7k, 0,5, 5 %, 8 ft, 18 AWG; empty for what is none. */
    private static Optional<Double> number(String member, String typed) {
        String small = typed.toLowerCase(Locale.ROOT);
        if (member.equals("area_mm2")) {
            return CrossSection.mm2(typed).stream().boxed().findFirst();
        }
        if (member.equals("length_m")) {
            return Metres.of(typed).stream().boxed().findFirst();
        }
        if (member.equals("tolerance") && small.endsWith("%")) {
            return figure(small.substring(0, small.length() - 1).strip()).map(each -> each / HUNDRED);
        }
        return figure(typed);
    }

    private static Optional<Double> figure(String typed) {
        return new ReadingParser(false).understand(typed) instanceof MeterReading.Value value
                ? Optional.of(value.value())
                : Optional.empty();
    }

    /** The column that a path within a row is about: a layout as a whole stands under its shape. */
    private static String member(String path) {
        String inFace = path.startsWith("face.") ? path.substring("face.".length()) : path;
        return path.equals("face") ? "shape" : inFace.replaceAll("\\[.*", "");
    }

    private static Problem atItsCell(Problem problem, Map<AssemblyTable, List<Integer>> rows) {
        String place = Words.say(problem.where());
        Matcher path = PATH.matcher(place);
        if (!path.matches()) {
            return place.startsWith("frame") ? new Problem("bonded", problem.what()) : problem;
        }
        Optional<AssemblyTable> table = AssemblyTable.ofMember(path.group(1));
        int row = Integer.parseInt(path.group(2));
        if (table.isEmpty() || row >= rows.getOrDefault(table.get(), List.of()).size()) {
            return new Problem("", problem.what());
        }
        String member = path.group(3) == null ? "" : member(path.group(3));
        AssemblyTable.TableColumn column = table.get().columns().stream()
                .filter(each -> each.member().equals(member))
                .findFirst()
                .orElse(table.get().columns().get(0));
        int typed = rows.getOrDefault(table.get(), List.of()).get(row);
        return new Problem(cell(table.get(), typed, column), problem.what());
    }
}
