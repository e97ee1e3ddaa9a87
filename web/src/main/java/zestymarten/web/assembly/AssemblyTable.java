package zestymarten.web.assembly;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import zestymarten.core.assembly.CavityLayout;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Metal;
import zestymarten.core.quantity.Message;
import zestymarten.web.platform.Words;

/** The tables of the grid in which an assembly is described. Each is a list of the open format, each column a member. */
enum AssemblyTable {
    WIRES(
            "wires",
            "conductors",
            text("id", "wire", "W1"),
            text("from", "from", "J1.1"),
            text("to", "to", "J2.1"),
            text("colour", "colour", "bn/wh"),
            text("function", "function", "horn"),
            number("length_m", "length_m", "2.5 or 8 ft"),
            number("area_mm2", "area_mm2", "0.75 or 18 AWG"),
            choice(
                    "metal",
                    "metal",
                    Metal.codes().stream()
                            .map(each -> new TableChoice(
                                    each, Metal.of(each).orElseThrow().title()))
                            .toList()),
            choice(
                    "class",
                    "class",
                    Stream.of("1", "2", "5", "6", "vehicle")
                            .map(each -> new TableChoice(
                                    each,
                                    each.equals("vehicle")
                                            ? Message.of("table_choice.vehicle")
                                            : Message.verbatim(each)))
                            .toList()),
            text("zone", "zone", "flexing"),
            number("current_a", "current_a", "10"),
            number("max_ohm", "max_ohm", "0.4"),
            number("min_ohm", "min_ohm", ""),
            flag("spare", "spare"),
            text("note", "note", "")),
    PARTS(
            "parts",
            "components",
            text("id", "part", "F1"),
            choice(
                    "kind",
                    "kind",
                    Stream.of(Component.ComponentKind.values())
                            .map(each -> new TableChoice(each.code(), Message.of(each)))
                            .toList()),
            text("a", "terminal", "J1.1"),
            text("b", "terminal", "J2.1"),
            number("ohm", "ohm", "4.7k"),
            number("tolerance", "tolerance", "5 %"),
            number("max_ohm", "max_ohm", "0.1"),
            number("r25_ohm", "r25_ohm", "10k"),
            number("beta_k", "beta_k", "3435"),
            number("forward_v", "forward_v", "0.6")),
    POSITIONS("positions", "states", text("id", "position", "rest"), list("closed", "closed", "S1 K1")),
    JOINTS(
            "joints",
            "joints",
            text("id", "joint", "S1"),
            text("kind", "kind", "splice"),
            flag("probe", "probe"),
            number("max_ohm", "max_ohm", "0.01")),
    CONNECTORS(
            "connectors",
            "connectors",
            text("id", "connector", "J1"),
            text("name", "name", "door loom"),
            choice(
                    "shape",
                    "shape",
                    Stream.of(CavityLayout.Shape.values())
                            .map(each -> new TableChoice(each.code(), Message.of(each)))
                            .toList()),
            number("rows", "rows", "1"),
            number("columns", "columns", "12"),
            list("pins", "pins", "1 2 3"));

    /** What a cell holds. */
    enum Holds {
        TEXT,
        NUMBER,
        CHOICE,
        FLAG,
        LIST
    }

    /** What a cell may be: as files have it, and what a person reads. */
    record TableChoice(String code, Message words) {}

    /** A column: the member of the open format, its heading, what a cell may look like or be. */
    record TableColumn(String member, Message heading, Holds holds, String example, List<TableChoice> choices) {
        private static final Set<String> USUAL = Set.of(Metal.COPPER.code(), "5");

        public String label() {
            return Words.say(heading);
        }

        /** Whether a number is expected, for the keyboard of a phone. */
        public boolean isNumber() {
            return holds == Holds.NUMBER;
        }

        public boolean isChoice() {
            return holds == Holds.CHOICE;
        }

        /** The choice of a row in which nothing was chosen. */
        public String usual() {
            return choices.stream()
                    .map(TableChoice::code)
                    .filter(USUAL::contains)
                    .findFirst()
                    .orElse(choices.isEmpty() ? "" : choices.get(0).code());
        }

        public boolean isFlag() {
            return holds == Holds.FLAG;
        }
    }

    private final String code;
    private final String member;

    @SuppressWarnings("ImmutableEnumChecker") // made by List.of, of records
    private final List<TableColumn> columns;

    AssemblyTable(String code, String member, TableColumn... columns) {
        this.code = code;
        this.member = member;
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
        return Words.say(this);
    }

    String help() {
        return Words.say(Message.of(this).code() + "_help");
    }

    List<TableColumn> columns() {
        return columns;
    }

    static Optional<AssemblyTable> of(String code) {
        return Stream.of(values()).filter(each -> each.code.equals(code)).findFirst();
    }

    static Optional<AssemblyTable> ofMember(String member) {
        return Stream.of(values()).filter(each -> each.member.equals(member)).findFirst();
    }

    private static TableColumn text(String member, String label, String example) {
        return new TableColumn(member, Message.of("table_column." + label), Holds.TEXT, example, List.of());
    }

    private static TableColumn number(String member, String label, String example) {
        return new TableColumn(member, Message.of("table_column." + label), Holds.NUMBER, example, List.of());
    }

    private static TableColumn list(String member, String label, String example) {
        return new TableColumn(member, Message.of("table_column." + label), Holds.LIST, example, List.of());
    }

    private static TableColumn flag(String member, String label) {
        return new TableColumn(member, Message.of("table_column." + label), Holds.FLAG, "", List.of());
    }

    private static TableColumn choice(String member, String label, List<TableChoice> choices) {
        return new TableColumn(member, Message.of("table_column." + label), Holds.CHOICE, "", choices);
    }
}
