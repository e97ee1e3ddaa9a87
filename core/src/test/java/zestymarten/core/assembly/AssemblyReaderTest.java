package zestymarten.core.assembly;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zestymarten.core.quantity.English;
import zestymarten.core.quantity.Problem;

/** The open format of a design, read and written. */
class AssemblyReaderTest {
    private static final String HEAD = "{\"format\":\"zesty-marten/assembly\",\"version\":1,\"name\":\"Desk\"";
    private static final String WHOLE = HEAD + """
            , "kind": "harness", "note": "under the desk",
            "connectors": [{"id": "J1", "name": "Desk plug", "place": "cab", "probing": "back", "mates_with": null,
              "access": {"minutes": 2, "harm": "open"}, "face": {"shape": "grid", "rows": 2, "columns": 2},
              "pins": ["1", "2"]}],
            "joints": [{"id": "S1", "kind": "splice", "probe": true, "max_ohm": 0.02}],
            "conductors": [
              {"id": "W1", "from": "J1.1", "to": "S1", "colour": "RD", "function": "lamp", "length_m": 2.5,
               "area_mm2": 0.75, "metal": "copper-coated", "class": 6, "zone": "fixed", "current_a": 2, "spare": false,
               "max_ohm": 0.4, "min_ohm": 0.01, "note": "hot"},
              {"from": "S1", "to": "J2.1", "class": "vehicle"},
              {"from": "J1.2", "to": "J2.2"}],
            "components": [
              {"id": "F1", "kind": "fuse", "a": "J2.2", "b": "J2.3", "max_ohm": 0.1},
              {"id": "SW1", "kind": "switch", "a": "J2.3", "b": "J2.4"},
              {"id": "RT1", "kind": "ntc", "a": "J2.5", "b": "J2.6", "r25_ohm": 10000, "beta_k": 3950, "tolerance": 0.05},
              {"id": "D1", "kind": "diode", "a": "J2.7", "b": "J2.8", "forward_v": 0.6}],
            "states": [{"id": "rest", "closed": []}, {"id": "held", "closed": ["SW1"]}],
            "frame": {"bonded": ["J1.2"]},
            "limits": {"max_ohm": 0.9, "heat_w": 5, "drop_v": 0.4, "round_ohm": 2}}
            """;

    private static Assembly read(String json) {
        List<Problem> problems = new ArrayList<>();
        Optional<Assembly> assembly = AssemblyReader.read(json, problems);
        assertThat(problems).isEmpty();
        return assembly.orElseThrow();
    }

    private static List<String> problems(String json) {
        List<Problem> problems = new ArrayList<>();
        assertThat(AssemblyReader.read(json, problems)).isEmpty();
        return problems.stream().map(each -> English.of(each.message())).toList();
    }

    @Test
    void readsEverythingThatTheFormatKnows() {
        Assembly desk = read(WHOLE);
        assertThat(desk.connectors()).extracting(Connector::id).containsExactly("J1", "J2");
        assertThat(desk.connector("J2").orElseThrow().pins()).containsExactly("1", "2", "3", "4", "5", "6", "7", "8");
        assertThat(desk.connector("J1").orElseThrow().face()).isEqualTo(CavityLayout.grid(2, 2));
        assertThat(desk.conductors()).extracting(Conductor::id).containsExactly("W1", "W2", "W3");
        assertThat(desk.conductors().get(1).strandClass()).isEqualTo(StrandClass.VEHICLE);
        assertThat(desk.joints().get(0).maxOhm()).hasValue(0.02);
        assertThat(desk.components())
                .extracting(Component::kind)
                .contains(Component.ComponentKind.NTC, Component.ComponentKind.DIODE);
        assertThat(desk.state("held").orElseThrow().closed()).containsExactly("SW1");
        assertThat(desk.bonded()).containsExactly(Terminal.of("J1.2"));
        assertThat(desk.allowances().heatW()).hasValue(5);
        assertThat(desk.withoutConductors().withPartsOf(desk).allowances()).isEqualTo(desk.allowances());
    }

    @Test
    void whatIsWrittenIsReadBackTheSame() {
        Assembly desk = read(WHOLE);
        assertThat(read(AssemblyJson.write(desk))).isEqualTo(desk);
    }

