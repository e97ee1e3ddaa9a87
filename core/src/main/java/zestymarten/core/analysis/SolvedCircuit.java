package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.CommonOps_DDRM;

/**
 * Which edges conduct in one state and setup, and what an ideal ohmmeter reads between its nodes.
 *
 * <p>Method: a component without loops is a sum along the only way; any other is solved by its grounded Laplacian. Cost:
 * linear to build; n³ once for each set of resistances of a component of n nodes with loops. Keeps the last solution.
 */
final class SolvedCircuit {
    private final int[] merged;
    private final int[] component;
    private final List<Integer> sizes = new ArrayList<>();
    private final int[] place;
    private final int[] up;
    private final int[] upEdge;
    private final int[] depth;
    private final List<List<Integer>> looped = new ArrayList<>();
    private final int[] from;
    private final int[] to;
    private double[] solvedAt = new double[0];
    private final List<DMatrixRMaj> inverse = new ArrayList<>();

    /**
     * @param merged for each node the node that it is one with by links
     * @param conducts which edges conduct
     */
    SolvedCircuit(List<NetworkFit.FitEdge> edges, int[] merged, boolean[] conducts) {
        this.merged = merged;
        int nodes = merged.length;
        component = new int[nodes];
        place = new int[nodes];
        up = new int[nodes];
        upEdge = new int[nodes];
        depth = new int[nodes];
        from = new int[edges.size()];
        to = new int[edges.size()];
        Arrays.fill(component, -1);
        List<List<Integer>> at = new ArrayList<>();
        for (int i = 0; i < nodes; i++) {
            at.add(new ArrayList<>());
        }
        for (int e = 0; e < edges.size(); e++) {
            from[e] = merged[edges.get(e).a()];
            to[e] = merged[edges.get(e).b()];
            if (conducts[e] && from[e] != to[e]) {
                at.get(from[e]).add(e);
                at.get(to[e]).add(e);
            }
        }
        for (int node = 0; node < nodes; node++) {
            if (merged[node] == node && component[node] < 0) {
                walk(node, at);
            }
        }
        for (int node = 0; node < nodes; node++) {
            if (merged[node] != node) {
                int own = merged[node];
                component[node] = component[own];
                place[node] = place[own];
                up[node] = up[own];
                upEdge[node] = upEdge[own];
                depth[node] = depth[own];
            }
        }
    }

    private void walk(int root, List<List<Integer>> at) {
        int number = looped.size();
        List<Integer> members = new ArrayList<>(List.of(root));
        List<Integer> inside = new ArrayList<>();
        component[root] = number;
        up[root] = -1;
        upEdge[root] = -1;
        for (int i = 0; i < members.size(); i++) {
            int node = members.get(i);
            place[node] = i;
            for (int edge : at.get(node)) {
                if (from[edge] == node) {
                    inside.add(edge);
                }
                int other = from[edge] == node ? to[edge] : from[edge];
                if (component[other] < 0) {
                    component[other] = number;
                    up[other] = node;
                    upEdge[other] = edge;
                    depth[other] = depth[node] + 1;
                    members.add(other);
                }
            }
        }
        boolean tree = inside.size() == members.size() - 1;
        looped.add(tree ? List.of() : List.copyOf(inside));
        sizes.add(members.size());
    }

    boolean joins(int a, int b) {
        return component[a] == component[b];
    }

    /** Edges on a way between two joined nodes: the only one where there are no loops. */
    List<Integer> way(int a, int b) {
        List<Integer> way = new ArrayList<>();
        int x = merged[a];
        int y = merged[b];
        while (x != y) {
            if (depth[x] >= depth[y]) {
                way.add(upEdge[x]);
                x = up[x];
            } else {
                way.add(upEdge[y]);
                y = up[y];
            }
        }
        return way;
    }

    /** Whether what is joined to a node has loops, so that one edge may be open without parting it. */
    boolean isLooped(int node) {
        return !looped.get(component[node]).isEmpty();
    }

    /** Edges of what is joined to a node, where it has loops. */
    List<Integer> loopedAt(int node) {
        return looped.get(component[node]);
    }

    /** Ohms between two joined nodes; the squares of the edges' currents are written to {@code squares}. */
    double between(int a, int b, double[] ohm, double[] squares) {
        List<Integer> inside = looped.get(component[a]);
        if (inside.isEmpty()) {
            double sum = 0;
            for (int edge : way(a, b)) {
                sum += ohm[edge];
                squares[edge] = 1;
            }
            return sum;
        }
        solve(ohm);
        DMatrixRMaj potentials = inverse.get(component[a]);
        int x = place[a];
        int y = place[b];
        for (int edge : inside) {
            int u = place[from[edge]];
            int v = place[to[edge]];
            double volts = potentials.get(u, x) - potentials.get(u, y) - potentials.get(v, x) + potentials.get(v, y);
            double current = volts / ohm[edge];
            squares[edge] = current * current;
        }
        return potentials.get(x, x) + potentials.get(y, y) - 2 * potentials.get(x, y);
    }

    private void solve(double[] ohm) {
        if (Arrays.equals(ohm, solvedAt)) {
            return;
        }
        solvedAt = ohm.clone();
        inverse.clear();
        for (int number = 0; number < looped.size(); number++) {
            int size = looped.get(number).isEmpty() ? 0 : sizes.get(number);
            DMatrixRMaj grounded = new DMatrixRMaj(size, size);
            for (int edge : looped.get(number)) {
                double siemens = 1 / ohm[edge];
                int u = place[from[edge]];
                int v = place[to[edge]];
                grounded.add(u, u, siemens);
                grounded.add(v, v, siemens);
                grounded.add(u, v, -siemens);
                grounded.add(v, u, -siemens);
            }
            if (size > 0) {
                for (int i = 0; i < size; i++) {
                    grounded.set(0, i, 0);
                    grounded.set(i, 0, 0);
                }
                grounded.set(0, 0, 1);
                CommonOps_DDRM.invert(grounded);
                grounded.set(0, 0, 0);
            }
            inverse.add(grounded);
        }
    }
}
