package zestymarten.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.quantity.Ohms;

class NetworkTest {
    private static final double[] STRETCHES = {6, 4.5, 7, 5, 8, 6.5, 9};
    private static final double LINE = 7.41e-3;
    private static final double PROTECTIVE = 12.1e-3;

    /** A ring final circuit: line and protective conductor round seven stretches, its two ends apart. */
    private static List<Link> ring() {
        List<Link> links = new ArrayList<>();
        for (int i = 0; i < STRETCHES.length; i++) {
            links.add(link("L" + i, "L" + (i + 1), STRETCHES[i] * LINE));
            links.add(link("P" + i, "P" + (i + 1), STRETCHES[i] * PROTECTIVE));
        }
        return links;
    }

    private static Link link(String a, String b, double ohm) {
        return new Link(Terminal.of(a), Terminal.of(b), Ohms.of(ohm * 0.9), Ohms.of(ohm), Ohms.of(ohm * 1.1));
    }

    private static Link jumper(String a, String b) {
        return new Link(Terminal.of(a), Terminal.of(b), Ohms.of(0), Ohms.of(0), Ohms.of(0));
    }

    private static double nominal(List<Link> links, String a, String b) {
        return Network.of(links)
                .between(Terminal.of(a), Terminal.of(b))
                .fold(ohmic -> ohmic.nominal().value(), () -> Double.NaN);
    }

    private static void assertOutlets(List<Link> links, double... expected) {
        for (int i = 0; i < expected.length; i++) {
            assertThat(nominal(links, "L" + i, "P" + i)).as("outlet %d", i).isCloseTo(expected[i], within(0.00005));
        }
    }

    @Test
    void readsARingWhoseEndsAreLinkedCrosswise() {
        List<Link> links = ring();
        links.add(jumper("L0", "P7"));
        links.add(jumper("P0", "L7"));
        assertOutlets(links, 0.2114, 0.2173, 0.2205, 0.2236, 0.2244, 0.2230, 0.2196);
        links.add(link("L3", "L9", 12 * LINE));
        links.add(link("P3", "P9", 12 * PROTECTIVE));
        assertThat(nominal(links, "L9", "P9")).isCloseTo(0.4577, within(0.00005));
        assertThat(nominal(links, "L3", "P3")).isCloseTo(0.2236, within(0.00005));
    }

    @Test
    void readsARingWhoseEndsAreLinkedTheWrongWayRound() {
        List<Link> links = ring();
        links.add(jumper("L0", "L7"));
        links.add(jumper("P0", "P7"));
        links.add(jumper("L0", "P0"));
        assertOutlets(links, 0, 0.1018, 0.1581, 0.2115, 0.2243, 0.2005, 0.1412);
    }

    @Test
    void readsABrokenRingHighAtEveryOutlet() {
        List<Link> links = ring();
        links.remove(6); // the line's fourth stretch
        links.add(jumper("L0", "P7"));
        links.add(jumper("P0", "L7"));
        assertOutlets(links, 0.5566, 0.5285, 0.5074, 0.4745, 0.4464, 0.4839, 0.5144);
    }

    @Test
    void aTieMergesItsEndsAndALoopOfTiesIsHarmless() {
        List<Link> links = List.of(jumper("A", "B"), jumper("B", "C"), jumper("C", "A"), link("C", "D", 2));
        assertThat(nominal(links, "A", "C")).isZero();
        assertThat(nominal(links, "A", "D")).isEqualTo(2);
    }

    @Test
    void parallelWiresHalve() {
        assertThat(nominal(List.of(link("A", "B", 3), link("A", "B", 3)), "A", "B"))
                .isCloseTo(1.5, within(1e-12));
    }

    @Test
    void isOpenWhereThereIsNoWayAndZeroFromATerminalToItself() {
        Network network = Network.of(List.of(link("A", "B", 1), link("C", "D", 1)));
        assertThat(network.between(Terminal.of("A"), Terminal.of("C"))).isEqualTo(new Path.Open());
        assertThat(network.between(Terminal.of("A"), Terminal.of("X"))).isEqualTo(new Path.Open());
        assertThat(nominal(List.of(), "X", "X")).isZero();
    }

