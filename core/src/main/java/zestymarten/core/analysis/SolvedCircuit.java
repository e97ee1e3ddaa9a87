package zestymarten.core.analysis;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.CommonOps_DDRM;

/**
 * Which edges conduct in one state and setup, and what an ideal ohmmeter reads between its nodes.
 *
 * <p>Method: what merely hangs from loops, and a component without any, is a sum along the only way; the loops are solved by
 * their grounded Laplacian. Cost: linear to build; n³ once for each set of resistances of n nodes in loops. Keeps the last
 * solution.
 */
final class SolvedCircuit {
    private final int[] merged;
    private final int[] component;
    private final List<Integer> sizes = new ArrayList<>();
    private final int[] place;
    private final int[] hangsBy;
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
        hangsBy = new int[nodes];
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
                hangsBy[node] = hangsBy[own];
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
            place[node] = -1;
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
        List<Integer> loops = tree ? List.of() : loops(inside, at);
        int count = 0;
        for (int edge : loops) {
            for (int node : new int[] {from[edge], to[edge]}) {
                if (place[node] < 0) {
                    place[node] = count++;
                }
            }
        }
        looped.add(loops);
        sizes.add(count);
    }

    /** The edges of a component that are left when all that merely hangs from it is taken off, end by end. */
    private List<Integer> loops(List<Integer> inside, List<List<Integer>> at) {
        Map<Integer, Integer> degree = new HashMap<>();
        Set<Integer> left = new LinkedHashSet<>(inside);
        for (int edge : inside) {
            degree.merge(from[edge], 1, Integer::sum);
            degree.merge(to[edge], 1, Integer::sum);
        }
        Deque<Integer> ends = new ArrayDeque<>();
        degree.forEach((node, count) -> {
            if (count == 1) {
                ends.add(node);
            }
        });
        while (!ends.isEmpty()) {
            int end = ends.remove();
            at.get(end).stream().filter(left::remove).findFirst().ifPresent(edge -> {
                int inner = from[edge] == end ? to[edge] : from[edge];
                hangsBy[end] = edge;
                if (degree.merge(inner, -1, Integer::sum) == 1) {
                    ends.add(inner);
                }
            });
        }
        return List.copyOf(left);
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

    /** Resistance between two joined nodes; the squares of the edges' currents are written to {@code squares}. */
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
        double hanging = 0;
        Set<Integer> one = toLoops(merged[a]);
        Set<Integer> other = toLoops(merged[b]);
        for (Set<Integer> branch : List.of(one, other)) {
            for (int edge : branch) {
                if (!one.contains(edge) || !other.contains(edge)) { // what both have in common carries nothing
                    hanging += ohm[edge];
                    squares[edge] = 1;
                }
            }
        }
        int x = inLoops(merged[a], one);
        int y = inLoops(merged[b], other);
        return x == y ? hanging : hanging + betweenLooped(component[a], place[x], place[y], ohm, squares);
    }

    /** The edges by which a node hangs from the loops of its component, from the node on. */
    private Set<Integer> toLoops(int node) {
        Set<Integer> branch = new LinkedHashSet<>();
        int at = node;
        while (place[at] < 0) {
            int edge = hangsBy[at];
            branch.add(edge);
            at = from[edge] == at ? to[edge] : from[edge];
        }
        return branch;
    }

    private int inLoops(int node, Set<Integer> branch) {
        int at = node;
        for (int edge : branch) {
            at = from[edge] == at ? to[edge] : from[edge];
        }
        return at;
    }

    private double betweenLooped(int number, int x, int y, double[] ohm, double[] squares) {
        solve(ohm);
        DMatrixRMaj potentials = inverse.get(number);
        for (int edge : looped.get(number)) {
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
