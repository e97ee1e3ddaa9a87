package zestymarten.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.BitSet;
import java.util.List;
import org.junit.jupiter.api.Test;

class SeparationsTest {
    private final Separations separations = new Separations();

    @Test
    void whatIsPartedIsPartedBothWays() {
        separations.add(List.of(1, 2), List.of(5, 7));
        assertThat(separations.parted(1, 7)).isTrue();
        assertThat(separations.parted(7, 1)).isTrue();
        assertThat(separations.parted(1, 2)).isFalse();
        assertThat(separations.parted(5, 7)).isFalse();
        assertThat(separations.parted(3, 4)).isFalse();
    }

    @Test
    void namesWhatIsLeftOnceEach() {
        separations.add(List.of(1), List.of(2));
        BitSet all = new BitSet();
        all.set(1, 5);
        assertThat(separations.notParted(1, all)).containsExactly(3, 4);
        assertThat(separations.notParted(2, all)).containsExactly(3, 4);
        assertThat(separations.notParted(4, all)).isEmpty();
        assertThat(all.cardinality()).as("the set asked about is left alone").isEqualTo(4);
    }

    /** The two groups by each bit of the number: n groups are all parted by log2 n measurements. */
    @Test
    void halvesPartEverythingInFewTouches() {
        int groups = 1000;
        for (int bit = 1; bit < groups; bit <<= 1) {
            BitSet zeros = new BitSet();
            BitSet ones = new BitSet();
            for (int i = 0; i < groups; i++) {
                ((i & bit) == 0 ? zeros : ones).set(i);
            }
            separations.add(
                    zeros.stream().boxed().toList(), ones.stream().boxed().toList());
        }
        BitSet all = new BitSet();
        all.set(0, groups);
        for (int i = 0; i < groups; i++) {
            assertThat(separations.notParted(i, all)).isEmpty();
        }
    }
}
