package zestymarten.web.assembly;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.web.Site;
import zestymarten.web.Workshop;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Words;

/** What cells say, and what is wrong with which of them. */
@ExtendWith(Workshop.class)
class AssemblyGridTest {
    private static final Map<String, String> LAMP = Map.of(
            "name",
            "Lamp",
            "kind",
            "harness",
            "wires.0.from",
            "J1.1",
            "wires.0.to",
            "J2.1",
            "wires.0.metal",
            "copper",
            "wires.0.class",
            "5");

    private static AssemblyGrid.GridResult read(String... more) {
        Map<String, String> fields = new HashMap<>(LAMP);
        for (int i = 0; i < more.length; i += 2) {
            fields.put(more[i], more[i + 1]);
        }
        return new AssemblyGrid(fields).read();
    }

    private static Conductor wire(AssemblyGrid.GridResult result) {
        return result.assembly()
                .orElseThrow(() -> new AssertionError(result.problems()))
                .conductors()
                .get(0);
    }

    @Test
    void everyAssemblyOfTheDemonstrationComesBackAsItWas(Site site) {
        Assemblies assemblies = site.bean(Assemblies.class);
        for (AssemblyLine line : assemblies.page("", 0)) {
            Assembly assembly = assemblies.latest(line.id()).assembly();
            Assembly again = AssemblyGrid.of(assembly).read().assembly().orElseThrow();
            assertThat(again.conductors()).as(assembly.name()).isEqualTo(assembly.conductors());
            assertThat(again.components()).isEqualTo(assembly.components());
            assertThat(again.states()).isEqualTo(assembly.states());
            assertThat(again.bonded()).isEqualTo(assembly.bonded());
            assertThat(again.connectors())
                    .extracting(each -> each.face().text())
                    .isEqualTo(assembly.connectors().stream()
                            .map(each -> each.face().text())
                            .toList());
        }
    }

    @Test
    void rowsThatAPageDoesNotShowComeAlongAsOneText() {
        Map<String, String> typed = new HashMap<>(LAMP);
        for (int row = 0; row < 450; row++) {
            typed.put("wires." + row + ".id", "W" + row);
            typed.put("wires." + row + ".from", "J1." + row);
            typed.put("wires." + row + ".to", "J2." + row);
        }
        AssemblyGrid whole = new AssemblyGrid(typed);
        Map<String, String> sent = new HashMap<>(typed);
        sent.keySet().removeIf(name -> name.matches("wires\\.[1-9]\\d\\d\\..*"));
        sent.put(AssemblyGrid.BEYOND, whole.beyond());
        assertThat(AssemblyGrid.sent(sent)).isEqualTo(whole);
        sent.put("wires.300.id", "typed");
        assertThat(AssemblyGrid.sent(sent).field("wires.300.id"))
                .as("what is a field counts")
                .isEqualTo("typed");
        sent.put(AssemblyGrid.BEYOND, "[1, 2");
        assertThatThrownBy(() -> AssemblyGrid.sent(sent)).isInstanceOf(Refusal.class);
    }

    @Test
    void figuresAreReadAsTheyAreUsuallyWritten() {
        Conductor wire =
                wire(read("wires.0.length_m", "8 ft", "wires.0.area_mm2", "18 AWG", "wires.0.max_ohm", "400m"));
        assertThat(wire.lengthM().orElse(0)).isEqualTo(2.4384);
        assertThat(wire.areaMm2().orElse(0)).isBetween(0.82, 0.83);
        assertThat(wire.maxOhm().orElse(0)).isEqualTo(0.4);
        assertThat(wire(read("wires.0.length_m", "0,5")).lengthM().orElse(0)).isEqualTo(0.5);
    }

    @Test
    void aPartNeedsNoWireAndAPositionNamesWhatIsClosed() {
        AssemblyGrid.GridResult result = read(
                "parts.0.id",
                "K1",
                "parts.0.kind",
                "relay_contact",
                "parts.0.a",
                "J2.1",
                "parts.0.b",
                "J3.1",
                "parts.1.id",
                "N1",
                "parts.1.kind",
                "ntc",
                "parts.1.a",
                "J4.1",
                "parts.1.b",
                "J4.2",
                "parts.1.r25_ohm",
                "10k",
                "parts.1.beta_k",
                "3435",
                "positions.0.id",
                "rest",
                "positions.1.id",
                "operated",
                "positions.1.closed",
                "K1",
                "parts.2.kind",
                "fuse");
        Assembly assembly = result.assembly().orElseThrow(() -> new AssertionError(result.problems()));
        assertThat(assembly.components()).extracting(Component::id).containsExactly("K1", "N1");
        assertThat(assembly.components().get(1).r25Ohm().orElse(0)).isEqualTo(10_000);
        assertThat(assembly.states().get(1).closed()).containsExactly("K1");
    }

    @Test
    void everyProblemStandsAtItsCellThoughRowsBetweenAreEmpty() {
        assertThat(read(
                                "wires.3.id",
                                "W9",
                                "wires.3.from",
                                "J1.2",
                                "wires.3.to",
                                "J2.2",
                                "wires.3.length_m",
                                "far",
                                "parts.2.id",
                                "R1",
                                "parts.2.kind",
                                "resistor",
                                "parts.2.a",
                                "J5.1",
                                "parts.2.b",
                                "J5.1",
                                "connectors.1.id",
                                "J7",
                                "connectors.1.shape",
                                "grid",
                                "connectors.1.rows",
                                "0",
                                "connectors.1.columns",
                                "4")
                        .problems())
                .extracting(each -> Words.say(each.where()))
                .containsExactlyInAnyOrder("wires.3.length_m", "parts.2.id", "connectors.1.shape");
    }

    @Test
    void namesThatStandTwiceAndAWireToItselfAreRefused() {
        assertThat(read("wires.0.id", "W1", "wires.1.id", "W1", "wires.1.from", "J1.2", "wires.1.to", "J2.2")
                        .problems())
                .singleElement()
                .extracting(each -> Words.say(each.what()))
                .asString()
                .contains("'W1' is named twice");
        assertThat(read("wires.1.id", "W2", "wires.1.from", "J1.2", "wires.1.to", "J1.2")
                        .problems())
                .singleElement()
                .extracting(each -> Words.say(each.where()))
                .isEqualTo("wires.1.id");
        assertThat(read("positions.0.id", "on", "positions.0.closed", "K9").problems())
                .isNotEmpty();
    }
}
