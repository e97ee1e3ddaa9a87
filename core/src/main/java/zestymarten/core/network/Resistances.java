package zestymarten.core.network;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import zestymarten.core.assembly.Terminal;

/**
 * Effective resistances of a network in which every edge has one resistance.
 *
 * <p>Method: ends of 0-ohm edges are merged. Nodes with a single edge are pruned again and again, each keeping the way to
 * the node it hung on: what is left of a tree is one node, of anything else its {@linkplain MeshCore cores}, the parts with
 * loops. A pair's resistance is the sum up to where their ways meet, and the core's between the two places where they
 * enter it. Cost: linear to build but for the cores; a pair costs the lengths of its ways to the core. Holds for: edges
 * from 0 to 10^15 ohm.
 */
final class Resistances {
    private static final int NONE = -1;

    private final Map<Terminal, Integer> index;
    private final int[] merged;
    private final int[] component;
    private final int[] up;
    private final double[] upOhm;
    private final int[] depth;
    private final Map<Integer, MeshCore> cores = new HashMap<>();

    private Resistances(Map<Terminal, Integer> index, int[] merged, Adjacency adjacency) {
        int nodes = adjacency.nodes();
        this.index = index;
        this.merged = merged;
        component = new int[nodes];
        up = new int[nodes];
        upOhm = new double[nodes];
        depth = new int[nodes];
        Arrays.fill(component, NONE);
        Arrays.fill(up, NONE);
        boolean[] pruned = prune(adjacency);
        findCores(adjacency, pruned);
    }

    /**
     * @param index a number from 0 for each terminal
     * @param a number of the one end of each edge
     * @param b number of its other end
     * @param ohm resistance of each edge, from 0
     */
    static Resistances of(Map<Terminal, Integer> index, int[] a, int[] b, double[] ohm) {
        Groups groups = new Groups(index.size());
        for (int i = 0; i < ohm.length; i++) {
            if (ohm[i] == 0) {
                groups.join(a[i], b[i]);
            }
        }
        int[] merged = new int[index.size()];
        for (int i = 0; i < merged.length; i++) {
            merged[i] = groups.of(i);
        }
        int[] from = Arrays.stream(a).map(node -> merged[node]).toArray();
        int[] to = Arrays.stream(b).map(node -> merged[node]).toArray();
        return new Resistances(index, merged, new Adjacency(merged.length, from, to, ohm));
    }

    /** Takes off nodes with one edge until there are none; a component that is a tree keeps one node, its root. */
    private boolean[] prune(Adjacency at) {
        int nodes = merged.length;
        int[] degree = new int[nodes];
        boolean[] pruned = new boolean[nodes];
        int[] queue = new int[nodes];
        int end = 0;
        for (int node = 0; node < nodes; node++) {
            degree[node] = at.degree(node);
            if (degree[node] == 1) {
                queue[end++] = node;
            }
        }
        for (int start = 0; start < end; start++) {
            int node = queue[start];
            if (degree[node] != 1) {
                continue; // the last node of a tree
            }
            pruned[node] = true;
            for (int i = 0; i < at.degree(node); i++) {
                int edge = at.edge(node, i);
                int other = at.other(edge, node);
                if (!pruned[other]) {
                    up[node] = other;
                    upOhm[node] = at.ohm(edge);
                    if (--degree[other] == 1) {
                        queue[end++] = other;
                    }
                }
            }
            degree[node] = 0;
        }
        for (int i = end - 1; i >= 0; i--) {
            int node = queue[i];
            depth[node] = up[node] == NONE ? 0 : depth[up[node]] + 1;
        }
        return pruned;
    }

    /** Numbers the components by one of their roots, and makes ready the cores. */
    private void findCores(Adjacency at, boolean[] pruned) {
        int nodes = merged.length;
        int[] place = new int[nodes];
        for (int root = 0; root < nodes; root++) {
            if (pruned[root] || component[root] != NONE || merged[root] != root) {
                continue;
            }
            List<Integer> members = new ArrayList<>(List.of(root));
            component[root] = root;
            List<MeshCore.MeshEdge> edges = new ArrayList<>();
            for (int i = 0; i < members.size(); i++) {
                int node = members.get(i);
                place[node] = i;
                for (int k = 0; k < at.degree(node); k++) {
                    int other = at.other(at.edge(node, k), node);
                    if (!pruned[other] && component[other] == NONE) {
                        component[other] = root;
                        members.add(other);
                    }
                }
            }
            for (int node : members) {
                for (int k = 0; k < at.degree(node); k++) {
                    int edge = at.edge(node, k);
                    int other = at.other(edge, node);
                    if (!pruned[other] && at.startsAt(edge, node)) {
                        edges.add(new MeshCore.MeshEdge(place[node], place[other], at.ohm(edge)));
                    }
                }
            }
            if (members.size() > 1) {
                cores.put(root, MeshCore.of(members, edges));
            }
        }
    }

    /** Resistance between two terminals; empty where there is no path. */
    OptionalDouble between(Terminal from, Terminal to) {
        Integer one = index.get(from);
        Integer other = index.get(to);
        if (one == null || other == null) {
            return from.equals(to) ? OptionalDouble.of(0) : OptionalDouble.empty();
        }
        int a = merged[one];
        int b = merged[other];
        double sum = 0;
        while (a != b && depth[a] + depth[b] > 0) {
            if (depth[a] >= depth[b]) {
                sum += upOhm[a];
                a = up[a];
            } else {
                sum += upOhm[b];
                b = up[b];
            }
        }
        if (a == b) {
            return OptionalDouble.of(sum);
        }
        MeshCore core = component[a] == component[b] ? cores.get(component[a]) : null;
        return core == null ? OptionalDouble.empty() : OptionalDouble.of(sum + core.between(a, b));
    }
}
