package zestymarten.core.network;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import zestymarten.core.assembly.Terminal;

/**
 * What a network would read with a few of its edges added, removed or altered.
 *
 * <p>Method: only the resistances among the ends of the changed edges and the two terminals asked for are looked at. An
 * edge of r ohm added between u and v makes {@code R'(x,y) = R(x,y) - f² / (r + R(u,v))} with
 * {@code f = (R(x,v) + R(y,u) - R(x,u) - R(y,v)) / 2}, the Sherman-Morrison formula written in resistances; removing one
 * is adding {@code -r}. An edge that joins two components, or is a bridge, is settled by which side a terminal is on:
 * additions are made before removals, so that a bridge is one only if nothing new leads round it. Cost: for k changes
 * k (2 k + 2)² per pair, whatever the size of the network. Source: Sherman and Morrison, 1950. Holds for: edges whose way
 * round has less than 10^9 times their own resistance; beyond that they count as bridges.
 */
public final class WhatIf {
    private static final double BRIDGE = 1e-9;
    private static final double OPEN = Double.POSITIVE_INFINITY;

    private final Network network;
    private final List<Change> changes;
    private final Set<Terminal> ends = new LinkedHashSet<>();
    private final Map<List<Terminal>, Double> betweenEnds = new ConcurrentHashMap<>();

    private WhatIf(Network network, List<Change> changes) {
        this.network = network;
        this.changes = new ArrayList<>();
        changes.stream().filter(change -> change instanceof Change.Added).forEach(this.changes::add);
        changes.stream().filter(change -> !(change instanceof Change.Added)).forEach(this.changes::add);
        changes.forEach(change -> ends.addAll(List.of(change.a(), change.b())));
    }

    /**
     * The network, at its nominal values, under changes.
     *
     * @param changes removed and altered edges must be edges of the network with that nominal value
     */
    public static WhatIf of(Network network, List<Change> changes) {
        return new WhatIf(network, changes);
    }

    /** Resistance between two terminals under the changes; empty where there is no path. */
    public OptionalDouble between(Terminal from, Terminal to) {
        if (from.equals(to)) {
            return OptionalDouble.of(0);
        }
        LinkedHashSet<Terminal> named = new LinkedHashSet<>(List.of(from, to));
        named.addAll(ends);
        List<Terminal> terminals = List.copyOf(named);
        double[][] ohms = table(terminals);
        for (Change change : changes) {
            int u = terminals.indexOf(change.a());
            int v = terminals.indexOf(change.b());
            if (change instanceof Change.Added added) {
                add(ohms, u, v, added.ohm());
            } else if (change instanceof Change.Removed removed) {
                remove(ohms, u, v, removed.ohm());
            } else if (change instanceof Change.Altered altered) {
                alter(ohms, u, v, altered.was(), altered.is());
            }
        }
        return ohms[0][1] == OPEN ? OptionalDouble.empty() : OptionalDouble.of(Math.max(0, ohms[0][1]));
    }

    private double[][] table(List<Terminal> terminals) {
        int size = terminals.size();
        double[][] ohms = new double[size][size];
        for (int i = 0; i < size; i++) {
            for (int j = 0; j < i; j++) {
                ohms[i][j] = ohm(terminals.get(i), terminals.get(j));
                ohms[j][i] = ohms[i][j];
            }
        }
        return ohms;
    }

    /** What is between the ends of the changes is the same for every pair, and is asked for once. */
    private double ohm(Terminal one, Terminal other) {
        return ends.contains(one) && ends.contains(other)
                ? betweenEnds.computeIfAbsent(
                        List.of(one, other), any -> network.nominal(one, other).orElse(OPEN))
                : network.nominal(one, other).orElse(OPEN);
    }

    private static void add(double[][] ohms, int u, int v, double ohm) {
        if (ohms[u][v] != OPEN) {
            within(ohms, u, v, 1 / (ohm + ohms[u][v]));
            return;
        }
        int size = ohms.length;
        double[] toU = ohms[u].clone();
        double[] toV = ohms[v].clone();
        for (int x = 0; x < size; x++) {
            for (int y = 0; y < size; y++) {
                if (toU[x] != OPEN && toV[y] != OPEN) {
                    ohms[x][y] = toU[x] + ohm + toV[y];
                    ohms[y][x] = ohms[x][y];
                }
            }
        }
    }

    private static void remove(double[][] ohms, int u, int v, double ohm) {
        if (!isBridge(ohms, u, v, ohm)) {
            within(ohms, u, v, 1 / (ohms[u][v] - ohm));
            return;
        }
        boolean[] onU = side(ohms, u, v);
        separate(ohms, u, v, onU, OPEN);
    }

    private static void alter(double[][] ohms, int u, int v, double was, double is) {
        if (isBridge(ohms, u, v, was)) {
            separate(ohms, u, v, side(ohms, u, v), is - was);
            return;
        }
        // Both steps at once: the edge's conductance changes by 1/is - 1/was.
        double siemens = 1 / is - 1 / was;
        within(ohms, u, v, siemens / (1 + siemens * ohms[u][v]));
    }

    private static boolean isBridge(double[][] ohms, int u, int v, double ohm) {
        return ohm - ohms[u][v] <= BRIDGE * ohm;
    }

    /** Which terminals are nearer to u than to v: those on u's side of a bridge between the two. */
    private static boolean[] side(double[][] ohms, int u, int v) {
        boolean[] onU = new boolean[ohms.length];
        for (int x = 0; x < ohms.length; x++) {
            onU[x] = ohms[x][u] < ohms[x][v];
        }
        return onU;
    }

    /** Adds ohms to every way that crosses the bridge from u to v. */
    private static void separate(double[][] ohms, int u, int v, boolean[] onU, double more) {
        boolean[] inside = new boolean[ohms.length];
        for (int x = 0; x < ohms.length; x++) {
            inside[x] = ohms[x][u] != OPEN && ohms[x][v] != OPEN;
        }
        for (int x = 0; x < ohms.length; x++) {
            for (int y = 0; y < ohms.length; y++) {
                if (inside[x] && inside[y] && onU[x] != onU[y]) {
                    ohms[x][y] += more;
                }
            }
        }
    }

    /** The rank-one change of all pairs in the component of u and v; {@code weight} is 1 / (r + R(u,v)). */
    private static void within(double[][] ohms, int u, int v, double weight) {
        int size = ohms.length;
        if (Double.isInfinite(weight)) {
            return; // 0 ohm beside 0 ohm changes nothing
        }
        double[] toU = ohms[u].clone();
        double[] toV = ohms[v].clone();
        for (int x = 0; x < size; x++) {
            for (int y = 0; y < x; y++) {
                if (ohms[x][y] != OPEN && toU[x] != OPEN) {
                    double f = (toV[x] + toU[y] - toU[x] - toV[y]) / 2;
                    ohms[x][y] -= f * f * weight;
                    ohms[y][x] = ohms[x][y];
                }
            }
        }
    }
}
