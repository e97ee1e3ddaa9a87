package zestymarten.core.network;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.CommonOps_DDRM;
import zestymarten.core.assembly.Terminal;

/**
 * Effective resistances of a network in which every edge has one resistance.
 *
 * <p>Method: ends of 0-ohm edges are merged; each connected component that is a tree is answered by its path, every other
 * by the inverse of its Laplacian with one node grounded: {@code R(a,b) = M(a,a) + M(b,b) - 2 M(a,b)}. Cost: linear to
 * build for trees, n^3 once for a meshed component of n nodes; a pair costs its path length in a tree, a constant in a
 * mesh. Source: Klein and Randić, "Resistance distance", 1993. Holds for: conductances within a component that lie within
 * about 12 decades.
 */
final class Resistances {
    private final Map<Terminal, Integer> nodeOf;
    private final int[] parent;
    private final double[] toParent;
    private final int[] depth;
    private final int[] componentOf;
    private final Map<Integer, Mesh> meshes;

    private record Edge(int a, int b, double ohm) {}

    private record Mesh(Map<Integer, Integer> row, DMatrixRMaj inverse) {
        double between(int a, int b) {
            return at(a, a) + at(b, b) - 2 * at(a, b);
        }

        private double at(int a, int b) {
            Integer i = row.get(a);
            Integer j = row.get(b);
            return i == null || j == null ? 0 : inverse.get(i, j); // the grounded node has no row
        }
    }

    private Resistances(Map<Terminal, Integer> nodeOf, List<Edge> edges, int nodes) {
        this.nodeOf = nodeOf;
        parent = new int[nodes];
        toParent = new double[nodes];
        depth = new int[nodes];
        componentOf = new int[nodes];
        Arrays.fill(componentOf, -1);
        meshes = new HashMap<>();
        List<List<Edge>> at = new ArrayList<>();
        for (int i = 0; i < nodes; i++) {
            at.add(new ArrayList<>());
        }
        for (Edge edge : edges) {
            at.get(edge.a()).add(edge);
            at.get(edge.b()).add(edge);
        }
        for (int root = 0; root < nodes; root++) {
            if (componentOf[root] < 0) {
                component(root, at);
            }
        }
    }

    static Resistances of(List<Link> links, ToDoubleFunction<Link> ohm) {
        Map<Terminal, Integer> index = new HashMap<>();
        for (Link link : links) {
            index.putIfAbsent(link.a(), index.size());
            index.putIfAbsent(link.b(), index.size());
        }
        Groups merged = new Groups(index.size());
        for (Link link : links) {
            if (ohm.applyAsDouble(link) == 0) {
                merged.join(node(index, link.a()), node(index, link.b()));
            }
        }
        Map<Terminal, Integer> nodeOf = new HashMap<>();
        index.forEach((terminal, number) -> nodeOf.put(terminal, merged.of(number)));
        List<Edge> edges = new ArrayList<>();
        for (Link link : links) {
            int a = node(nodeOf, link.a());
            int b = node(nodeOf, link.b());
            if (a != b) {
                edges.add(new Edge(a, b, ohm.applyAsDouble(link)));
            }
        }
        return new Resistances(nodeOf, edges, index.size());
    }

    private static int node(Map<Terminal, Integer> index, Terminal terminal) {
        return index.getOrDefault(terminal, -1);
    }

    private void component(int root, List<List<Edge>> at) {
        List<Integer> members = new ArrayList<>();
        Deque<Integer> queue = new ArrayDeque<>(List.of(root));
        componentOf[root] = root;
        parent[root] = -1;
        int ends = 0;
        while (!queue.isEmpty()) {
            int node = queue.remove();
            members.add(node);
            ends += at.get(node).size();
            for (Edge edge : at.get(node)) {
                int next = edge.a() == node ? edge.b() : edge.a();
                if (componentOf[next] < 0) {
                    componentOf[next] = root;
                    parent[next] = node;
                    toParent[next] = edge.ohm();
                    depth[next] = depth[node] + 1;
                    queue.add(next);
                }
            }
        }
        if (ends / 2 >= members.size()) {
            meshes.put(root, mesh(members, at));
        }
    }

    private static Mesh mesh(List<Integer> members, List<List<Edge>> at) {
        Map<Integer, Integer> row = new HashMap<>();
        for (int i = 1; i < members.size(); i++) {
            row.put(members.get(i), i - 1);
        }
        DMatrixRMaj laplacian = new DMatrixRMaj(row.size(), row.size());
        for (int node : members) {
            for (Edge edge : at.get(node)) {
                Integer i = row.get(node);
                Integer j = row.get(edge.a() == node ? edge.b() : edge.a());
                if (i != null) {
                    laplacian.add(i, i, 1 / edge.ohm());
                    if (j != null) {
                        laplacian.add(i, j, -1 / edge.ohm());
                    }
                }
            }
        }
        DMatrixRMaj inverse = new DMatrixRMaj(row.size(), row.size());
        if (!CommonOps_DDRM.invertSPD(laplacian, inverse)) {
            throw new IllegalStateException("The Laplacian of a connected component is not positive definite.");
        }
        return new Mesh(row, inverse);
    }

    /** Ohms between two terminals; empty where there is no way through. */
    OptionalDouble between(Terminal from, Terminal to) {
        int a = node(nodeOf, from);
        int b = node(nodeOf, to);
        if (from.equals(to) || (a >= 0 && a == b)) {
            return OptionalDouble.of(0);
        }
        if (a < 0 || b < 0 || componentOf[a] != componentOf[b]) {
            return OptionalDouble.empty();
        }
        Mesh mesh = meshes.get(componentOf[a]);
        return OptionalDouble.of(mesh == null ? alongTree(a, b) : mesh.between(a, b));
    }

    private double alongTree(int from, int to) {
        int a = from;
        int b = to;
        double sum = 0;
        while (a != b) {
            if (depth[a] >= depth[b]) {
                sum += toParent[a];
                a = parent[a];
            } else {
                sum += toParent[b];
                b = parent[b];
            }
        }
        return sum;
    }
}
