package zestymarten.web.assembly;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zestymarten.core.assembly.CavityLayout;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Metal;

/** The tables of the grid in which an assembly is described. Each is a list of the open format, each column a member. */
enum AssemblyTable {
    WIRES(
            "wires",
            "conductors",
            "Wires",
            "From and to are pins such as J1.3, joints such as S1, or FRAME. Leave empty what is not known.",
            text("id", "Wire", "W1"),
            text("from", "From", "J1.1"),
            text("to", "To", "J2.1"),
            text("colour", "Colour", "bn/wh"),
            text("function", "Function", "horn"),
            number("length_m", "Length, m", "2.5 or 8 ft"),
            number("area_mm2", "Section, mm²", "0.75 or 18 AWG"),
            choice("metal", "Metal", Metal.codes()),
            choice("class", "Class", List.of("1", "2", "5", "6", "vehicle")),
            text("zone", "Zone", "flexing"),
            number("current_a", "Current, A", "10"),
            number("max_ohm", "Maximum, Ω", "0.4"),
            number("min_ohm", "Minimum, Ω", ""),
            flag("spare", "Spare"),
            text("note", "Note", "")),
    PARTS(
            "parts",
            "components",
            "Parts",
            "Each part lies between two terminals, which need no wire. A diode conducts from its first to its second terminal.",
            text("id", "Part", "F1"),
            choice(
                    "kind",
                    "Kind",
                    Stream.of(Component.ComponentKind.values())
                            .map(Component.ComponentKind::code)
                            .toList()),
            text("a", "Terminal", "J1.1"),
            text("b", "Terminal", "J2.1"),
            number("ohm", "Resistance, Ω", "4.7k"),
            number("tolerance", "Tolerance", "5 %"),
            number("max_ohm", "Maximum, Ω", "0.1"),
            number("r25_ohm", "At 25 °C, Ω", "10k"),
            number("beta_k", "Beta, K", "3435"),
            number("forward_v", "Forward, V", "0.6")),
    POSITIONS(
            "positions",
            "states",
            "Positions",
            "The first is the position at rest. Name the switches, contacts and breakers that are closed in each.",
            text("id", "Position", "rest"),
            list("closed", "Closed in it", "S1 K1")),
    JOINTS(
            "joints",
            "joints",
            "Joints",
            "Only joints of which something is known need a row: whether a probe reaches it, what it may add.",
            text("id", "Joint", "S1"),
            text("kind", "Kind", "splice"),
            flag("probe", "A probe reaches it"),
            number("max_ohm", "Maximum, Ω", "0.01")),
    CONNECTORS(
            "connectors",
            "connectors",
            "Connectors",
            "Pins in use are known from the wires. Give the layout of the cavities where it matters for finding a pin.",
            text("id", "Connector", "J1"),
            text("name", "Name", "door loom"),
            choice(
                    "shape",
                    "Layout",
                    Stream.of(CavityLayout.Shape.values())
                            .map(CavityLayout.Shape::code)
                            .toList()),
            number("rows", "Rows", "1"),
            number("columns", "Columns", "12"),
            list("pins", "Pins", "1 2 3"));

    /** What a cell holds. */
    enum Holds {
        TEXT,
        NUMBER,
        CHOICE,
        FLAG,
        LIST
    }

    /** A column: the member of the open format, its heading, what a cell may look like or be. */
    record TableColumn(String member, String label, Holds holds, String example, List<String> choices) {
        /** Whether a number is expected, for the keyboard of a phone. */
        public boolean isNumber() {
            return holds == Holds.NUMBER;
        }

        public boolean isChoice() {
            return holds == Holds.CHOICE;
        }

        public boolean isFlag() {
            return holds == Holds.FLAG;
        }
    }

    private final String code;
    private final String member;
    private final String title;
    private final String help;

    @SuppressWarnings("ImmutableEnumChecker") // made by List.of, of records
    private final List<TableColumn> columns;

    AssemblyTable(String code, String member, String title, String help, TableColumn... columns) {
        this.code = code;
        this.member = member;
        this.title = title;
        this.help = help;
        this.columns = List.of(columns);
    }

    String code() {
        return code;
    }

    /** The list of the open format. */
    String member() {
        return member;
    }

    String title() {
        return title;
    }

    String help() {
        return help;
    }

    List<TableColumn> columns() {
        return columns;
    }

    static Optional<AssemblyTable> ofMember(String member) {
        return Stream.of(values()).filter(each -> each.member.equals(member)).findFirst();
    }

    private static TableColumn text(String member, String label, String example) {
        return new TableColumn(member, label, Holds.TEXT, example, List.of());
    }

    private static TableColumn number(String member, String label, String example) {
        return new TableColumn(member, label, Holds.NUMBER, example, List.of());
    }

    private static TableColumn list(String member, String label, String example) {
        return new TableColumn(member, label, Holds.LIST, example, List.of());
    }

    private static TableColumn flag(String member, String label) {
        return new TableColumn(member, label, Holds.FLAG, "", List.of());
    }

    private static TableColumn choice(String member, String label, List<String> choices) {
        return new TableColumn(member, label, Holds.CHOICE, "", choices);
    }
}
