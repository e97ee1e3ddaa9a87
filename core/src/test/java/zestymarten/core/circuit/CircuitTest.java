package zestymarten.core.circuit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import zestymarten.core.assembly.Metal;
import zestymarten.core.quantity.English;

/** What a circuit is, and the laws that its predictions keep. */
class CircuitTest {
    private static Circuit ring(int outlets, double metres, double line, double protective) {
        return new Circuit(
                CircuitShape.RING,
                IntStream.rangeClosed(0, outlets)
                        .mapToObj(i -> new CableStretch(metres, line, protective))
                        .toList(),
                List.of(),
                20);
    }

    private static Circuit random(Random random, boolean ring) {
        int outlets = 3 + random.nextInt(12);
        List<CableStretch> stretches = new ArrayList<>();
        for (int i = 0; i < outlets + (ring ? 1 : 0); i++) {
            stretches.add(new CableStretch(1 + 12 * random.nextDouble(), 2.5, random.nextBoolean() ? 1.5 : 2.5));
        }
        List<Spur> spurs = List.of(new Spur(1 + random.nextInt(outlets), new CableStretch(5, 1.5, 1.5)));
        return new Circuit(ring ? CircuitShape.RING : CircuitShape.RADIAL, stretches, spurs, 15 + random.nextInt(20));
    }

    private static double r(double metres, double ohmPerMetre) {
        return metres * ohmPerMetre;
    }

    @Test
    void crossLinkedAndWronglyLinkedReadAsTheFormulasOfAUniformRingSay() {
        Circuit ring = ring(9, 5, 2.5, 1.5);
        CircuitPrediction predicted = new CircuitPrediction(ring);
        double r1 = r(50, 0.00741);
        double r2 = r(50, 0.0121);
        for (int i = 1; i <= 9; i++) {
            double x = i / 10.0;
            Spot spot = Spot.at(EndLink.LINE_PROTECTIVE, String.valueOf(i));
            assertThat(predicted.good(spot).orElseThrow())
                    .isCloseTo((x * r1 + (1 - x) * r2) * ((1 - x) * r1 + x * r2) / (r1 + r2), within(1e-5));
            assertThat(predicted
                            .of(new Pattern.WrongWay(EndLink.LINE_PROTECTIVE), spot)
                            .orElseThrow())
                    .isCloseTo(x * (1 - x) * (r1 + r2), within(1e-5));
        }
    }

    @Test
    void conductorsOfOneSectionReadAlikeAllTheWayRound() {
        CircuitPrediction predicted = new CircuitPrediction(ring(8, 6, 2.5, 2.5));
        double quarter = 2 * r(54, 0.00741) / 4;
        for (int i = 1; i <= 8; i++) {
            assertThat(predicted
                            .good(Spot.at(EndLink.LINE_PROTECTIVE, String.valueOf(i)))
                            .orElseThrow())
                    .isCloseTo(quarter, within(1e-5));
        }
    }

    @Test
    void aLooseJointLowersNoReadingAndTheShortcutForItIsTheWholeNetwork() {
        Random random = new Random(11);
        for (int round = 0; round < 40; round++) {
            boolean isRing = round % 3 > 0;
            Circuit circuit = random(random, isRing);
            CircuitPrediction predicted = new CircuitPrediction(circuit);
            List<Spot> spots = new ArrayList<>(RecognisedPattern.steps(circuit));
            spots.add(Spot.at(EndLink.LINE_NEUTRAL_AT_A, "2"));
            Pattern.Loose loose = new Pattern.Loose(
                    List.of(ConductorRole.LINE, ConductorRole.NEUTRAL, ConductorRole.PROTECTIVE)
                            .get(random.nextInt(3)),
                    random.nextInt(circuit.stretches().size()),
                    0.05 + 3 * random.nextDouble());
            double[] quick = predicted.at(spots).of(loose);
            for (int i = 0; i < spots.size(); i++) {
                OptionalDouble whole = predicted.of(loose, spots.get(i));
                OptionalDouble good = predicted.good(spots.get(i));
                assertThat(quick[i]).as(English.of(spots.get(i).words())).isCloseTo(whole.orElseThrow(), within(1e-6));
                assertThat(whole.getAsDouble()).isGreaterThanOrEqualTo(good.orElseThrow() - 1e-9);
            }
        }
    }

