package zestymarten.core.locate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import zestymarten.core.locate.Chain.BetweenPoints;
import zestymarten.core.locate.Chain.ChainStretch;
import zestymarten.core.locate.Chain.ChainWay;

/** A collector chain: strip, core, ferrule, stud, busbar, brush, and one of them has ohms that it should not have. */
class ChainTest {
    private static Chain alike(int stretches) {
        return new Chain(IntStream.range(0, stretches)
                .mapToObj(i -> new ChainStretch("S" + i, "P" + i, 1, 0.01, 10))
                .toList());
    }

    @Test
    void everyWayFindsEveryCulprit() {
        for (int n = 1; n <= 17; n++) {
            Chain chain = alike(n);
            for (int culprit = 0; culprit < n; culprit++) {
                for (ChainWay way : ChainWay.values()) {
                    BetweenPoints known = chain.all();
                    for (int at : chain.probes(way, culprit)) {
                        double ohm = chain.maxOhm(at) - 0.001 * (at + 1) + (culprit <= at ? 0.5 : 0);
                        known = chain.after(known, at, ohm);
                    }
                    assertThat(known).as(way + " of " + n).isEqualTo(new BetweenPoints(culprit, culprit));
                }
            }
        }
    }

    @Test
    void halvingTakesTheLogarithmAndTheOthersHalfOfTheStretches() {
        Chain sixteen = alike(16);
        assertThat(sixteen.expectedProbes(ChainWay.HALVING)).isCloseTo(4, within(1e-9));
        assertThat(sixteen.expectedProbes(ChainWay.NEAREST)).isCloseTo(135.0 / 16, within(1e-9));
        assertThat(sixteen.expectedProbes(ChainWay.FARTHEST)).isCloseTo(135.0 / 16, within(1e-9));
        assertThat(alike(1).expectedProbes(ChainWay.HALVING)).isZero();
        assertThat(alike(1).next(alike(1).all(), ChainWay.NEAREST)).isEmpty();
    }

    @Test
    void weighedHalvingGoesWhereTheFaultLikelyIsAndWhereItIsEasyToReach() {
        Chain worn = new Chain(List.of(
                new ChainStretch("strip", "A", 1, 0.01, 10),
                new ChainStretch("core", "B", 1, 0.01, 10),
                new ChainStretch("ferrule", "C", 1, 0.01, 10),
                new ChainStretch("stud", "D", 1, 0.01, 10),
                new ChainStretch("busbar", "E", 1, 0.01, 10),
                new ChainStretch("brush", "F", 15, 0.01, 10)));
        assertThat(worn.next(worn.all(), ChainWay.HALVING)).hasValue(2);
        assertThat(worn.next(worn.all(), ChainWay.WEIGHED))
                .as("all but the brush on one side")
                .hasValue(4);
        assertThat(worn.expectedProbes(ChainWay.WEIGHED)).isLessThan(worn.expectedProbes(ChainWay.HALVING));
        Chain hidden = new Chain(List.of(
                new ChainStretch("strip", "A", 1, 0.01, 10),
                new ChainStretch("core", "B", 1, 0.01, 600),
                new ChainStretch("ferrule", "C", 1, 0.01, 10),
                new ChainStretch("stud", "D", 1, 0.01, 10)));
        assertThat(hidden.next(hidden.all(), ChainWay.HALVING)).hasValue(1);
        assertThat(hidden.next(hidden.all(), ChainWay.WEIGHED))
                .as("not behind the cover")
                .isNotEqualTo(java.util.Optional.of(1));
    }

    @Test
    void aStretchWithoutMeaningIsRefused() {
        assertThatThrownBy(() -> new ChainStretch("stud", "D", -1, 0.01, 10))
                .hasMessage(
                        "Stretch 'stud': likelihood (-1.0) and resistance (0.01) must not be below 0, and the time to reach it"
                                + " (10.0 s) above 0.");
        assertThatThrownBy(() -> new Chain(List.of())).hasMessage("A chain has one stretch at least.");
    }
}
