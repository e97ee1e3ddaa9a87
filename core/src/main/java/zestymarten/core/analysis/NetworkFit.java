package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.CommonOps_DDRM;
import zestymarten.core.network.Groups;

/**
 * Finds resistances of the edges of a small network, each within its bounds, that come nearest to what was read.
 *
 * <p>Method: least squares by Gauss and Newton with Levenberg's damping, steps cut off at the bounds, figures far off
 * weighted down (Cauchy's function) so that a wrong one does not pull the others along. The derivative of an
 * effective resistance by an edge's own is the square of the edge's current for one ampere between the probes (Cohn's
 * theorem). Cost: for the k figures and e edges of each block that hangs together about 10 steps of k e² + e³, and n³ for n
 * nodes of loops.
 * Source: Cohn, 1950; Levenberg, 1944; Holland and Welsch, 1977. Holds for: a network small enough to be solved densely.
 */
final class NetworkFit {
    private static final int MAX_STEPS = 12;
    private static final double CONVERGED = 1e-6;

    /** Beyond so many standard deviations a figure hardly pulls any more. */
    private static final double FAR = 5;

    /**
     * An edge.
     *
     * @param low lowest resistance, above 0
     * @param high highest resistance
     * @param nominal where it is taken to be without any figure
     * @param spread how far it usually lies from there, in ohms; infinite where nothing is known
     */
    record FitEdge(int a, int b, double low, double nominal, double high, double spread) {
        FitEdge {
            if (!(low > 0 && low <= high && spread > 0)) {
                throw new IllegalArgumentException("An edge's ohms (" + low + " to " + high + ", spread " + spread
                        + ") must be above 0 and in order.");
            }
        }
    }

    /** What was read between two nodes of a circuit, in ohms, and how far it may be off. */
    record Figure(SolvedCircuit circuit, int a, int b, double ohm, double sigma) {}

    /** The nearest resistances, and what the figures would be with them. */
    static final class FittedNetwork {
        private final double[] ohm;
        private final double[] read;

        private FittedNetwork(double[] ohm, double[] read) {
            this.ohm = ohm;
            this.read = read;
        }

        /** Resistance of an edge. */
        double ohm(int edge) {
            return ohm[edge];
        }

        /** Resistance of every edge. */
        double[] ohms() {
            return ohm.clone();
        }

        /** What a figure would be. */
        double read(int figure) {
            return read[figure];
        }
    }

    private final List<FitEdge> edges;
    private final List<Figure> figures;
    private final double[] ohm;
    private double[] read;
    private double[][] sensitivity;
    private int[][] carrying = new int[0][];
    private List<List<Integer>> figuresAt = List.of();

    private NetworkFit(List<FitEdge> edges, List<Figure> figures) {
        this.edges = edges;
        this.figures = figures;
        ohm = edges.stream()
                .mapToDouble(edge -> Math.max(edge.low(), Math.min(edge.high(), edge.nominal())))
                .toArray();
        read = new double[figures.size()];
        sensitivity = new double[figures.size()][edges.size()];
    }

    static FittedNetwork of(List<FitEdge> edges, List<Figure> figures) {
        NetworkFit fit = new NetworkFit(edges, figures);
        fit.run();
        return new FittedNetwork(fit.ohm, fit.read);
    }

    private void run() {
        double damping = 1e-3;
        double now = evaluated(ohm);
        for (int step = 0; step < MAX_STEPS && !figures.isEmpty() && damping < 1e9; step++) {
            double[] next = stepped(damping);
            double[] oldRead = read;
            double[][] oldSensitivity = sensitivity;
            double[] before = ohm.clone();
            System.arraycopy(next, 0, ohm, 0, ohm.length);
            double then = evaluated(ohm);
            if (then < now) {
                boolean done = now - then < CONVERGED * (1 + then);
                now = then;
                damping = Math.max(1e-6, damping / 10);
                if (done) {
                    return;
                }
            } else {
                System.arraycopy(before, 0, ohm, 0, ohm.length);
                read = oldRead;
                sensitivity = oldSensitivity;
                rememberCarrying();
                damping *= 10;
            }
        }
    }

    /** Sum of the weighted squares, with the figures and their sensitivities at these ohms. */
    private double evaluated(double[] at) {
        read = new double[figures.size()];
        sensitivity = new double[figures.size()][edges.size()];
        double sum = 0;
        for (int k = 0; k < figures.size(); k++) {
            Figure figure = figures.get(k);
            read[k] = figure.circuit().between(figure.a(), figure.b(), at, sensitivity[k]);
            double off = (read[k] - figure.ohm()) / figure.sigma();
            sum += FAR * FAR * Math.log1p(off * off / (FAR * FAR));
        }
        rememberCarrying();
        for (int e = 0; e < at.length; e++) {
            double off = (at[e] - edges.get(e).nominal()) / edges.get(e).spread();
            sum += off * off;
        }
        return sum;
    }

