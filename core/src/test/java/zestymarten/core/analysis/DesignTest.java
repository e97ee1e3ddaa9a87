package zestymarten.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyReader;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.judgement.Expectation;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.limit.Limit;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.network.Path;
import zestymarten.core.quantity.English;
import zestymarten.core.quantity.Problem;

/** What a good unit reads where parts, joints, states and links lie on the way. */
class DesignTest {
    private static final Assembly PANEL = read("""
            {"format": "zesty-marten/assembly", "version": 1, "name": "Panel", "kind": "device",
             "joints": [{"id": "S1", "max_ohm": 0.06}],
             "conductors": [
               {"id": "W1", "from": "J1.1", "to": "S1", "max_ohm": 0.1},
               {"id": "W2", "from": "S1", "to": "J2.1", "max_ohm": 0.1},
               {"id": "W3", "from": "J1.2", "to": "J2.2", "max_ohm": 0.2},
               {"id": "W4", "from": "J1.3", "to": "J2.3", "max_ohm": 0.2}],
             "components": [
               {"id": "K1", "kind": "relay_contact", "a": "J2.1", "b": "J2.2", "max_ohm": 0.05},
               {"id": "R1", "kind": "heater", "a": "J2.2", "b": "J2.3", "ohm": 24, "tolerance": 0.05},
               {"id": "D1", "kind": "diode", "a": "J1.1", "b": "J1.3", "forward_v": 0.6},
               {"id": "RT", "kind": "pt100", "a": "J3.1", "b": "J3.2"}],
             "states": [{"id": "idle"}, {"id": "on", "closed": ["K1"]}],
             "frame": {"bonded": ["J1.3"]}}
            """);

    private final Design design = Design.of(PANEL, 20);

    private static Assembly read(String json) {
        List<Problem> problems = new ArrayList<>();
        return AssemblyReader.read(json, problems).orElseThrow(() -> new AssertionError(problems));
    }

    private static Terminal at(String name) {
        return Terminal.of(name);
    }

    private SwitchState state(String id) {
        return PANEL.state(id).orElseThrow();
    }

    private Path.Ohmic way(String a, String b, SwitchState state, List<List<Terminal>> links) {
        Path path = design.path(at(a), at(b), state, links);
        assertThat(path).as(a + " to " + b).isInstanceOf(Path.Ohmic.class);
        return (Path.Ohmic) path;
    }

    @Test
    void aBondByItselfMayReadWhatAContactReads() {
        Expectation expected = design.expectation(at("J1.3"), Terminal.FRAME);
        assertThat(((Expectation.Joined) expected).limit().high().value()).isEqualTo(0.1);
    }

    @Test
    void aJointAddsItsOhmsOnceToEveryWayThroughIt() {
        assertThat(way("J1.1", "J2.1", state("idle"), List.of()).high().value()).isCloseTo(0.26, within(1e-12));
        Expectation.Joined joined = (Expectation.Joined) design.expectation(at("J1.1"), at("J2.1"));
        assertThat(joined.limit().high().value()).isCloseTo(0.26, within(1e-12));
        assertThat(joined.isBridged()).as("wires and joints are one net").isFalse();
    }

    @Test
    void aContactConductsInTheStatesThatCloseIt() {
        assertThat(design.path(at("J1.1"), at("J1.2"))).isInstanceOf(Path.Open.class);
        Path.Ohmic closed = way("J1.1", "J1.2", state("on"), List.of());
        assertThat(closed.high().value()).isCloseTo(0.26 + 0.05 + 0.2, within(1e-12));
        Expectation.Joined through =
                (Expectation.Joined) design.expectation(at("J2.1"), at("J2.2"), state("on"), List.of());
        assertThat(through.parts()).containsExactly("K1");
        assertThat(English.of(through.limit().derivation())).isEqualTo("Maximum 0.05 Ω: the figure given for K1.");
    }

