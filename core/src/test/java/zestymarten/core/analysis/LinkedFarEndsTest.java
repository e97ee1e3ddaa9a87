package zestymarten.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** All far ends linked together, read from the near side. */
class LinkedFarEndsTest {
    private static LinkedFarEnds.LinkedReading through(int first, int second, double ohm) {
        return new LinkedFarEnds.LinkedReading(first, second, true, OptionalDouble.of(ohm));
    }

    private static LinkedFarEnds.LinkedReading open(int first, int second) {
        return new LinkedFarEnds.LinkedReading(first, second, false, OptionalDouble.empty());
    }

    /** Reads what is due until nothing more is; broken wires read open. */
    private static LinkedFarEnds readAll(double[] own, Set<Integer> broken) {
        List<LinkedFarEnds.LinkedReading> reads = new ArrayList<>();
        Set<String> asked = new HashSet<>();
        boolean grown = true;
        while (grown) {
            grown = false;
            for (int[] pair : LinkedFarEnds.of(own.length, reads).due()) {
                if (asked.add(pair[0] + " " + pair[1])) {
                    boolean any = broken.contains(pair[0]) || broken.contains(pair[1]);
                    reads.add(any ? open(pair[0], pair[1]) : through(pair[0], pair[1], own[pair[0]] + own[pair[1]]));
                    grown = true;
                }
            }
        }
        return LinkedFarEnds.of(own.length, reads);
    }

    @Test
    void threeReadingsOfATriangleGiveEveryWireItsOwnOhms() {
        LinkedFarEnds farEnd = LinkedFarEnds.of(3, List.of(through(0, 1, 0.5), through(0, 2, 1.4), through(1, 2, 1.4)));
        assertThat(farEnd.ohm(0)).hasValue(0.25);
        assertThat(farEnd.ohm(1)).hasValue(0.25);
        assertThat(farEnd.ohm(2).orElseThrow()).isEqualTo(1.15, within(1e-12));
    }

    @Test
    void anyBrokenWiresAreToldAndAllOthersGetTheirOwnOhms() {
        for (int seed = 0; seed < 300; seed++) {
            Random random = new Random(seed);
            int wires = 3 + random.nextInt(12);
            double[] own = random.doubles(wires, 0.1, 5).toArray();
            Set<Integer> broken = new HashSet<>();
            int many = random.nextInt(wires - 2);
            while (broken.size() < many) {
                broken.add(random.nextInt(wires));
            }
            LinkedFarEnds farEnd = readAll(own, broken);
            for (int i = 0; i < wires; i++) {
                assertThat(farEnd.state(i))
                        .as("seed %d, wire %d", seed, i)
                        .isEqualTo(
                                broken.contains(i)
                                        ? LinkedFarEnds.FarEndState.BROKEN
                                        : LinkedFarEnds.FarEndState.WHOLE);
                if (!broken.contains(i)) {
                    assertThat(farEnd.ohm(i).orElseThrow()).isEqualTo(own[i], within(1e-9));
                }
            }
        }
    }

    @Test
    void whereNothingIsWholeNobodyKnowsWhichIsBroken() {
        LinkedFarEnds farEnd = readAll(new double[] {1, 1, 1}, Set.of(0, 1, 2));
        assertThat(farEnd.state(0)).isEqualTo(LinkedFarEnds.FarEndState.UNKNOWN);
        assertThat(farEnd.state(2)).isEqualTo(LinkedFarEnds.FarEndState.UNKNOWN);
    }

    @Test
    void twoWiresHaveNoTriangle() {
        LinkedFarEnds farEnd = readAll(new double[] {1, 2}, Set.of());
        assertThat(farEnd.state(0)).isEqualTo(LinkedFarEnds.FarEndState.WHOLE);
        assertThat(farEnd.ohm(0)).isEmpty();
    }

    @Test
    void aToneShowsAWayThroughButNoOhms() {
        LinkedFarEnds farEnd = LinkedFarEnds.of(
                3,
                List.of(
                        new LinkedFarEnds.LinkedReading(0, 1, true, OptionalDouble.empty()),
                        new LinkedFarEnds.LinkedReading(0, 2, true, OptionalDouble.empty())));
        assertThat(farEnd.state(1)).isEqualTo(LinkedFarEnds.FarEndState.WHOLE);
        assertThat(farEnd.ohm(1)).isEmpty();
    }
}
