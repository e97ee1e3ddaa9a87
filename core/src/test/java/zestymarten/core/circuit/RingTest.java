package zestymarten.core.circuit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;
import zestymarten.core.conductor.Breaker;
import zestymarten.core.quantity.English;

/** The worked ring: 46 m, line 2.5 mm², protective 1.5 mm², six outlets. */
class RingTest {
    static final Circuit RING = new Circuit(
            CircuitShape.RING,
            DoubleStream.of(6, 4.5, 7, 5, 8, 6.5, 9)
                    .mapToObj(metres -> new CableStretch(metres, 2.5, 1.5))
                    .toList(),
            List.of(),
            20);

    private static void reads(Pattern pattern, double... expected) {
        CircuitPrediction predicted = new CircuitPrediction(RING);
        assertThat(predicted
                        .of(
                                pattern,
                                new Spot(
                                        EndLink.LINE_PROTECTIVE,
                                        Circuit.end(ConductorRole.LINE, 'A'),
                                        Circuit.end(ConductorRole.PROTECTIVE, 'A')))
                        .orElseThrow())
                .isCloseTo(expected[0], within(0.00006));
        for (int i = 1; i <= 6; i++) {
            assertThat(predicted
                            .of(pattern, Spot.at(EndLink.LINE_PROTECTIVE, String.valueOf(i)))
                            .orElseThrow())
                    .as("outlet " + i)
                    .isCloseTo(expected[i], within(0.00006));
        }
    }

    @Test
    void endToEndAndCrossLinkedAreTheWorkedFigures() {
        CircuitPrediction predicted = new CircuitPrediction(RING);
        assertThat(predicted.good(Spot.ends(ConductorRole.LINE)).orElseThrow()).isCloseTo(0.3409, within(0.00006));
        assertThat(predicted.good(Spot.ends(ConductorRole.PROTECTIVE)).orElseThrow())
                .isCloseTo(0.5566, within(0.00006));
        reads(new Pattern.Good(), 0.2114, 0.2173, 0.2205, 0.2236, 0.2244, 0.2230, 0.2196);
    }

    @Test
    void everyPatternComesFromTheNetwork() {
        reads(new Pattern.WrongWay(EndLink.LINE_PROTECTIVE), 0, 0.1018, 0.1581, 0.2115, 0.2243, 0.2005, 0.1412);
        reads(
                new Pattern.ConductorBroken(ConductorRole.LINE, 3),
                0.5566,
                0.5285,
                0.5074,
                0.4745,
                0.4464,
                0.4839,
                0.5144);
        reads(new Pattern.Loose(ConductorRole.LINE, 2, 0.6), 0.3497, 0.3420, 0.3355, 0.3035, 0.3133, 0.3275, 0.3377);
    }

    @Test
    void aSpurAddsItsOwnTwoConductorsAndLeavesItsOutletAlone() {
        Circuit ring = new Circuit(
                CircuitShape.RING, RING.stretches(), List.of(new Spur(3, new CableStretch(12, 2.5, 1.5))), 20);
        CircuitPrediction predicted = new CircuitPrediction(ring);
        assertThat(ring.points()).containsExactly("1", "2", "3", "4", "5", "6", "3s");
        assertThat(predicted.good(Spot.at(EndLink.LINE_PROTECTIVE, "3s")).orElseThrow())
                .isCloseTo(0.4577, within(0.00006));
        assertThat(predicted.good(Spot.at(EndLink.LINE_PROTECTIVE, "3")).orElseThrow())
                .isCloseTo(0.2236, within(0.00006));
        assertThat(new CircuitPrediction(RING)
                        .of(new Pattern.OnSpur("3", 12), Spot.at(EndLink.LINE_PROTECTIVE, "3"))
                        .orElseThrow())
                .isCloseTo(0.4577, within(0.00006));
    }

    @Test
    void aSwapOrAMissingConductorLeavesNoWayThroughInTheStepThatNeedsIt() {
        CircuitPrediction predicted = new CircuitPrediction(RING);
        Pattern swap = new Pattern.Swapped("2", ConductorRole.LINE, ConductorRole.NEUTRAL);
        assertThat(predicted.of(swap, Spot.at(EndLink.LINE_PROTECTIVE, "2"))).isEmpty();
        assertThat(predicted.of(swap, Spot.at(EndLink.LINE_NEUTRAL, "2")).orElseThrow())
                .isCloseTo(predicted.good(Spot.at(EndLink.LINE_NEUTRAL, "2")).orElseThrow(), within(1e-5));
        assertThat(predicted.of(
                        new Pattern.Missing("2", ConductorRole.PROTECTIVE), Spot.at(EndLink.LINE_PROTECTIVE, "2")))
                .isEmpty();
        assertThat(predicted.of(
                        swap,
                        Spot.between(EndLink.LINE_PROTECTIVE, "2", ConductorRole.NEUTRAL, ConductorRole.PROTECTIVE)))
                .isPresent();
    }

    @Test
    void inServiceBothEndsFeedIt() {
        assertThat(new CircuitPrediction(RING).inService(ConductorRole.PROTECTIVE, "4"))
                .isCloseTo(0.2243, within(0.00006));
    }

    @Test
    void wherePointsShouldReadUnlikeEachIsComparedWithItsOwn() {
        Map<Spot, OptionalDouble> read = new LinkedHashMap<>();
        read.put(Spot.at(EndLink.LINE_PROTECTIVE, "1"), OptionalDouble.of(0.22));
        read.put(Spot.at(EndLink.LINE_PROTECTIVE, "4"), OptionalDouble.of(0.27));
        read.put(Spot.at(EndLink.LINE_PROTECTIVE, "5"), OptionalDouble.empty());
        List<CircuitComparison> all = CircuitComparison.all(RING, new CircuitReadings(read));
        assertThat(all).hasSize(15);
        assertThat(all.stream()
                        .map(CircuitComparison::state)
                        .filter(each -> each != CircuitComparison.ComparisonState.NOT_TESTED))
                .containsExactly(
                        CircuitComparison.ComparisonState.PASS,
                        CircuitComparison.ComparisonState.MARGINAL,
                        CircuitComparison.ComparisonState.FAIL);
        assertThat(English.of(all.get(9).expectedText())).isEqualTo("0.217 Ω");
        assertThat(English.of(all.get(13).readText())).isEqualTo("no continuity");
    }

    @Test
    void aBrokenLegLeavesTheOtherWithTheWholeCurrent() {
        assertThat(English.of(Legs.of(RING, 3).says(new Breaker(Breaker.Curve.B, 32), OptionalDouble.of(20))))
                .isEqualTo(
                        "End A feeds 3 points alone, end B 3 points. The B32 lets 32 A through one leg that was to carry a"
                                + " part of it, and may carry 20 A: 1.6 times that, and nothing cuts it off.");
    }
}
