package zestymarten.core.fault;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyReader;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.Problem;

/** A desk harness of three wires, a fuse, a resistor and a switch, with one fault at a time. */
class FaultyUnitTest {
    private static final String DESK = """
            {"format": "zesty-marten/assembly", "version": 1, "name": "Desk",
             "conductors": [
               {"id": "W1", "from": "J1.1", "to": "J2.1", "length_m": 10, "area_mm2": 0.5},
               {"id": "W2", "from": "J1.2", "to": "J2.2", "length_m": 10, "area_mm2": 0.5},
               {"id": "W3", "from": "J1.3", "to": "J2.3", "max_ohm": 2}],
             "components": [
               {"id": "F1", "kind": "fuse", "a": "J2.1", "b": "J2.4", "max_ohm": 0.2},
               {"id": "R1", "kind": "resistor", "a": "J2.2", "b": "J2.4", "ohm": 120, "tolerance": 0.05},
               {"id": "SW1", "kind": "switch", "a": "J2.3", "b": "J2.5", "max_ohm": 0.2}],
             "states": [{"id": "rest", "closed": []}, {"id": "held", "closed": ["SW1"]}],
             "frame": {"bonded": ["J1.3"]}}
            """;

    private static final Assembly ASSEMBLY = assembly();
    private static final GoodUnit GOOD = GoodUnit.nominal(Design.of(ASSEMBLY, 20));
    private static final double WIRE = 0.017241 / 0.5 * 10;

    private static Assembly assembly() {
        List<Problem> problems = new ArrayList<>();
        return AssemblyReader.read(DESK, problems).orElseThrow(() -> new AssertionError(problems));
    }

    private static OptionalDouble read(String a, String b, String state, SeededFault... faults) {
        return FaultyUnit.of(GOOD, List.of(faults))
                .ohms(Terminal.of(a), Terminal.of(b), ASSEMBLY.state(state).orElseThrow(), List.of());
    }

    @Test
    void aGoodUnitReadsItsNominalOhmsAndHalfTheLimitWhereTheyAreNotKnown() {
        assertThat(read("J1.1", "J2.1", "rest").orElseThrow()).isCloseTo(WIRE, within(1e-9));
        assertThat(read("J1.3", "J2.3", "rest").orElseThrow()).isCloseTo(1, within(1e-9));
        assertThat(read("J1.3", "FRAME", "rest").orElseThrow()).isCloseTo(0, within(0.002));
        assertThat(read("J2.3", "J2.5", "rest")).isEmpty();
        assertThat(read("J2.3", "J2.5", "held").orElseThrow()).isCloseTo(0.1, within(1e-9));
        assertThat(read("J1.1", "J1.2", "rest").orElseThrow()).isCloseTo(2 * WIRE + 0.1 + 120, within(1e-6));
    }

    @Test
    void eachFaultOfAWireReadsAsItShould() {
        assertThat(read("J1.1", "J2.1", "rest", new SeededFault.Open("W1"))).isEmpty();
        assertThat(read("J1.1", "J2.1", "rest", new SeededFault.High("W1", 6)).orElseThrow())
                .isCloseTo(WIRE + 6, within(1e-9));
        assertThat(read("J1.1", "J2.1", "rest", new SeededFault.Intermittent("W1"))
                        .orElseThrow())
                .isCloseTo(WIRE, within(1e-9));
        SeededFault shorted = new SeededFault.Shorted(Terminal.of("J1.1"), Terminal.FRAME, 3);
        assertThat(read("J1.1", "FRAME", "rest", shorted).orElseThrow()).isCloseTo(3, within(1e-9));
        SeededFault moved = new SeededFault.Moved(Map.of("W1", Terminal.of("J2.2"), "W2", Terminal.of("J2.1")));
        assertThat(read("J1.1", "J2.2", "rest", moved).orElseThrow()).isCloseTo(WIRE, within(1e-9));
        assertThat(read("J1.3", "FRAME", "rest", new SeededFault.Unbonded(Terminal.of("J1.3"))))
                .isEmpty();
    }