    @Test
    void anInterconnectionRaisesNothingAndAnOpenLegLowersNothing() {
        Random random = new Random(12);
        for (int round = 0; round < 30; round++) {
            Circuit circuit = random(random, true);
            CircuitPrediction predicted = new CircuitPrediction(circuit);
            int to = 3 + random.nextInt(circuit.outlets() - 2);
            Pattern joined = new Pattern.Interconnected(1, to, 3);
            Pattern open = new Pattern.ConductorBroken(
                    ConductorRole.NEUTRAL, random.nextInt(circuit.stretches().size()));
            for (Spot spot : RecognisedPattern.steps(circuit)) {
                double good = predicted.good(spot).orElseThrow();
                assertThat(predicted.of(joined, spot).orElseThrow()).isLessThanOrEqualTo(good + 1e-9);
                predicted.of(open, spot).ifPresent(ohm -> assertThat(ohm).isGreaterThanOrEqualTo(good - 1e-9));
            }
        }
    }

    @Test
    void beyondABreakNothingAnswersWhereOneEndIsLinked() {
        Circuit ring = ring(6, 5, 2.5, 1.5);
        CircuitPrediction predicted = new CircuitPrediction(ring);
        Pattern open = new Pattern.ConductorBroken(ConductorRole.LINE, 3);
        for (int i = 1; i <= 6; i++) {
            assertThat(predicted
                            .of(open, Spot.at(EndLink.LINE_PROTECTIVE_AT_A, String.valueOf(i)))
                            .isPresent())
                    .as("point " + i)
                    .isEqualTo(i <= 3);
        }
    }

    @Test
    void aRadialIsReadFromItsOneLink() {
        Circuit radial = new Circuit(
                CircuitShape.RADIAL,
                List.of(new CableStretch(10, 2.5, 1.5), new CableStretch(5, 1.5, 1.5)),
                List.of(),
                20);
        CircuitPrediction predicted = new CircuitPrediction(radial);
        assertThat(predicted.good(Spot.at(EndLink.LINE_PROTECTIVE, "2")).orElseThrow())
                .isCloseTo(r(10, 0.00741) + r(10, 0.0121) + 2 * r(5, 0.0121), within(1e-5));
        assertThat(predicted.inService(ConductorRole.PROTECTIVE, "2"))
                .isCloseTo(predicted.good(Spot.at(EndLink.LINE_PROTECTIVE, "2")).orElseThrow(), within(1e-9));
        assertThat(RecognisedPattern.steps(radial)).hasSize(4);
    }

    /** IEC 60228, class 2, aluminium: 25 mm² 1.20, 16 mm² 1.91, 10 mm² 3.08 Ω/km at 20 °C; 0.00403 per kelvin. */
    @Test
    void anAluminiumCableWithANeutralOfItsOwnIsReadByItsTable() {
        CableStretch cable = new CableStretch(30, 25, 16, 10, Metal.ALUMINIUM);
        CircuitPrediction warm = new CircuitPrediction(new Circuit(CircuitShape.RADIAL, List.of(cable), List.of(), 20));
        assertThat(warm.good(Spot.at(EndLink.LINE_NEUTRAL, "1")).orElseThrow())
                .isCloseTo(0.030 * (1.20 + 1.91), within(1e-5));
        assertThat(warm.good(Spot.at(EndLink.LINE_PROTECTIVE, "1")).orElseThrow())
                .isCloseTo(0.030 * (1.20 + 3.08), within(1e-5));
        CircuitPrediction cold = new CircuitPrediction(new Circuit(CircuitShape.RADIAL, List.of(cable), List.of(), 5));
        assertThat(cold.good(Spot.at(EndLink.LINE_PROTECTIVE, "1")).orElseThrow())
                .isCloseTo(0.1284 * (1 - 15 * 0.00403), within(1e-5));
    }

    @Test
    void aRadialOfUnknownLengthWithASmallerNeutralIsAsLongAsLineToNeutralSays() {
        CableStretch cable = new CableStretch(6, 2.5, 1.5, 1.5, Metal.COPPER);
        Circuit drawn = new Circuit(CircuitShape.RADIAL, List.of(cable, cable), List.of(), 20, Lengths.UNKNOWN);
        Map<Spot, OptionalDouble> read = Map.of(
                Spot.at(EndLink.LINE_NEUTRAL, "1"), OptionalDouble.of(10 * (0.00741 + 0.0121)),
                Spot.at(EndLink.LINE_NEUTRAL, "2"), OptionalDouble.of(25 * (0.00741 + 0.0121)));
        Circuit sized = Lengths.sized(drawn, new CircuitReadings(read));
        assertThat(sized.metresTo(1)).isCloseTo(10, within(0.01));
        assertThat(sized.metresTo(2)).isCloseTo(25, within(0.01));
        assertThat(sized.stretches().get(1).neutralMm2()).isEqualTo(1.5);
    }

