package zestymarten.core.network;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.ejml.data.DMatrixSparseCSC;
import org.ejml.data.DMatrixSparseTriplet;
import org.ejml.ops.DConvertMatrixStruct;
import org.ejml.sparse.csc.decomposition.chol.CholeskyUpLooking_DSCC;
import org.ejml.sparse.csc.misc.TriangularSolver_DSCC;
import zestymarten.core.quantity.Patience;

/**
 * A connected part of a network in which every node has two edges or more.
 *
 * <p>Method: Kirchhoff's equations with one node earthed are factored once by a sparse Cholesky decomposition, the nodes
 * in reverse breadth-first order. For a pair, one ampere goes in at the one node and out at the other; the difference of
 * their potentials is the resistance. One step of refinement with the residual summed edge by edge takes back what the
 * factorisation rounded off. Up to {@value #TABLED} nodes all pairs are kept in a table, made when the first is asked for from
 * the currents between each node and earth, superposed; below {@value #REMEMBERED} what was asked is remembered.
 * Cost: about n to factor for ring-like parts, n² for dense ones; a pair costs the entries of the factor, or nothing from
 * the table. Source: Klein and Randić, "Resistance distance", 1993; ordering after Cuthill and McKee, 1969. Holds for:
 * conductances that lie within about 12 decades of each other.
 */
final class MeshCore {
    private static final int TABLED = 64;
    /** Below this size what was asked once is remembered: what-ifs ask for the same pairs again and again. */
    private static final int REMEMBERED = 512;
    /** Below this share the difference of two sums loses more than two of its digits. */
    private static final double LEFT_OF_SUM = 1.0 / 64;

    private final Map<Integer, Integer> place = new HashMap<>();
    private final List<MeshEdge> edges;
    private final int earth;
    private final DMatrixSparseCSC factor;
    private volatile double[][] table = {};
    private final Map<Long, Double> solved = new ConcurrentHashMap<>();

    /** An edge between two places of the core, with ohms above 0. */
    record MeshEdge(int a, int b, double ohm) {}

    private MeshCore(List<Integer> nodes, List<MeshEdge> edges) {
        int size = nodes.size();
        for (int i = 0; i < size; i++) {
            place.put(nodes.get(i), size - 1 - i);
        }
        this.edges = edges.stream()
                .map(edge -> new MeshEdge(size - 1 - edge.a(), size - 1 - edge.b(), edge.ohm()))
                .toList();
        earth = size - 1;
        factor = factored(earth, this.edges);
    }

    /**
     * @param nodes in breadth-first order, at least two
     * @param edges between places in {@code nodes}
     */
    static MeshCore of(List<Integer> nodes, List<MeshEdge> edges) {
        Patience.check();
        return new MeshCore(nodes, edges);
    }

    private static DMatrixSparseCSC factored(int size, List<MeshEdge> edges) {
        double[] diagonal = new double[size];
        DMatrixSparseTriplet entries = new DMatrixSparseTriplet(size, size, size + 2 * edges.size());
        Map<Long, Double> between = new HashMap<>();
        for (MeshEdge edge : edges) {
            double siemens = 1 / edge.ohm();
            for (int end : new int[] {edge.a(), edge.b()}) {
                if (end < size) {
                    diagonal[end] += siemens;
                }
            }
            if (edge.a() < size && edge.b() < size) {
                between.merge((long) edge.a() * size + edge.b(), -siemens, Double::sum);
                between.merge((long) edge.b() * size + edge.a(), -siemens, Double::sum);
            }
        }
        for (int i = 0; i < size; i++) {
            entries.addItem(i, i, diagonal[i]);
        }
        between.forEach((key, value) -> entries.addItem((int) (key / size), (int) (key % size), value));
        DMatrixSparseCSC laplacian = DConvertMatrixStruct.convert(entries, (DMatrixSparseCSC) null);
        laplacian.sortIndices(null);
        CholeskyUpLooking_DSCC cholesky = new CholeskyUpLooking_DSCC();
        if (!cholesky.decompose(laplacian)) {
            throw new IllegalStateException("Kirchhoff's equations of a connected part are not positive definite.");
        }
        return cholesky.getL();
    }

    /** Resistance between two nodes of the core. */
    double between(int one, int other) {
        int a = place.getOrDefault(one, -1);
        int b = place.getOrDefault(other, -1);
        if (a < 0 || b < 0) {
            throw new IllegalArgumentException("Node " + (a < 0 ? one : other) + " is not part of this core.");
        }
        if (earth < TABLED) {
            return table()[Math.max(a, b)][Math.min(a, b)];
        }
        return earth < REMEMBERED
                ? solved.computeIfAbsent((long) Math.max(a, b) * (earth + 1L) + Math.min(a, b), any -> solve(a, b))
                : solve(a, b);
    }

    private double[][] table() {
        double[][] known = table;
        if (known.length == 0) {
            double[][] toEarth = new double[earth + 1][];
            for (int i = 0; i < earth; i++) {
                toEarth[i] = sum(refined(i, earth));
            }
            known = new double[earth + 1][];
            for (int i = 0; i <= earth; i++) {
                known[i] = new double[i + 1];
                for (int j = 0; j < i; j++) {
                    known[i][j] = i == earth ? toEarth[j][j] : superposed(toEarth, i, j);
                }
            }
            table = known;
        }
        return known;
    }

    /** By superposition of the currents from both nodes to earth; anew where too little would be left of their sum. */
    private double superposed(double[][] toEarth, int a, int b) {
        double sum = toEarth[a][a] + toEarth[b][b];
        double ohm = sum - toEarth[a][b] - toEarth[b][a];
        return ohm > sum * LEFT_OF_SUM ? ohm : solve(a, b);
    }

    private double solve(int a, int b) {
        double[][] parts = refined(a, b);
        return parts[0][a] - parts[0][b] + (parts[1][a] - parts[1][b]);
    }

    private static double[] sum(double[][] parts) {
        double[] sums = parts[0].clone();
        for (int i = 0; i < sums.length; i++) {
            sums[i] += parts[1][i];
        }
        return sums;
    }

    /** The potentials when one ampere goes in at the one node and out at the other, and what is to be added to them. */
    private double[][] refined(int a, int b) {
        Patience.check();
        double[] current = new double[earth + 1];
        current[a] = 1;
        current[b] = -1;
        double[] potential = potentials(current);
        for (MeshEdge edge : edges) {
            double flow = (potential[edge.a()] - potential[edge.b()]) / edge.ohm();
            current[edge.a()] -= flow;
            current[edge.b()] += flow;
        }
        return new double[][] {potential, potentials(current)};
    }

    private double[] potentials(double[] current) {
        double[] x = current.clone();
        TriangularSolver_DSCC.solveL(factor, x);
        TriangularSolver_DSCC.solveTranL(factor, x);
        x[earth] = 0;
        return x;
    }
}
