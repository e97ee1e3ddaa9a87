package zestymarten.core.network;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.quantity.Ohms;
import zestymarten.core.quantity.Patience;

/**
 * Effective resistance between any two terminals, with exact bounds.
 *
 * <p>Method: effective resistance never falls when an edge's resistance rises (Rayleigh's monotonicity law), so the
 * bounds of a pair are its resistance with all edges low and with all edges high. Each of the three networks is solved
 * per connected component, see {@link Resistances}. What a fault would make of it is asked of {@link WhatIf}. Immutable
 * after construction and safe to share.
 */
public final class Network {
    private final Resistances low;
    private final Resistances nominal;
    private final Resistances high;

    private Network(List<Link> links) {
        Map<Terminal, Integer> index = new HashMap<>(2 * links.size());
        int[] a = new int[links.size()];
        int[] b = new int[links.size()];
        for (int i = 0; i < links.size(); i++) {
            a[i] = number(index, links.get(i).a());
            b[i] = number(index, links.get(i).b());
        }
        double[] minimum = ohms(links, link -> link.low().value());
        double[] usual = ohms(links, link -> link.nominal().value());
        double[] maximum = ohms(links, link -> link.high().value());
        nominal = Resistances.of(index, a, b, usual);
        low = Arrays.equals(minimum, usual) ? nominal : Resistances.of(index, a, b, minimum);
        high = Arrays.equals(maximum, usual) ? nominal : Resistances.of(index, a, b, maximum);
    }

    private static int number(Map<Terminal, Integer> index, Terminal terminal) {
        Integer known = index.putIfAbsent(terminal, index.size());
        return known == null ? index.size() - 1 : known;
    }

    private static double[] ohms(List<Link> links, ToDoubleFunction<Link> ohm) {
        return links.stream().mapToDouble(ohm).toArray();
    }

    public static Network of(List<Link> links) {
        Patience.check();
        return new Network(List.copyOf(links));
    }

    /** What a good unit reads between two terminals; a terminal that no link names is open to all others. */
    public Path between(Terminal a, Terminal b) {
        OptionalDouble lowest = low.between(a, b);
        OptionalDouble expected = nominal.between(a, b);
        OptionalDouble highest = high.between(a, b);
        if (lowest.isEmpty() || expected.isEmpty() || highest.isEmpty()) {
            return new Path.Open();
        }
        // The three solves round apart by parts in 1e15; the order is a law and is kept.
        double maximum = Math.max(highest.getAsDouble(), lowest.getAsDouble());
        return new Path.Ohmic(ohms(lowest.getAsDouble()), ohms(expected.getAsDouble()), ohms(maximum));
    }

    /** Ohms with every edge at its nominal value; empty where there is no path. */
    public OptionalDouble nominal(Terminal a, Terminal b) {
        return nominal.between(a, b);
    }

    private static Ohms ohms(double value) {
        return Ohms.of(Math.min(Ohms.MAX, Math.max(0, value)));
    }
}
