package zestymarten.core.assembly;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zestymarten.core.quantity.English;

class WireListTest {
    private static List<String> problems(String text) {
        return WireList.read(text).problems().stream()
                .map(each -> English.of(each.message()))
                .toList();
    }

    private static Conductor only(String text) {
        WireList list = WireList.read(text);
        assertThat(list.problems()).isEmpty();
        assertThat(list.conductors()).hasSize(1);
        return list.conductors().get(0);
    }

    @Test
    void readsEveryColumn() {
        Conductor wire = only(
                "wire,from,to,colour,function,length_m,area_mm2,metal,class,zone,current_a,spare,max_ohm,min_ohm,note\n"
                        + "W7,J1.7,J2.7,WHRD,horn,8.2,0.5,copper-coated,6,flexing,2.5,yes,0.45,0.1,\"spliced, once\"\n");
        assertThat(wire.id()).isEqualTo("W7");
        assertThat(wire.from()).isEqualTo(Terminal.of("J1", "7"));
        assertThat(English.of(wire.colour().orElseThrow().words())).isEqualTo("white-red");
        assertThat(wire.colour().orElseThrow().tracer()).contains("#c81e1e");
        assertThat(wire.function()).contains("horn");
        assertThat(wire.lengthM()).hasValue(8.2);
        assertThat(wire.areaMm2()).hasValue(0.5);
        assertThat(wire.metal().code()).isEqualTo("copper-coated");
        assertThat(wire.strandClass()).isEqualTo(StrandClass.SIX);
        assertThat(wire.zone()).contains("flexing");
        assertThat(wire.current()).hasValue(2.5);
        assertThat(wire.spare()).isTrue();
        assertThat(wire.maxOhm()).hasValue(0.45);
        assertThat(wire.minOhm()).hasValue(0.1);
        assertThat(wire.note()).contains("spliced, once");
    }

    @Test
    void needsOnlyTheTwoEndsAndNamesTheWiresItself() {
        WireList list = WireList.read("to\tfrom\nJ2.1\tJ1.1\nJ2.2\tJ1.2\n");
        assertThat(list.conductors()).extracting(Conductor::id).containsExactly("W1", "W2");
        assertThat(list.conductors().get(0).from().name()).isEqualTo("J1.1");
        assertThat(list.conductors().get(0).carriesCurrent()).isFalse();
    }

    @Test
    void readsTabsSemicolonsDecimalCommasByteOrderMarksAndRemarks() {
        assertThat(only("\uFEFF# made by hand\r\nfrom;to;length_m\r\n\r\nJ1.1;J2.1;8,2\r\n")
                        .lengthM())
                .hasValue(8.2);
        assertThat(only("From\tTo\tLength m\nJ1.1\tJ2.1\t8,2").lengthM()).hasValue(8.2);
        assertThat(only("from,to,color\nJ1.1,J2.1,red").colour().orElseThrow().isKnown())
                .isTrue();
    }

    @Test
    void takesGaugeAndFeet() {
        Conductor wire = only("from,to,awg,length_ft\nJ1.1,J2.1,AWG 20,10");
        assertThat(wire.areaMm2().orElseThrow()).isCloseTo(0.5176, within(0.00005));
        assertThat(wire.lengthM().orElseThrow()).isCloseTo(3.048, within(1e-9));
        assertThat(Awg.diameterMm(20)).isCloseTo(0.8118, within(0.00005));
        assertThat(Awg.parse("4/0")).hasValue(-3);
        assertThat(Awg.parse("41")).isEmpty();
        assertThat(Awg.nearest(0.75)).hasValue("18");
        assertThat(Awg.nearest(107.2)).hasValue("4/0");
        assertThat(Awg.nearest(53.5)).hasValue("1/0");
        assertThat(Awg.nearest(300)).as("thicker than any").isEmpty();
        assertThat(Awg.nearest(0.001)).as("thinner than any").isEmpty();
        assertThat(only("from,to,awg,area_mm2\nJ1.1,J2.1,20,0.5").areaMm2()).hasValue(0.5);
    }

    @Test
    void anUnknownColourIsKeptAsText() {
        Colour colour = only("from,to,colour\nJ1.1,J2.1,mud").colour().orElseThrow();
        assertThat(colour.text()).isEqualTo("mud");
        assertThat(colour.isKnown()).isFalse();
        assertThat(Colour.of("GNYE").tracer()).contains("#f2cf1d");
        assertThat(Colour.of("white/red").base()).contains("#fafafa");
    }