    @Test
    void aWireListAloneIsEnough() {
        Assembly lead = read(
                HEAD + ",\"conductors\":[{\"from\":\"J1.b\",\"to\":\"J2.a\"},{\"from\":\"J1.a\",\"to\":\"FRAME\"}]}");
        assertThat(lead.connector("J1").orElseThrow().pins()).containsExactly("b", "a");
        assertThat(lead.states()).containsExactly(SwitchState.REST);
        assertThat(read(HEAD + ",\"conductors\":[]}").terminals()).containsExactly(Terminal.FRAME);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "'conductors':[{'from':'J1.1','to':'J1.1'}] | conductors[0]: Conductor 'W1' runs from J1.1 to itself.",
                "'conductors':[{'from':'J1.1'}] | conductors[0].to: Expected a text; it is missing.",
                "'conductors':[{'from':'J1.1','to':'J2.1','length_m':'8'}] | conductors[0].length_m: “8” is not accepted; expected a number.",
                "'conductors':[{'from':'J 1','to':'J2.1'}] | conductors[0].from: “J 1” is not accepted; expected a terminal such as J1.3, a joint such as S1, or FRAME.",
                "'conductors':{} | conductors: “{}” is not accepted; expected a list.",
                "'kind':'rope' | kind: “rope” is not accepted; expected harness, cable, lead, circuit or device.",
                "'states':[{'id':'on','closed':['K1']}] | State 'on' closes 'K1', which is no switch, relay contact or breaker of the assembly.",
                "'states':[{'id':'on'},{'id':'on'}] | State 'on' is named twice.",
                "'components':[{'id':'R1','kind':'resistor','a':'J1.1','b':'J1.2'}] | components[0]: Component 'R1': a resistor needs its resistance, member 'ohm'.",
                "'components':[{'id':'R1','kind':'resistor','a':'J1.1','b':'J1.1','ohm':5}] | components[0]: Component 'R1' lies between J1.1 and itself.",
                "'connectors':[{'id':'J1','probing':'sideways'}] | connectors[0].probing: “sideways” is not accepted; expected one of back, front, screw.",
                "'connectors':[{'id':'J1','face':{'shape':'grid','rows':1,'columns':1},'pins':['1','2']}] | Connector J1 has 2 pins but its face only 1 cavity.",
                "'frame':{'bonded':['S1']} | Terminal S1 is bonded to the frame, but no connector of the assembly has it.",
                "'limits':{'heat_w':0} | limits.heat_w: 0 is not accepted; expected a figure above 0, such as 0.5.",
                "'limits':{'watts':3} | limits.watts: This member is not known. Known here: drop_v, heat_w, max_ohm, round_ohm.",
                "'joints':[{'id':'J1.1'}] | joints[0]: Joint J1.1 must have a name without a dot, such as S1."
            })
    void refusesWithThePathOfTheMember(String members, String expected) {
        assertThat(problems(HEAD + "," + members.replace('\'', '"') + "}")).containsExactly(expected);
    }

    @Test
    void whatCannotBePrintedIsRefusedBeforeItIsKept() {
        assertThat(problems(HEAD + ",\"note\":\"a\\u000bb\"}"))
                .containsExactly("note: There is a control character in this text; expected what can be printed.");
        assertThat(problems(HEAD + ",\"conductors\":[{\"from\":\"A.1\",\"to\":\"B.1\",\"note\":\"half \\ud800\"}]}"))
                .singleElement()
                .asString()
                .startsWith("conductors[0].note: There is a control character");
        assertThat(problems(HEAD + ",\"note\":\"" + "x".repeat(501) + "\"}"))
                .containsExactly("note: This text has 501 characters; expected at most 500.");
    }

    @Test
    void whatWasTakenInByAnEarlierVersionIsStillRead() {
        List<Problem> problems = new ArrayList<>();
        String old = HEAD + ",\"note\":\"" + "x".repeat(900) + "\\u000by\"}";
        assertThat(AssemblyReader.readStored(old, problems).orElseThrow().note())
                .isEqualTo("x".repeat(900) + "y");
        assertThat(problems).isEmpty();
    }

    @Test
    void anIntegerOfFourHundredDigitsIsANumberOfTheWrongSize() {
        assertThat(problems(HEAD + ",\"conductors\":[{\"from\":\"A.1\",\"to\":\"B.1\",\"length_m\":1" + "0".repeat(400)
                        + "}]}"))
                .singleElement()
                .asString()
                .startsWith("conductors[0].length_m: “1000");
    }

    @Test
    void aFloodOfWrongMembersIsNotGatheredWhole() {
        StringBuilder members = new StringBuilder();
        for (int i = 0; i < 50_000; i++) {
            members.append(",\"m").append(i).append("\":").append(i);
        }
        assertThat(problems(HEAD + members + "}")).hasSize(100);
        assertThat(problems(HEAD + ",\"conductors\":[" + "1,".repeat(50_000) + "1]}"))
                .hasSize(100);
    }

    @Test
    void refusesWhatIsNoDocument() {
        assertThat(problems("[]")).containsExactly("Expected a JSON object.");
        assertThat(problems("{\"format\":1")).singleElement().asString().startsWith("Not JSON: line 1, ");
        assertThat(problems("{\"format\":\"other\",\"version\":2,\"name\":\"x\"}"))
                .containsExactly(
                        "format: Expected 'zesty-marten/assembly'.", "version: Expected 1, the only version there is.");
        assertThat(problems(HEAD + ",\"name\":\"twice\"}"))
                .singleElement()
                .asString()
                .contains("Not JSON");
        assertThat(problems(HEAD + ",\"conductors\":[{\"from\":\"A.1\",\"to\":\"B.1\",\"length_m\":1e999}]}"))
                .singleElement()
                .asString()
                .startsWith("conductors[0].length_m: “Infinity” is not accepted");
    }
}
