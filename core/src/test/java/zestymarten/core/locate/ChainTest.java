package zestymarten.core.locate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import zestymarten.core.locate.Chain.Between;
import zestymarten.core.locate.Chain.Stretch;
import zestymarten.core.locate.Chain.Way;

/** A collector chain: strip, core, ferrule, stud, busbar, brush, and one of them has ohms that it should not have. */
class ChainTest {
    private static Chain alike(int stretches) {
        return new Chain(IntStream.range(0, stretches)
                .mapToObj(i -> new Stretch("S" + i, "P" + i, 1, 0.01, 10))
                .toList());
    }

    @Test
    void everyWayFindsEveryCulprit() {
        for (int n = 1; n <= 17; n++) {
            Chain chain = alike(n);
            for (int culprit = 0; culprit < n; culprit++) {
                for (Way way : Way.values()) {
                    Between known = chain.all();
                    for (int at : chain.probes(way, culprit)) {
                        double ohm = chain.mostOhm(at) - 0.001 * (at + 1) + (culprit <= at ? 0.5 : 0);
                        known = chain.after(known, at, ohm);
                    }
                    assertThat(known).as(way + " of " + n).isEqualTo(new Between(culprit, culprit));
                }
            }
        }
    }

    @Test
    void halvingTakesTheLogarithmAndTheOthersHalfOfTheStretches() {
        Chain sixteen = alike(16);
        assertThat(sixteen.expectedProbes(Way.HALVING)).isCloseTo(4, within(1e-9));
        assertThat(sixteen.expectedProbes(Way.NEAREST)).isCloseTo(135.0 / 16, within(1e-9));
        assertThat(sixteen.expectedProbes(Way.FARTHEST)).isCloseTo(135.0 / 16, within(1e-9));
        assertThat(alike(1).expectedProbes(Way.HALVING)).isZero();
        assertThat(alike(1).next(alike(1).all(), Way.NEAREST)).isEmpty();
    }

    @Test
    void weighedHalvingGoesWhereTheFaultLikelyIsAndWhereItIsEasyToReach() {
        Chain worn = new Chain(List.of(
                new Stretch("strip", "A", 1, 0.01, 10),
                new Stretch("core", "B", 1, 0.01, 10),
                new Stretch("ferrule", "C", 1, 0.01, 10),
                new Stretch("stud", "D", 1, 0.01, 10),
                new Stretch("busbar", "E", 1, 0.01, 10),
                new Stretch("brush", "F", 15, 0.01, 10)));
        assertThat(worn.next(worn.all(), Way.HALVING)).hasValue(2);
        assertThat(worn.next(worn.all(), Way.WEIGHED))
                .as("all but the brush on one side")
                .hasValue(4);
        assertThat(worn.expectedProbes(Way.WEIGHED)).isLessThan(worn.expectedProbes(Way.HALVING));
        Chain hidden = new Chain(List.of(
                new Stretch("strip", "A", 1, 0.01, 10),
                new Stretch("core", "B", 1, 0.01, 600),
                new Stretch("ferrule", "C", 1, 0.01, 10),
                new Stretch("stud", "D", 1, 0.01, 10)));
        assertThat(hidden.next(hidden.all(), Way.HALVING)).hasValue(1);
        assertThat(hidden.next(hidden.all(), Way.WEIGHED))
                .as("not behind the cover")
                .isNotEqualTo(java.util.Optional.of(1));
    }

    @Test
    void aStretchWithoutMeaningIsRefused() {
        assertThatThrownBy(() -> new Stretch("stud", "D", -1, 0.01, 10))
                .hasMessage(
                        "Stretch 'stud': likelihood (-1.0) and resistance (0.01) must not be below 0, and the time to reach it"
                                + " (10.0 s) above 0.");
        assertThatThrownBy(() -> new Chain(List.of())).hasMessage("A chain has one stretch at least.");
    }
}