    @Test
    void reportsUnknownColumnsAndReadsTheRest() {
        WireList list = WireList.read("from,to,supplier\nJ1.1,J2.1,depot\n");
        assertThat(list.isSound()).isTrue();
        assertThat(English.all(list.notices())).hasSize(1);
        assertThat(English.of(list.notices().get(0))).startsWith("Column 'supplier' is not known and is ignored.");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "length_m | -3 | line 2, length_m: “-3” is not accepted; expected a number above 0 and at most 100000 m, or nothing if it is not known.",
                "length_m | 0 | line 2, length_m: “0” is not accepted; expected a number above 0 and at most 100000 m, or nothing if it is not known.",
                "length_m | 2000000 | line 2, length_m: “2000000” is not accepted; expected a number above 0 and at most 100000 m, or nothing if it is not known.",
                "length_m | NaN | line 2, length_m: “NaN” is not accepted; expected a number above 0 and at most 100000 m, or nothing if it is not known.",
                "length_m | long | line 2, length_m: “long” is not accepted; expected a number above 0 and at most 100000 m, or nothing if it is not known.",
                "current_a | -1 | line 2, current_a: “-1” is not accepted; expected a number from 0 and at most 20000 A, or nothing if it is not known.",
                "metal | tin | line 2, metal: “tin” is not accepted; expected one of copper, copper-coated, aluminium, cca-10, cca-15, ccs-40, brass, steel, stainless, constantan, nichrome.",
                "class | 9 | line 2, class: “9” is not accepted; expected 1, 2, 5 or 6 (IEC 60228), or vehicle (ISO 6722).",
                "awg | 99 | line 2, awg: “99” is not accepted; expected a gauge from 4/0 to 40.",
                "spare | perhaps | line 2, spare: “perhaps” is not accepted; expected yes or no.",
                "function | =HYPERLINK(1) | line 2, function: “=HYPERLINK(1)” is not accepted; expected the value itself, not a formula; paste values only.",
                "wire | @x | line 2, wire: “@x” is not accepted; expected the value itself, not a formula; paste values only.",
            })
    void namesLineColumnValueAndRule(String column, String cell, String problem) {
        assertThat(problems("from;to;" + column + "\nJ1.1;J2.1;" + cell + "\n")).containsExactly(problem);
    }

    @Test
    void refusesGaugeAndSectionThatDisagree() {
        assertThat(problems("from,to,awg,area_mm2\nJ1.1,J2.1,20,1.5"))
                .containsExactly(
                        "line 2, awg: “20” is not accepted; expected the same section as area_mm2 (1.5 mm²), but AWG 20 is 0.5176"
                                + " mm²; give one of the two.");
        assertThat(problems("from,to,length_m,length_ft\nJ1.1,J2.1,3,3"))
                .containsExactly(
                        "line 2, length_ft: “3” is not accepted; expected the same length as length_m (3 m), but it is 0.9144 m;"
                                + " give one of the two.");
    }

    @Test
    void refusesAWireToItselfAndDuplicateNamesAndBadTerminals() {
        assertThat(problems("wire,from,to\nA,J1.1,J1.1\nB,J1.1,J2.1\nB,J1.2,J2.2\nC,J1 3,\n"))
                .containsExactly(
                        "line 2, to: “J1.1” is not accepted; expected a terminal other than 'from': a wire to itself is no wire.",
                        "line 4, wire: “B”, which line 3 already has. Each wire needs a name of its own.",
                        "line 5, from: “J1 3” is not accepted; expected a terminal such as J1.3, a joint such as S1, or FRAME (letters,"
                                + " digits, _ - + / #; no spaces).",
                        "line 5, to: Nothing was entered; expected a terminal such as J1.3, a joint such as S1, or FRAME.");
    }

    @Test
    void keepsTheGoodLinesInSightWhenOthersAreBad() {
        WireList list = WireList.read("from,to\nJ1.1,J2.1\nJ1.2,J1.2\n");
        assertThat(list.lines()).hasSize(2);
        assertThat(list.conductors()).hasSize(1);
        assertThat(list.isSound()).isFalse();
        assertThatThrownBy(() -> list.assembly("x", AssemblyKind.CABLE, "", Map.of()))
                .isInstanceOf(IllegalStateException.class);
    }

    @Test
    void refusesEmptyAndOversizedAndHeaderlessText() {
        assertThat(problems("  \n"))
                .containsExactly(
                        "There is nothing to read. Paste a header row with at least 'from' and 'to', then a line a wire.");
        assertThat(problems("x".repeat(5_000_000)))
                .containsExactly(
                        "The list has 5 MB; at most 2 MB are read, which is about 10000 wires. Split it into several assemblies.");
        assertThat(problems("from,to\n"))
                .containsExactly("There is a header row but no wire under it. Add a line for each wire.");
        assertThat(problems("J1.1|J2.1\n"))
                .containsExactly(
                        "line 1: The header is 'J1.1|J2.1'; it has no column 'from'. Expected a header row with at least 'from' and"
                                + " 'to', separated by comma, semicolon or tab.",
                        "line 1: The header is 'J1.1|J2.1'; it has no column 'to'. Expected a header row with at least 'from' and"
                                + " 'to', separated by comma, semicolon or tab.");
    }

    @Test
    void explainsADecimalCommaAmongCommas() {
        assertThat(problems("from,to,length_m\nJ1.1,J2.1,8,2\n"))
                .containsExactly(
                        "line 2: There are 4 cells under a header of 3. With commas as separator, write 0.5 rather than 0,5,"
                                + " or put the cell in quotation marks.");
    }

    @Test
    void anOpenQuotationMarkIsAProblemOfItsLine() {
        assertThat(problems("from,to\nJ1.1,\"J2.1\n")).hasSize(1);
    }

    @Test
    void takesTenThousandWiresAndNoMore() {
        StringBuilder text = new StringBuilder("from,to\n");
        for (int i = 1; i <= 10_000; i++) {
            text.append("J1.").append(i).append(",J2.").append(i).append('\n');
        }
        assertThat(WireList.read(text.toString()).conductors()).hasSize(10_000);
        assertThat(problems(text + "J1.x,J2.x\n"))
                .containsExactly(
                        "line 10002: The list has more than 10000 wires, the most that one assembly may have. Split it into several"
                                + " assemblies.");
    }

    @Test
    void writesWhatItReadsAndKeepsFormulasHarmless() {
        String text =
                "wire,from,to,colour,function,length_m,area_mm2,metal,class,zone,current_a,spare,max_ohm,min_ohm,note\r\n"
                        + "W1,J1.1,J2.1,BU,\"horn, low\",8.2,0.5,copper,5,,2,yes,0.4,,'=1+1\r\n"
                        + "W2,J1.2,FRAME,,,,,copper,5,,,,,,\r\n";
        Assembly read = WireList.read(text).assembly("Pendant", AssemblyKind.CABLE, "", Map.of());
        assertThat(read.conductors().get(0).note()).contains("=1+1");
        assertThat(WireListWriter.csv(read)).isEqualTo(text);
    }

    @Test
    void makesConnectorsInOrderOfUseAndEmptyCavitiesFromTheFace() {
        Assembly assembly = WireList.read("from,to\nJ1.2,J2.1\nJ1.1,J2.2\nJ1.10,S1\n")
                .assembly("Pendant", AssemblyKind.CABLE, "", Map.of("J2", CavityLayout.grid(2, 2)));
        assertThat(assembly.connectors().get(0).pins()).containsExactly("1", "2", "10");
        assertThat(assembly.emptyCavities()).extracting(Terminal::name).containsExactly("J2.3", "J2.4");
        assertThat(assembly.jointTerminals()).containsExactly(Terminal.of("S1"));
        assertThatThrownBy(() -> WireList.read("from,to\nJ1.2,J2.1\nJ1.1,J2.2\n")
                        .assembly("Pendant", AssemblyKind.CABLE, "", Map.of("J2", CavityLayout.line(1))))
                .hasMessage("connector.connector_pins_but[J2, 2, 1]");
    }

    @Test
    void twoWiresMayShareACavity() {
        assertThat(WireList.read("from,to\nJ1.1,J2.1\nJ1.1,J3.1\n").isSound()).isTrue();
    }

    @Test
    void writesTheOpenFormat() {
        Assembly assembly = WireList.read("from,to,length_m,class,colour\nJ1.1,J2.1,8.2,vehicle,BU\n")
                .assembly("Pendant", AssemblyKind.CABLE, "", Map.of());
        assertThat(AssemblyJson.write(assembly))
                .contains("\"format\" : \"zesty-marten/assembly\"", "\"version\" : 1", "\"kind\" : \"cable\"")
                .contains("\"id\" : \"W1\"", "\"from\" : \"J1.1\"", "\"length_m\" : 8.2", "\"class\" : \"vehicle\"")
                .doesNotContain("max_ohm");
    }
}
