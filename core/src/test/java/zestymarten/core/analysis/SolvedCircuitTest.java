package zestymarten.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** What an ideal ohmmeter reads in a small circuit with loops and with ends that hang from them. */
class SolvedCircuitTest {
    private static NetworkFit.FitEdge edge(int a, int b) {
        return new NetworkFit.FitEdge(a, b, 1e-3, 1, 1e6, Double.POSITIVE_INFINITY);
    }

    private static SolvedCircuit circuit(int nodes, List<NetworkFit.FitEdge> edges) {
        boolean[] conducts = new boolean[edges.size()];
        Arrays.fill(conducts, true);
        return new SolvedCircuit(edges, IntStream.range(0, nodes).toArray(), conducts);
    }

    /** A ring of 3, 3 and 6 ohm between 0, 1 and 2; 0 - 3 - 4 hangs from it with 1 and 2 ohm, and 3 - 5 with 5 ohm. */
    @Test
    void anEndThatHangsFromALoopAddsItsOwnOhmsAndNoMore() {
        List<NetworkFit.FitEdge> edges =
                List.of(edge(0, 1), edge(1, 2), edge(2, 0), edge(0, 3), edge(3, 4), edge(3, 5));
        double[] ohm = {3, 3, 6, 1, 2, 5};
        SolvedCircuit ring = circuit(6, edges);
        assertThat(ring.between(0, 2, ohm, new double[6])).isCloseTo(3, within(1e-9));
        assertThat(ring.between(4, 2, ohm, new double[6])).isCloseTo(6, within(1e-9));
        double[] squares = new double[6];
        assertThat(ring.between(4, 5, ohm, squares)).as("beside the loop").isCloseTo(7, within(1e-9));
        assertThat(squares).containsExactly(0, 0, 0, 0, 1, 1);
        assertThat(ring.loopedAt(4)).containsExactlyInAnyOrder(0, 1, 2);
    }

    /** Foster: over all edges of a connected circuit the shares of current through each edge add up to nodes less one. */
    @Test
    void theReadingsOfAllEdgesOverTheirOhmsAddUpToTheNodesLessOne() {
        Random random = new Random(5);
        for (int round = 0; round < 60; round++) {
            int nodes = 3 + random.nextInt(8);
            List<NetworkFit.FitEdge> edges = new ArrayList<>();
            for (int node = 1; node < nodes; node++) {
                edges.add(edge(random.nextInt(node), node));
            }
            for (int more = random.nextInt(4); more > 0; more--) {
                int a = random.nextInt(nodes);
                edges.add(edge(a, (a + 1 + random.nextInt(nodes - 1)) % nodes));
            }
            double[] ohm = edges.stream()
                    .mapToDouble(each -> 0.1 + 10 * random.nextDouble())
                    .toArray();
            SolvedCircuit circuit = circuit(nodes, edges);
            double sum = 0;
            for (int e = 0; e < edges.size(); e++) {
                double[] squares = new double[edges.size()];
                double read = circuit.between(edges.get(e).a(), edges.get(e).b(), ohm, squares);
                double heat = 0;
                for (int other = 0; other < squares.length; other++) {
                    heat += squares[other] * ohm[other];
                }
                assertThat(heat).as("one ampere makes the heat of what is read").isCloseTo(read, within(1e-6));
                sum += read / ohm[e];
            }
            assertThat(sum).as("round %d", round).isCloseTo(nodes - 1, within(1e-6));
        }
    }
}
