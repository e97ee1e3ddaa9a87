package zestymarten.web.circuit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Collections;
import java.util.HashMap;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zestymarten.core.assembly.Metal;
import zestymarten.core.circuit.CableStretch;
import zestymarten.core.circuit.Circuit;
import zestymarten.core.circuit.CircuitReadings;
import zestymarten.core.circuit.ConductorRole;
import zestymarten.core.circuit.EndLink;
import zestymarten.core.circuit.Spot;
import zestymarten.core.circuit.Spur;
import zestymarten.core.circuit.Tests;
import zestymarten.web.platform.ProblemView;
import zestymarten.web.platform.TypedForm;
import zestymarten.web.platform.Words;

/** The fields of a circuit, one by one. */
class CircuitFormTest {
    private static Circuit circuit(TypedForm typed) {
        return new CircuitForm(typed).circuit();
    }

    @Test
    void stretchesAndSpursHaveTheCircuitsSectionsUnlessTheySayOtherwise() {
        TypedForm typed = new TypedForm(Map.of(
                "outlets",
                "2",
                "line",
                "4",
                "protective",
                "2.5",
                "s1",
                "6",
                "s2",
                "7,5 2.5/1.5",
                "spurs",
                "1:3; 2:4 1.5/1.5"));
        Circuit circuit = circuit(typed);
        assertThat(circuit.stretches())
                .containsExactly(
                        new CableStretch(6, 4, 2.5), new CableStretch(7.5, 2.5, 1.5), new CableStretch(6, 4, 2.5));
        assertThat(circuit.spurs())
                .containsExactly(new Spur(1, new CableStretch(3, 4, 2.5)), new Spur(2, new CableStretch(4, 1.5, 1.5)));
        assertThat(typed.isSound()).isTrue();
    }

    @Test
    void metalAndNeutralAreThoseOfTheCircuitUnlessAStretchSaysOtherwise() {
        TypedForm typed = new TypedForm(Map.of(
                "kind",
                "radial",
                "outlets",
                "3",
                "metal",
                "aluminium",
                "line",
                "25",
                "neutral",
                "16",
                "protective",
                "10",
                "s1",
                "30",
                "s2",
                "12 16/10",
                "s3",
                "8 25/16/16"));
        assertThat(circuit(typed).stretches())
                .containsExactly(
                        new CableStretch(30, 25, 16, 10, Metal.ALUMINIUM),
                        new CableStretch(12, 16, 16, 10, Metal.ALUMINIUM),
                        new CableStretch(8, 25, 16, 16, Metal.ALUMINIUM));
        assertThat(typed.isSound()).isTrue();
        TypedForm other = new TypedForm(Map.of("metal", "gold"));
        assertThat(circuit(other).stretches().get(0).metal()).isEqualTo(Metal.COPPER);
        assertThat(other.isSound()).isFalse();
    }

    @Test
    void everySpotHasAFieldAndIsReadFromIt() {
        Spot more = Spot.at(EndLink.LINE_PROTECTIVE_AT_A, "2");
        assertThat(CircuitForm.field(Spot.ends(ConductorRole.NEUTRAL))).isEqualTo("end_N");
        assertThat(CircuitForm.field(Spot.at(EndLink.LINE_NEUTRAL, "2s"))).isEqualTo("n_2s");
        assertThat(CircuitForm.field(more)).isEqualTo("more_LINE_PROTECTIVE_AT_A.L.P.2");
        TypedForm typed = new TypedForm(Map.of(
                "outlets",
                "3",
                "leads",
                "0.1",
                "end_L",
                "0.44",
                "p_3",
                "OL",
                "n_1",
                ">20M",
                CircuitForm.field(more),
                "0.35"));
        CircuitReadings readings = new CircuitForm(typed).readings(circuit(typed));
        assertThat(readings.ohm(Spot.ends(ConductorRole.LINE)).orElseThrow()).isCloseTo(0.34, within(1e-9));
        assertThat(readings.ohms()).containsEntry(Spot.at(EndLink.LINE_PROTECTIVE, "3"), OptionalDouble.empty());
        assertThat(readings.ohms()).containsEntry(Spot.at(EndLink.LINE_NEUTRAL, "1"), OptionalDouble.empty());
        assertThat(readings.ohm(more).orElseThrow()).isCloseTo(0.25, within(1e-9));
        assertThat(readings.ohms()).hasSize(4);
    }

    @Test
    void fieldsThatNoPageOfOursHasAreLeftAlone() {
        TypedForm typed = new TypedForm(Map.of(
                "more_x", "1", "more_APART.L.P.1", "0.3", "more_NONE.L.P.1", "1", "more_LINE_NEUTRAL.L.N.99", "1"));
        CircuitForm form = new CircuitForm(typed);
        assertThat(form.more(circuit(typed))).hasSize(1);
        assertThat(typed.isSound()).isTrue();
    }