    @Test
    void eachFaultOfAPartReadsAsItShould() {
        assertThat(read("J2.1", "J2.4", "rest", new SeededFault.PartOpen("F1"))).isEmpty();
        assertThat(read("J2.2", "J2.4", "rest", new SeededFault.PartShort("R1")).orElseThrow())
                .isLessThan(0.02);
        assertThat(read("J2.2", "J2.4", "rest", new SeededFault.PartValue("R1", 1.5))
                        .orElseThrow())
                .isCloseTo(180, within(1e-6));
        assertThat(read("J2.3", "J2.5", "rest", new SeededFault.PartStuck("SW1", true))
                        .orElseThrow())
                .isCloseTo(0.1, within(1e-9));
        assertThat(read("J2.3", "J2.5", "held", new SeededFault.PartStuck("SW1", false)))
                .isEmpty();
        assertThat(read("J2.3", "J2.5", "held", new SeededFault.PartStuck("SW1", true))
                        .orElseThrow())
                .isCloseTo(0.1, within(1e-9));
    }

    @Test
    void tiedEndsLeadFromWireToWire() {
        List<List<Terminal>> link = List.of(List.of(Terminal.of("J2.1"), Terminal.of("J2.2")));
        FaultyUnit good = FaultyUnit.of(GOOD, List.of());
        assertThat(good.ohms(Terminal.of("J1.1"), Terminal.of("J1.2"), SwitchState.REST, link)
                        .orElseThrow())
                .isCloseTo(2 * WIRE, within(1e-9));
        FaultyUnit broken = good.with(List.of(new SeededFault.Open("W2")));
        assertThat(broken.ohms(Terminal.of("J1.1"), Terminal.of("J1.2"), SwitchState.REST, link))
                .isEmpty();
    }

    @Test
    void aFaultWithoutASensibleFigureCannotBeMade() {
        assertThatThrownBy(() -> new SeededFault.High("W1", 0))
                .hasMessage("A fault's figure (0.0) must be finite and not below 0.");
        assertThatThrownBy(() -> new SeededFault.Shorted(Terminal.of("J1.1"), Terminal.FRAME, Double.NaN))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new SeededFault.PartValue("R1", Double.POSITIVE_INFINITY))
                .isInstanceOf(IllegalArgumentException.class);
    }

    private static TestConditions conditions(double accuracy) {
        return new TestConditions(
                20,
                new MeterProfile("meter", accuracy, 0.01, 30, false, 20e6),
                OptionalDouble.of(0.3),
                LeadPolicy.FULL,
                false,
                TestConditions.JOINED_BELOW_OHM);
    }

    private static String shows(String a, String b, SeededFault... faults) {
        Probe probe = new Probe(FaultyUnit.of(GOOD, List.of(faults)), conditions(0), new Random(1), 0);
        return probe.shows(Terminal.of(a), Terminal.of(b), SwitchState.REST, List.of());
    }

    @Test
    void whatIsTypedHasTheLeadsInItAndTheMetersFigures() {
        assertThat(shows("J1.1", "J2.1")).isEqualTo("0.64");
        assertThat(shows("J2.2", "J2.4")).isEqualTo("120.3");
        assertThat(shows("J2.3", "J2.5")).isEqualTo("OL");
        SeededFault leak = new SeededFault.Shorted(Terminal.of("J2.3"), Terminal.of("J2.5"), 47_123);
        assertThat(shows("J2.3", "J2.5", leak)).isEqualTo("47120");
        SeededFault beyond = new SeededFault.Shorted(Terminal.of("J2.3"), Terminal.of("J2.5"), 25e6);
        assertThat(shows("J2.3", "J2.5", beyond)).isEqualTo("OL");
    }

    @Test
    void someTouchesMakeNoContactAndABrokenCoreOpensNowAndThen() {
        Probe careless = new Probe(FaultyUnit.of(GOOD, List.of()), conditions(0.01), new Random(2), 0.1);
        Probe steady = new Probe(
                FaultyUnit.of(GOOD, List.of(new SeededFault.Intermittent("W1"))), conditions(0.01), new Random(2), 0);
        int bad = 0;
        int open = 0;
        TreeSet<String> shown = new TreeSet<>();
        for (int i = 0; i < 1000; i++) {
            String one = careless.shows(Terminal.of("J1.1"), Terminal.of("J2.1"), SwitchState.REST, List.of());
            bad += one.equals("OL") ? 1 : 0;
            shown.add(one);
            open += steady.shows(Terminal.of("J1.1"), Terminal.of("J2.1"), SwitchState.REST, List.of())
                            .equals("OL")
                    ? 1
                    : 0;
        }
        assertThat(bad).isBetween(60, 140);
        assertThat(open).isBetween(230, 370);
        assertThat(shown).contains("0.64", "0.65").doesNotContain("0.66", "0.63");
        assertThatThrownBy(() -> new Probe(FaultyUnit.of(GOOD, List.of()), conditions(0), new Random(1), 1.5))
                .hasMessage("The chance of a bad contact (1.5) must be from 0 to 1.");
    }
}
