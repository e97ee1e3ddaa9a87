package zestymarten.core.network;

import java.util.Arrays;

/** The edges of a network by the nodes at which they end, without those that lead from a node to itself. */
final class Adjacency {
    private final int[] first;
    private final int[] edges;
    private final int[] a;
    private final int[] b;
    private final double[] ohm;

    /**
     * @param nodes how many nodes there may be; the ends of edges are numbers below
     * @param a the one end of each edge
     * @param b its other end
     */
    Adjacency(int nodes, int[] a, int[] b, double[] ohm) {
        this.a = a.clone();
        this.b = b.clone();
        this.ohm = ohm.clone();
        first = new int[nodes + 1];
        for (int i = 0; i < ohm.length; i++) {
            if (a[i] != b[i]) {
                first[a[i] + 1]++;
                first[b[i] + 1]++;
            }
        }
        for (int i = 0; i < nodes; i++) {
            first[i + 1] += first[i];
        }
        edges = new int[first[nodes]];
        int[] next = Arrays.copyOf(first, nodes);
        for (int i = 0; i < ohm.length; i++) {
            if (a[i] != b[i]) {
                edges[next[a[i]]++] = i;
                edges[next[b[i]]++] = i;
            }
        }
    }

    int nodes() {
        return first.length - 1;
    }

    int degree(int node) {
        return first[node + 1] - first[node];
    }

    /** The number of an edge at a node, {@code place} from 0 to its degree - 1. */
    int edge(int node, int place) {
        return edges[first[node] + place];
    }

    int other(int edge, int node) {
        return a[edge] == node ? b[edge] : a[edge];
    }

    /** Whether a node is the first end of an edge, so that each edge is met once. */
    boolean startsAt(int edge, int node) {
        return a[edge] == node;
    }

    double ohm(int edge) {
        return ohm[edge];
    }
}