    @Test
    void whatMakesNoSenseIsSaidFieldByField() {
        TypedForm typed = new TypedForm(Map.of(
                "outlets", "2.5", "spurs", "x", "p_1", "tone", "i_LINE_NEUTRAL", "n", "device", "B", "rated", "500"));
        CircuitForm form = new CircuitForm(typed);
        form.tests(circuit(typed));
        new SupplyForm(typed).supply();
        assertThat(typed.problems())
                .extracting(each -> Words.say(each.what()))
                .containsExactly(
                        "“2.5” is not accepted; expected a whole number from 1 to 60.",
                        "“x” is not accepted; expected the point it leaves and its metres, such as 3:12, with sections 3:12 4/2.5.",
                        "“n” is not accepted; expected a resistance such as 200M, or >999M.",
                        "A tone is not a reading: the meter beeps on a loose joint as well. Read the resistance.",
                        "A breaker's rated current (500 A) must be above 0 and at most 125 A.");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "spurs | 5:3 | “5:3” is not accepted; expected an outlet from 1 to 2, and at most 8 spurs on one.",
                "s2 | 0 | “0” is not accepted. A stretch’s length (0 m) must be above 0 and at most 1 km.",
                "s1 | 5000 | “5000” is not accepted. A stretch’s length (5 km) must be above 0 and at most 1 km.",
                "s1 | 6 0/2 | “6 0/2” is not accepted. A stretch’s section of the line (0 mm²) must be above 0 and at most"
                        + " 1000 mm².",
                "celsius | 180 | “180” is not accepted; expected a cable from -50 to 150 °C.",
                "line | 0 | “0” is not accepted; expected the section in mm², such as 0.75, or a gauge such as 20 AWG or 250 kcmil.",
                "protective | 9999 | “9999” is not accepted; expected a section above 0 and at most 1000 mm², such as 2.5, or a"
                        + " gauge such as 12 AWG."
            })
    void whatMakesNoCircuitIsSaidAtItsFieldAndEveryOtherFieldStays(String field, String text, String refused) {
        TypedForm typed = new TypedForm(Map.of("outlets", "2", field, text, "n_1", "0.21"));
        Circuit circuit = circuit(typed);
        assertThat(circuit.outlets()).isEqualTo(2);
        assertThat(ProblemView.all(typed.problems())).containsExactly(new ProblemView(field, refused));
        assertThat(typed.text("n_1")).isEqualTo("0.21");
    }

    @Test
    void nineSpursOnOneOutletAreRefusedAndEightAreDrawn() {
        String eight = String.join("; ", Collections.nCopies(8, "1:3"));
        assertThat(circuit(new TypedForm(Map.of("outlets", "2", "spurs", eight)))
                        .points())
                .contains("1z");
        TypedForm nine = new TypedForm(Map.of("outlets", "2", "spurs", eight + "; 1:3"));
        assertThat(circuit(nine).spurs()).hasSize(8);
        assertThat(nine.problems()).hasSize(1);
    }

    @Test
    void readingsOfPointsThatAreNoLongerThereAreKeptAndNamed() {
        TypedForm typed =
                new TypedForm(Map.of("outlets", "2", "kind", "radial", "n_3", "0.4", "p_2", "0.3", "end_L", "0.5"));
        CircuitForm form = new CircuitForm(typed);
        assertThat(form.beyond(form.circuit())).containsExactly("end_L", "n_3");
    }

    @Test
    void readingsOfTheOtherLinesStayInTheFormWhereThereIsOneLine() {
        Map<String, String> fields = Map.of("outlets", "1", "n2_1", "0.4", "n3_1", "0.3", "i_LINES", ">999M");
        TypedForm radial = new TypedForm(with(fields, "kind", "radial"));
        assertThat(new CircuitForm(radial).beyond(circuit(radial))).containsExactly("i_LINES", "n2_1", "n3_1");
        TypedForm three = new TypedForm(with(fields, "kind", "three-phase"));
        CircuitForm form = new CircuitForm(three);
        assertThat(form.beyond(form.circuit())).isEmpty();
        assertThat(form.readings(form.circuit()).ohm(Spot.at(EndLink.LINE_2_NEUTRAL, "1")))
                .hasValue(0.4);
        assertThat(form.tests(form.circuit()).insulation()).containsKey(Tests.TestPair.LINES);
    }

    @Test
    void aReadingThatWasAskedForBetweenOtherLinesStaysInTheFormToo() {
        String field = "more_LINE_1_NEUTRAL.L2.P.1";
        Map<String, String> fields = Map.of("outlets", "1", field, "0.4", "n_1", "0.3");
        TypedForm radial = new TypedForm(with(fields, "kind", "radial"));
        CircuitForm form = new CircuitForm(radial);
        assertThat(form.beyond(form.circuit())).containsExactly(field);
        assertThat(form.readings(form.circuit()).ohms()).hasSize(1);
        TypedForm three = new TypedForm(with(fields, "kind", "three-phase"));
        assertThat(new CircuitForm(three).beyond(circuit(three))).isEmpty();
        assertThat(new CircuitForm(three).readings(circuit(three)).ohms()).hasSize(2);
    }

    private static Map<String, String> with(Map<String, String> fields, String field, String text) {
        Map<String, String> all = new HashMap<>(fields);
        all.put(field, text);
        return all;
    }
}