    @Test
    void boundsEncloseNominalAndTheReadingIsTheSameBothWays() {
        Random random = new Random(11);
        for (int round = 0; round < 200; round++) {
            List<Link> links = new ArrayList<>();
            int nodes = 3 + random.nextInt(10);
            for (int i = 1; i < nodes * 2; i++) {
                int a = random.nextInt(nodes);
                int b = random.nextInt(nodes);
                if (a != b) {
                    links.add(link("N" + a, "N" + b, Math.exp(random.nextGaussian() * 3)));
                }
            }
            Network network = Network.of(links);
            Path there = network.between(Terminal.of("N0"), Terminal.of("N1"));
            Path back = network.between(Terminal.of("N1"), Terminal.of("N0"));
            assertThat(there.fold(o -> o.nominal().value(), () -> -1.0))
                    .isCloseTo(back.fold(o -> o.nominal().value(), () -> -1.0), within(1e-9));
            if (there instanceof Path.Ohmic ohmic) {
                assertThat(ohmic.low().value())
                        .isLessThanOrEqualTo(ohmic.nominal().value() + 1e-9);
                assertThat(ohmic.nominal().value())
                        .isLessThanOrEqualTo(ohmic.high().value() + 1e-9);
                assertThat(ohmic.nominal().value())
                        .isCloseTo(
                                DenseSolver.resistance(links, "N0", "N1"),
                                within(1e-9 * (1 + ohmic.nominal().value())));
            }
        }
    }

    /** Rings with spurs, grids and ladders of up to a few hundred nodes, beyond the size for which all pairs are tabled. */
    @Test
    void largeMeshesAgreeWithTheSecondSolver() {
        Random random = new Random(3);
        for (int nodes : new int[] {30, 63, 64, 65, 200}) {
            List<Link> links = new ArrayList<>();
            for (int i = 1; i < nodes; i++) {
                links.add(link("N" + i, "N" + random.nextInt(i), Math.exp(random.nextGaussian())));
            }
            for (int i = 0; i < nodes; i++) {
                links.add(link("N" + i, "N" + (i + 2 + random.nextInt(5)) % nodes, Math.exp(random.nextGaussian())));
            }
            Network network = Network.of(links);
            for (int i = 0; i < 5; i++) {
                String a = "N" + random.nextInt(nodes);
                String b = "N" + random.nextInt(nodes);
                double expected = a.equals(b) ? 0 : DenseSolver.resistance(links, a, b);
                assertThat(network.nominal(Terminal.of(a), Terminal.of(b)).orElseThrow())
                        .as("%s to %s of %d nodes", a, b, nodes)
                        .isCloseTo(expected, within(1e-9 * (1 + expected)));
            }
        }
    }

    @Test
    void kiloohmsBesideMilliohmsKeepTheirDigits() {
        List<Link> links =
                List.of(link("A", "B", 0.001), link("B", "C", 1e6), link("C", "A", 1e6), link("A", "B", 0.001));
        assertThat(nominal(links, "A", "B")).isCloseTo(0.0005, within(1e-12));
        assertThat(nominal(links, "A", "C")).isCloseTo(500_000.000125, within(1e-6));
    }

    @Test
    void raisingAnyEdgeNeverLowersAReading() {
        Random random = new Random(17);
        for (int round = 0; round < 100; round++) {
            List<Link> links = new ArrayList<>();
            for (int i = 0; i < 14; i++) {
                links.add(link("N" + random.nextInt(7), "M" + random.nextInt(7), Math.exp(random.nextGaussian())));
            }
            List<Link> raised = new ArrayList<>(links);
            Link old = raised.remove(random.nextInt(links.size()));
            raised.add(link(old.a().name(), old.b().name(), old.nominal().value() * (1 + random.nextDouble())));
            for (int i = 1; i < 7; i++) {
                double before = nominal(links, "N0", "M" + i);
                double after = nominal(raised, "N0", "M" + i);
                assertThat(Double.isNaN(before) || after >= before * (1 - 1e-12))
                        .isTrue();
            }
        }
    }

    @Test
    void aStarWindingReadsTwoPhasesAndADeltaTwoThirdsOfOne() {
        List<Link> star = List.of(link("U", "S", 3), link("V", "S", 3), link("W", "S", 3));
        List<Link> delta = List.of(link("U", "V", 3), link("V", "W", 3), link("W", "U", 3));
        assertThat(nominal(star, "U", "V")).isCloseTo(6, within(1e-12));
        assertThat(nominal(delta, "U", "V")).isCloseTo(2, within(1e-12));
    }

    @Test
    void aLooseLineJointLiftsTheWholeRingALittle() {
        List<Link> links = ring();
        links.set(4, link("L2", "L3", 7 * LINE + 0.6)); // the line's third stretch
        links.add(jumper("L0", "P7"));
        links.add(jumper("P0", "L7"));
        assertOutlets(links, 0.3497, 0.3420, 0.3355, 0.3035, 0.3133, 0.3275, 0.3377);
    }

    @Test
    void aLongChainNeedsNoStack() {
        List<Link> links = new ArrayList<>();
        for (int i = 0; i < 200_000; i++) {
            links.add(link("N" + i, "N" + (i + 1), 1));
        }
        assertThat(nominal(links, "N0", "N200000")).isCloseTo(200_000, within(1e-6));
    }
}
