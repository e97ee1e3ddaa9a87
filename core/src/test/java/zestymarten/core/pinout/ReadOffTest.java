package zestymarten.core.pinout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import zestymarten.core.assembly.Terminal;

class ReadOffTest {
    private static List<Terminal> pins(String connector, int count) {
        return IntStream.rangeClosed(1, count)
                .mapToObj(i -> Terminal.of(connector + "." + i))
                .toList();
    }

    /** Reads a unit off to the end and answers the measurements that it took. */
    private static int readOff(Map<Terminal, Terminal> unit, int near, int far, boolean linked) {
        List<ReadOff.PairAnswer> answers = new ArrayList<>();
        ReadOff state = ReadOff.of(pins("A", near), pins("B", far), linked, answers);
        while (state.next().isPresent()) {
            ReadOff.Ask ask = state.next().get();
            Terminal there = unit.get(ask.near());
            answers.add(new ReadOff.PairAnswer(ask, there != null && ask.far().contains(there)));
            state = ReadOff.of(pins("A", near), pins("B", far), linked, answers);
        }
        assertThat(state.wires()).isEqualTo(unit);
        assertThat(state.left()).isZero();
        return answers.size();
    }

    private static Map<Terminal, Terminal> random(int near, int far, int wires, Random random) {
        List<Terminal> from = new ArrayList<>(pins("A", near));
        List<Terminal> to = new ArrayList<>(pins("B", far));
        Collections.shuffle(from, random);
        Collections.shuffle(to, random);
        Map<Terminal, Terminal> unit = new HashMap<>();
        for (int i = 0; i < wires; i++) {
            unit.put(from.get(i), to.get(i));
        }
        return unit;
    }

    @Test
    void aStraightCableTakesOneTouchAWire() {
        Map<Terminal, Terminal> unit = new HashMap<>();
        for (int i = 1; i <= 12; i++) {
            unit.put(Terminal.of("A." + i), Terminal.of("B." + i));
        }
        assertThat(readOff(unit, 12, 12, false)).isEqualTo(12);
    }

    @Test
    void anyCableIsReadOffWithinItsBoundEitherWay() {
        for (int seed = 0; seed < 60; seed++) {
            Random random = new Random(seed);
            int near = 1 + random.nextInt(20);
            int far = 1 + random.nextInt(20);
            Map<Terminal, Terminal> unit = random(near, far, random.nextInt(Math.min(near, far) + 1), random);
            int bits = 32 - Integer.numberOfLeadingZeros(far);
            assertThat(readOff(unit, near, far, false)).isLessThanOrEqualTo(near * far);
            assertThat(readOff(unit, near, far, true)).isLessThanOrEqualTo(near * bits + unit.size());
        }
    }

    @Test
    void aFullCableTakesAtMostHalfOfAllPairs() {
        for (int seed = 0; seed < 20; seed++) {
            Map<Terminal, Terminal> unit = random(12, 12, 12, new Random(seed));
            assertThat(readOff(unit, 12, 12, false)).isLessThanOrEqualTo(12 * 13 / 2);
        }
    }

    @Test
    void becomesAWireList() {
        List<Terminal> near = pins("A", 2);
        List<Terminal> far = pins("B", 2);
        List<ReadOff.PairAnswer> answers = List.of(
                new ReadOff.PairAnswer(new ReadOff.Ask(near.get(0), List.of(far.get(0))), false),
                new ReadOff.PairAnswer(new ReadOff.Ask(near.get(0), List.of(far.get(1))), true),
                new ReadOff.PairAnswer(new ReadOff.Ask(near.get(1), List.of(far.get(0))), true));
        assertThat(ReadOff.of(near, far, false, answers).wireList())
                .isEqualToNormalizingNewlines("wire,from,to\nW1,A.1,B.2\nW2,A.2,B.1\n");
    }

    @Test
    void neitherNoPinsNorTooMany() {
        assertThatThrownBy(() -> ReadOff.of(List.of(), pins("B", 1), false, List.of()))
                .hasMessage("read_off.each_connector_have[200]");
        assertThatThrownBy(() -> ReadOff.of(pins("A", 201), pins("B", 1), false, List.of()))
                .hasMessage("read_off.each_connector_have[200]");
    }
}
