package zestymarten.core.locate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import zestymarten.core.locate.Distances.DistanceReading;
import zestymarten.core.quantity.English;
import zestymarten.core.quantity.Message;

/** A fault is put somewhere on a run, its readings are calculated from the line's own equations, and it is found again. */
class DistancesTest {
    private static final double LENGTH = 120;
    private static final double OHM_PER_METRE = 0.0133;
    private static final double FARAD_PER_METRE = 95e-12;

    private static DistanceReading exact(double value) {
        return DistanceReading.exact(value);
    }

    @Test
    void everyWayFindsAFaultWhereverItWasPut() {
        SplittableRandom random = new SplittableRandom(4);
        for (int i = 0; i < 200; i++) {
            double d = LENGTH * random.nextDouble();
            double fault = 5 * random.nextDouble();
            double core = OHM_PER_METRE * LENGTH;
            double near = OHM_PER_METRE * d;
            DistanceReading r = exact(OHM_PER_METRE);
            double m = near / (2 * core - near);
            assertThat(List.of(
                            Distances.openByBothCapacitances(
                                    LENGTH, exact(FARAD_PER_METRE * d), exact(FARAD_PER_METRE * (LENGTH - d))),
                            Distances.openByGoodCore(
                                    LENGTH, exact(FARAD_PER_METRE * d), exact(FARAD_PER_METRE * LENGTH)),
                            Distances.shortByBothOhms(
                                    LENGTH, exact(2 * near + fault), exact(2 * (core - near) + fault), r),
                            Distances.earthByOhms(LENGTH, exact(2 * core - near + fault), exact(near + fault), r),
                            Distances.varley(LENGTH, exact(2 * core - 2 * near), exact(2 * core)),
                            Distances.murray(LENGTH, exact(m)),
                            Distances.shortByLoop(
                                    LENGTH, exact(2 * near + fault), exact(2 * (core - near) + fault), exact(2 * core)),
                            Distances.earthByLoop(
                                    LENGTH, exact(2 * core - near + fault), exact(near + fault), exact(2 * core)),
                            Distances.openByMetre(LENGTH, exact(FARAD_PER_METRE * d), exact(FARAD_PER_METRE)),
                            Distances.pulseByGood(LENGTH, exact(d / 2e8), exact(50), exact(50 / 2e8)),
                            Distances.pulseByBoth(LENGTH, exact(d / 2e8), exact((LENGTH - d) / 2e8)),
                            Distances.murrayUnlike(LENGTH, exact(m), exact(2 * core), r),
                            Distances.pulse(LENGTH, exact(0.66), exact(2 * d / (0.66 * 299_792_458))),
                            Distances.liftOut(LENGTH, exact(d))))
                    .allSatisfy(each -> {
                        assertThat(each.metres()).as(English.of(each.by())).isCloseTo(d, within(1e-6));
                        assertThat(English.all(each.assumes())).isNotEmpty();
                    });
            assertThat(Distances.shortOhm(LENGTH, 2 * near + fault, 2 * (core - near) + fault, OHM_PER_METRE))
                    .isCloseTo(fault, within(1e-9));
        }
    }

    @Test
    void theIntervalHoldsTheFaultAndGrowsWithTheReadingsDoubt() {
        SplittableRandom random = new SplittableRandom(9);
        int inside = 0;
        for (int i = 0; i < 500; i++) {
            double d = 10 + 100 * random.nextDouble();
            double c1 = FARAD_PER_METRE * d;
            double c2 = FARAD_PER_METRE * (LENGTH - d);
            Distance found = Distances.openByBothCapacitances(
                    LENGTH,
                    new DistanceReading(c1 * (1 + 0.02 * (2 * random.nextDouble() - 1)), 0.02 * c1),
                    new DistanceReading(c2 * (1 + 0.02 * (2 * random.nextDouble() - 1)), 0.02 * c2));
            inside += d >= found.from() && d <= found.to() ? 1 : 0;
        }
        assertThat(inside).as("of 500, with errors up to what is said").isGreaterThan(430);
        Distance sure = Distances.varley(LENGTH, new DistanceReading(2, 0.01), new DistanceReading(4, 0.01));
        Distance doubtful = Distances.varley(LENGTH, new DistanceReading(2, 0.1), new DistanceReading(4, 0.1));
        assertThat(doubtful.doubtM()).isCloseTo(10 * sure.doubtM(), within(0.1));
    }

