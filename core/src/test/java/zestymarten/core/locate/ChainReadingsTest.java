package zestymarten.core.locate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import zestymarten.core.locate.Chain.ChainStretch;
import zestymarten.core.locate.Chain.ChainWay;
import zestymarten.core.locate.ChainReadings.ChainState;
import zestymarten.core.locate.ChainReadings.Contradiction;
import zestymarten.core.locate.ChainReadings.Segment;

/** Six stretches of at most 26.6 milliohm in a row, read with a meter of 10 milliohm. */
class ChainReadingsTest {
    private static final double MAX = 0.0266;
    private static final double OPEN = Double.POSITIVE_INFINITY;

    private static final Chain SIX = new Chain(IntStream.range(0, 6)
            .mapToObj(i -> new ChainStretch("K" + i, "P" + i, 1, MAX, 5))
            .toList());

    private static ChainReadings read(Map<Integer, Double> ohms) {
        return ChainReadings.of(SIX, ohms, ohm -> 0.008 * ohm + 0.02);
    }

    @Test
    void everyStretchWithTooMuchIsTold() {
        ChainReadings both = read(Map.of(0, 0.02, 1, 0.04, 2, 0.30, 3, 0.32, 4, 0.34, 5, 0.864));
        assertThat(both.tooMuch().stream().map(Segment::first)).containsExactly(2, 5);
        assertThat(both.shares().get(2) + both.shares().get(5)).isCloseTo(1, within(1e-6));
        assertThat(both.next(ChainWay.HALVING)).isEmpty();
    }

    @Test
    void aStretchBeyondItsOwnLimitIsTooMuchAlthoughTheWholeIsWithin() {
        ChainReadings one = read(Map.of(0, 0.02, 1, 0.07, 2, 0.09, 3, 0.11, 4, 0.13, 5, 0.15));
        assertThat(one.tooMuch().stream().map(Segment::first)).containsExactly(1);
        assertThat(one.isGood()).isFalse();
    }

    @Test
    void aReadingThatFallsFartherOnContradicts() {
        ChainReadings falls = read(Map.of(0, 0.5, 2, 0.05));
        assertThat(falls.contradictions()).containsExactly(new Contradiction(0, 2));
        assertThat(falls.next(ChainWay.WEIGHED)).as("again").hasValue(0);
        assertThat(falls.isGood()).isFalse();
        assertThat(read(Map.of(1, OPEN, 4, 0.1)).contradictions()).containsExactly(new Contradiction(1, 4));
        assertThat(read(Map.of(0, 0.02, 1, 0.01)).contradictions())
                .as("two counts are nothing")
                .isEmpty();
    }

    @Test
    void aWholeWithinItsLimitCanHideAStretch() {
        ChainReadings whole = read(Map.of(5, 0.15));
        Segment all = whole.segments().get(0);
        assertThat(all.state()).isEqualTo(ChainState.WITHIN);
        assertThat(whole.mayHide(all)).isPresent();
        assertThat(whole.isGood()).isFalse();
        assertThat(whole.next(ChainWay.HALVING)).isPresent();
        ChainReadings little = read(Map.of(5, 0.02));
        assertThat(little.mayHide(little.segments().get(0)))
                .as("not even all of it would be too much")
                .isEmpty();
    }

    @Test
    void behindAnOpenNothingIsKnown() {
        ChainReadings open = read(Map.of(1, 0.04, 3, OPEN, 5, OPEN));
        assertThat(open.segments().stream().map(Segment::state))
                .containsExactly(ChainState.WITHIN, ChainState.TOO_MUCH, ChainState.UNKNOWN);
        assertThat(open.next(ChainWay.HALVING)).hasValue(2);
    }

    @Test
    void beforeAnyReadingTheLikelihoodsAreThoseOfTheChain() {
        ChainReadings none = read(Map.of());
        assertThat(none.shares()).allSatisfy(each -> assertThat(each).isCloseTo(1.0 / 6, within(1e-9)));
        assertThat(none.next(ChainWay.HALVING)).hasValue(2);
        assertThat(none.isGood()).isFalse();
    }

    @Test
    void everyGoodStretchReadByItselfIsGoodAndNothingIsLeftToProbe() {
        Map<Integer, Double> all = new HashMap<>();
        IntStream.range(0, 6).forEach(i -> all.put(i, 0.02 * (i + 1)));
        assertThat(read(all).isGood()).isTrue();
        assertThat(read(all).next(ChainWay.WEIGHED)).isEmpty();
        assertThat(read(all).shares()).containsOnly(0.0);
    }

    /** Random chains with one or two bad stretches, probed as proposed until nothing is proposed any more. */
    @Test
    void followingWhatIsProposedFindsABadStretchAndNeverBlamesAGoodOne() {
        SplittableRandom random = new SplittableRandom(17);
        for (int trial = 0; trial < 400; trial++) {
            int size = 2 + random.nextInt(12);
            double[] real = new double[size];
            for (int i = 0; i < size; i++) {
                real[i] = MAX * (0.3 + 0.6 * random.nextDouble());
            }
            int bad = random.nextInt(size);
            real[bad] = size * MAX + 2 * random.nextDouble();
            Chain chain = new Chain(IntStream.range(0, size)
                    .mapToObj(i -> new ChainStretch("K" + i, "P" + i, 0.2 + random.nextDouble(), MAX, 5))
                    .toList());
            Map<Integer, Double> read = new HashMap<>(Map.of(size - 1, sum(real, size - 1)));
            ChainReadings known = ChainReadings.of(chain, read, ohm -> 0.001);
            for (int probes = 0; known.next(ChainWay.WEIGHED).isPresent(); probes++) {
                assertThat(probes).isLessThan(size);
                int at = known.next(ChainWay.WEIGHED).orElseThrow();
                read.put(at, sum(real, at));
                known = ChainReadings.of(chain, read, ohm -> 0.001);
            }
            assertThat(known.tooMuch().stream().map(Segment::first)).containsExactly(bad);
            assertThat(known.shares().get(bad)).isGreaterThan(0.99);
        }
    }

    private static double sum(double[] ohms, int last) {
        return IntStream.rangeClosed(0, last).mapToDouble(i -> ohms[i]).sum();
    }

    @Test
    void whatCannotBeIsRefused() {
        assertThatThrownBy(() -> read(Map.of(6, 0.1))).hasMessage("chain_readings.reading_stretch_below[0.1 Ω, 6, 6]");
        assertThatThrownBy(() -> read(Map.of(1, -0.1)))
                .hasMessage("chain_readings.reading_stretch_below[-0.1 Ω, 1, 6]");
    }
}