    @Test
    void pointsAndPlacesHaveNames() {
        CableStretch cable = new CableStretch(4, 2.5, 1.5);
        Circuit ring = new Circuit(
                CircuitShape.RING,
                List.of(cable, cable, cable),
                List.of(new Spur(2, cable), new Spur(1, cable), new Spur(2, cable)),
                20);
        assertThat(ring.points()).containsExactly("1", "2", "2s", "1s", "2t");
        assertThat(English.of(ring.where(0))).isEqualTo("between the origin and point 1");
        assertThat(English.of(ring.where(2))).isEqualTo("between point 2 and the origin");
        assertThat(ring.metresTo(2)).isEqualTo(8);
        assertThat(ring.metres()).isEqualTo(12);
        assertThat(English.of(Spot.ends(ConductorRole.PROTECTIVE).words()))
                .isEqualTo("protective conductor from end to end");
        assertThat(English.of(Spot.at(EndLink.LINE_NEUTRAL, "2s").words()))
                .isEqualTo("line to neutral at point 2s, with line to neutral linked at the origin");
        assertThat(Spot.between(EndLink.LINE_PROTECTIVE, "1", ConductorRole.NEUTRAL, ConductorRole.PROTECTIVE)
                        .point())
                .isEqualTo("1");
    }

    @Test
    void whatCannotBeIsRefusedWithWhatCould() {
        CableStretch cable = new CableStretch(4, 2.5, 1.5);
        assertThatThrownBy(() -> new CableStretch(0, 2.5, 1.5))
                .hasMessage("bounds.above_zero[cable_stretch.what_length, 0 m, 1 km]");
        assertThatThrownBy(() -> new CableStretch(4, 2.5, Double.NaN))
                .hasMessage("bounds.above_zero[cable_stretch.what_section_of_the_protective_conductor, NaN, 1000 mm²]");
        assertThatThrownBy(() -> new Circuit(CircuitShape.RING, List.of(cable), List.of(), 20))
                .hasMessage("circuit.circuit_outlets_read[60, 0]");
        assertThatThrownBy(() ->
                        new CableStretch(4, 2.5, 2.5, 1.5, Metal.of("brass").orElseThrow()))
                .hasMessage("cable_stretch.cable_building_copper[brass]");
        assertThatThrownBy(() -> new Circuit(CircuitShape.RING, List.of(cable, cable), List.of(new Spur(2, cable)), 20))
                .hasMessage("circuit.spur_leaves_outlet[2, 1]");
        assertThatThrownBy(() -> new Spur(0, cable)).hasMessage("spur.spur_leaves_outlet[0]");
        assertThatThrownBy(() -> new Circuit(CircuitShape.RING, List.of(cable, cable), List.of(), 200))
                .hasMessage("circuit.temperature_out_of_range[200 °C]");
        assertThatThrownBy(() -> new Supply(
                        0,
                        OptionalDouble.empty(),
                        java.util.Optional.empty(),
                        OptionalDouble.empty(),
                        0.05,
                        OptionalDouble.empty()))
                .hasMessage("supply.supply_volts_above[0 V]");
        assertThatThrownBy(() -> new Supply(
                        230,
                        OptionalDouble.empty(),
                        java.util.Optional.empty(),
                        OptionalDouble.empty(),
                        1,
                        OptionalDouble.empty()))
                .hasMessage("supply.voltage_that_may[100 %]");
    }

    @Test
    void everyPatternHasItsWords() {
        Circuit ring = ring(4, 5, 2.5, 1.5);
        assertThat(English.of(new Pattern.Loose(ConductorRole.NEUTRAL, 1, 0.634).says(ring)))
                .isEqualTo(
                        "A joint of the neutral is loose between point 1 and point 2, about 0.63 Ω too much. Remake both of"
                                + " its ends.");
        assertThat(English.of(new Pattern.OnSpur("3", 11.7).says(ring)))
                .isEqualTo("Point 3 hangs on the circuit by about 12 m of cable: it is on a spur that was not drawn.");
        assertThat(English.of(new Pattern.Interconnected(1, 4, 2.04).says(ring)))
                .isEqualTo(
                        "Points 1 and 4 are joined by about 2 m of cable that was not drawn: a figure of eight, which would hide a"
                                + " broken leg. Find it and take it out.");
        assertThat(English.of(new Pattern.Missing("2", ConductorRole.PROTECTIVE).says(ring)))
                .isEqualTo(
                        "The protective conductor does not reach point 2. Do not put it into use: a fault there would stay live.");
        assertThat(English.of(new Pattern.Longer(1.5).says(ring)))
                .startsWith(
                        "All of it has 150 % of the resistance expected: the cable is longer than drawn, about 38 m")
                .endsWith("See whether a fault at its end is still cut off.");
        assertThat(new Pattern.Swapped("2", ConductorRole.LINE, ConductorRole.NEUTRAL).kind())
                .isEqualTo("swapped polarity");
        assertThat(new Pattern.Longer(0.6).kind()).isEqualTo("shorter than drawn");
    }
}