    @Test
    void aResultOutsideOfTheRunSaysThatSomethingIsWrong() {
        assertThatThrownBy(() -> Distances.openByGoodCore(LENGTH, exact(2e-9), exact(1e-9)))
                .hasMessage("distance.fault_beyond_run[240 m, 120 m]");
        assertThatThrownBy(() -> Distances.varley(LENGTH, exact(5), exact(4)))
                .hasMessage("distance.fault_before_end[30 m]");
        assertThatThrownBy(() -> Distances.openByBothCapacitances(LENGTH, exact(0), exact(0)))
                .hasMessage("distances.these_readings_give");
        assertThatThrownBy(() -> Distances.murray(-1, exact(1))).hasMessage("distance.length_run_above[-1 m]");
        assertThatThrownBy(() -> new DistanceReading(Double.NaN, 0))
                .hasMessage("distances.reading_its_uncertainty[NaN, 0]");
    }

    @Test
    void waysThatAgreeMakeItNarrowerAndWaysThatContradictGiveNothing() {
        Distance one = new Distance(50, 4, LENGTH, Message.verbatim("one"), List.of());
        Distance other = new Distance(52, 4, LENGTH, Message.verbatim("other"), List.of());
        Distance far = new Distance(90, 4, LENGTH, Message.verbatim("far"), List.of());
        Distance agreed = Distances.together(List.of(one, other));
        assertThat(agreed.metres()).isCloseTo(51, within(1e-9));
        assertThat(agreed.doubtM()).isCloseTo(4 / Math.sqrt(2), within(1e-9));
        assertThat(Distances.areConsistent(List.of(one, far))).isFalse();
        assertThatThrownBy(() -> Distances.together(List.of(one, far))).hasMessage("distances.these_ways_contradict");
        Distance weighed =
                Distances.together(List.of(new Distance(50, 1, LENGTH, Message.verbatim("sure"), List.of()), other));
        assertThat(weighed.metres()).isCloseTo(50 + 2.0 / 17, within(1e-9));
    }

    /** A cable 6 % above its nominal resistance, and one at the limit of its standard: the loop takes that out. */
    @Test
    void theLoopReadTakesOutWhatTheCableHasAboveItsNominalResistance() {
        for (double above : new double[] {1, 1.06, 1.09}) {
            double r = OHM_PER_METRE * above;
            double d = 20;
            Distance byLoop = Distances.earthByLoop(
                    LENGTH, exact(r * (2 * LENGTH - d) + 3), exact(r * d + 3), exact(2 * r * LENGTH));
            assertThat(byLoop.metres()).isCloseTo(d, within(1e-9));
            Distance byDesign = Distances.earthByOhms(
                    LENGTH,
                    exact(r * (2 * LENGTH - d) + 3),
                    exact(r * d + 3),
                    new DistanceReading(OHM_PER_METRE, 0.1 * OHM_PER_METRE));
            assertThat(d).as("the interval holds it").isBetween(byDesign.from(), byDesign.to());
        }
    }

    @Test
    void withoutTheLoopAndWithoutADesignThereIsNoDistance() {
        List<Optional<DistanceReading>> reads =
                List.of(Optional.of(exact(4)), Optional.of(exact(2.6)), Optional.empty());
        assertThatThrownBy(() ->
                        Calculation.EARTH_OHMS.distance(new Calculation.CableRun(LENGTH, Optional.empty()), reads))
                .hasMessage("calculation.core_not_known");
        assertThat(Calculation.EARTH_OHMS
                        .distance(new Calculation.CableRun(LENGTH, Optional.of(exact(OHM_PER_METRE))), reads)
                        .metres())
                .isCloseTo(120 - 1.4 / 0.0266, within(1e-9));
        assertThatThrownBy(() -> Calculation.VARLEY.distance(
                        new Calculation.CableRun(LENGTH, Optional.empty()), List.of(Optional.of(exact(1)))))
                .hasMessageContaining("needs 2 readings");
    }

    @Test
    void everyWaySaysWhatItNeedsAndOfWhichFaultItIs() {
        for (Calculation each : Calculation.values()) {
            assertThat(each.inputs()).isNotEmpty();
            assertThat(each.inputs().get(0).needed()).isTrue();
            assertThat(each.fault().canBe(each.fault())).isTrue();
        }
        assertThat(Calculation.VARLEY.fault().canBe(Calculation.OPEN_BOTH_ENDS.fault()))
                .isFalse();
        assertThat(Calculation.PULSE.fault().canBe(Calculation.OPEN_BOTH_ENDS.fault()))
                .isTrue();
    }
}