    @Test
    void partsAreExpectedByTheirValueAndTemperature() {
        Expectation.Joined heater = (Expectation.Joined) design.expectation(at("J2.2"), at("J2.3"));
        assertThat(heater.limit().rule()).isEqualTo(Limit.Rule.PART);
        assertThat(English.of(heater.limit().derivation())).isEqualTo("22.8 Ω to 25.2 Ω: heater R1, 24 Ω ± 5 %.");
        Design warm = Design.of(PANEL, 100);
        assertThat(((Path.Ohmic) warm.path(at("J3.1"), at("J3.2"))).nominal().value())
                .isCloseTo(138.51, within(0.005));
        assertThat(English.of(((Expectation.Joined) warm.expectation(at("J3.1"), at("J3.2")))
                        .limit()
                        .derivation()))
                .isEqualTo("137.8 Ω to 139.2 Ω: Pt100 RT, 138.5 Ω ± 0.5 % (usual).");
    }

    @Test
    void tiedEndsAreWires() {
        List<List<Terminal>> linked = List.of(List.of(at("J2.1"), at("J2.2")));
        Expectation.Joined back =
                (Expectation.Joined) design.expectation(at("J1.1"), at("J1.2"), state("idle"), linked);
        assertThat(back.isBridged()).isFalse();
        assertThat(back.limit().high().value()).isCloseTo(0.46, within(1e-12));
    }

    @Test
    void aBondJoinsWithoutOhms() {
        assertThat(way("J1.3", "FRAME", state("idle"), List.of()).high().value())
                .isZero();
        assertThat(way("J2.3", "FRAME", state("idle"), List.of()).high().value())
                .isCloseTo(0.2, within(1e-12));
    }

    @Test
    void besideADiodeNothingIsConcluded() {
        TestConditions conditions = new TestConditions(
                20,
                new MeterProfile("meter", 0.005, 0.01, 30, false, 20e6),
                OptionalDouble.empty(),
                LeadPolicy.FULL,
                false,
                TestConditions.JOINED_BELOW_OHM);
        AnalysisReading reading =
                new AnalysisReading(at("J1.1"), at("J2.3"), "4M7", state("idle"), List.of(), OptionalDouble.empty());
        Analysis analysis = Analysis.of(design, conditions, List.of(reading));
        assertThat(analysis.findings()).isEmpty();
        assertThat(analysis.judgements().get(0).judgement().verdict()).isEqualTo(Verdict.UNDECIDED);
        assertThat(English.of(analysis.judgements().get(0).judgement().reason()))
                .isEqualTo("A diode lies between: an ohm range proves nothing either way. Read its forward voltage.");
        assertThat(analysis.state()).isEqualTo(Analysis.AnalysisState.INCOMPLETE);
    }

    @Test
    void knowsItsConductorsByName() {
        assertThat(design.conductor("W3").to()).isEqualTo(at("J2.2"));
        assertThatThrownBy(() -> design.conductor("W9")).hasMessage("Conductor 'W9' is not part of Panel.");
    }

    @Test
    void parallelWiresLoopsAndLonelyPinsAreDefined() {
        Assembly odd = read("""
                {"format": "zesty-marten/assembly", "version": 1, "name": "Odd",
                 "connectors": [{"id": "J9", "pins": ["1"]}],
                 "conductors": [
                   {"from": "J1.1", "to": "J2.1", "length_m": 10, "area_mm2": 1},
                   {"from": "J1.1", "to": "J2.1", "length_m": 10, "area_mm2": 1},
                   {"from": "J1.1", "to": "S1", "length_m": 10, "area_mm2": 1},
                   {"from": "S1", "to": "J2.1", "length_m": 10, "area_mm2": 1}],
                 "frame": {"bonded": ["J1.1", "J2.1"]}}
                """);
        Design design = Design.of(odd, 20);
        assertThat(((Path.Ohmic) design.path(at("J1.1"), at("J2.1"))).high().value())
                .as("both ends are bonded: a loop of 0 ohm")
                .isZero();
        assertThat(design.path(at("J9.1"), at("J1.1"))).isInstanceOf(Path.Open.class);
        assertThat(((Path.Ohmic) design.path(at("J9.1"), at("J9.1"))).high().value())
                .isZero();
        assertThat(((Path.Ohmic) design.path(at("S1"), Terminal.FRAME))
                        .nominal()
                        .value())
                .isCloseTo(0.017241 * 10 / 2, within(1e-12));
    }
}