    /** Which edges carry the current of which figure: few of many. */
    private void rememberCarrying() {
        carrying = new int[figures.size()][];
        figuresAt = new ArrayList<>();
        for (int e = 0; e < edges.size(); e++) {
            figuresAt.add(new ArrayList<>());
        }
        for (int k = 0; k < figures.size(); k++) {
            double[] row = sensitivity[k];
            int[] some = new int[row.length];
            int count = 0;
            for (int e = 0; e < row.length; e++) {
                if (row[e] != 0) {
                    some[count++] = e;
                    figuresAt.get(e).add(k);
                }
            }
            carrying[k] = Arrays.copyOf(some, count);
        }
    }

    private double[] stepped(double damping) {
        int count = edges.size();
        double[] gradient = new double[count];
        double[] own = new double[count];
        Groups blocks = new Groups(count);
        for (int k = 0; k < figures.size(); k++) {
            double sigma = figures.get(k).sigma();
            double off = (read[k] - figures.get(k).ohm()) / sigma;
            for (int e : carrying[k]) {
                gradient[e] += weight(k) * off * sensitivity[k][e] / sigma;
                blocks.join(carrying[k][0], e);
            }
        }
        for (int e = 0; e < count; e++) {
            double spread = edges.get(e).spread();
            gradient[e] += (ohm[e] - edges.get(e).nominal()) / (spread * spread);
            own[e] = 1 / (spread * spread);
        }
        double[] next = ohm.clone();
        blocks(blocks, gradient).forEach(block -> move(block, gradient, own, damping, next));
        return next;
    }

    private double weight(int figure) {
        double off =
                (read[figure] - figures.get(figure).ohm()) / figures.get(figure).sigma();
        return 1 / (1 + off * off / (FAR * FAR));
    }

    /** The free edges that figures have in common, each block by itself. */
    private Collection<List<Integer>> blocks(Groups groups, double[] gradient) {
        Map<Integer, List<Integer>> blocks = new LinkedHashMap<>();
        free(gradient)
                .forEach(e -> blocks.computeIfAbsent(groups.of(e), any -> new ArrayList<>())
                        .add(e));
        return blocks.values();
    }

    /** The edges that are not held at a bound by what was read. */
    private List<Integer> free(double[] gradient) {
        List<Integer> free = new ArrayList<>();
        for (int e = 0; e < gradient.length; e++) {
            boolean held = (ohm[e] <= edges.get(e).low() && gradient[e] > 0)
                    || (ohm[e] >= edges.get(e).high() && gradient[e] < 0);
            if (!held && gradient[e] != 0) {
                free.add(e);
            }
        }
        return free;
    }

    private void move(List<Integer> free, double[] gradient, double[] own, double damping, double[] next) {
        int size = free.size();
        Map<Integer, Integer> place = new HashMap<>();
        free.forEach(e -> place.put(e, place.size()));
        DMatrixRMaj matrix = new DMatrixRMaj(size, size);
        DMatrixRMaj right = new DMatrixRMaj(size, 1);
        figuresOf(free).forEach(k -> {
            double scale = weight(k) / (figures.get(k).sigma() * figures.get(k).sigma());
            for (int e : carrying[k]) {
                for (int f : carrying[k]) {
                    if (place.containsKey(e) && place.containsKey(f)) {
                        matrix.add(
                                place.getOrDefault(e, 0),
                                place.getOrDefault(f, 0),
                                scale * sensitivity[k][e] * sensitivity[k][f]);
                    }
                }
            }
        });
        for (int i = 0; i < size; i++) {
            matrix.set(i, i, (matrix.get(i, i) + own[free.get(i)]) * (1 + damping) + 1e-12);
            right.set(i, 0, -gradient[free.get(i)]);
        }
        DMatrixRMaj step = new DMatrixRMaj(size, 1);
        if (!CommonOps_DDRM.solve(matrix, right, step)) {
            return;
        }
        for (int i = 0; i < size; i++) {
            FitEdge edge = edges.get(free.get(i));
            double to = ohm[free.get(i)] + step.get(i, 0);
            next[free.get(i)] = Double.isNaN(to) ? ohm[free.get(i)] : Math.max(edge.low(), Math.min(edge.high(), to));
        }
    }

    private Set<Integer> figuresOf(List<Integer> block) {
        Set<Integer> numbers = new TreeSet<>();
        block.forEach(e -> numbers.addAll(figuresAt.get(e)));
        return numbers;
    }
}
