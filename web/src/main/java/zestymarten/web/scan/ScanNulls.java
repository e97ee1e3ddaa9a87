package zestymarten.web.scan;

import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.scan.Points;

/**
 * What the path to each point has in ohms, read with a plug that joins all points: relays, adapter, and the leads' share.
 *
 * @param residual what a pair of points reads with the plug after both their paths are taken off
 * @param ohms of each point, from the first; none where none were read
 */
record ScanNulls(double residual, List<Double> ohms) {
    static final ScanNulls NONE = new ScanNulls(0, List.of());

    private static final String WRITTEN = "[0-9.]{1,12}( [0-9.]{1,12}){0,4000}";

    ScanNulls {
        ohms = List.copyOf(ohms);
    }

    /** Reads what {@link #text} wrote; none where it is anything else. */
    static ScanNulls of(String text) {
        if (!text.matches(WRITTEN)) {
            return NONE;
        }
        List<Double> figures =
                Arrays.stream(text.split(" ")).map(Double::valueOf).toList();
        return new ScanNulls(figures.get(0), figures.subList(1, figures.size()));
    }

    /** As a page carries it: the residual, then every point. */
    String text() {
        return ohms.isEmpty()
                ? ""
                : figure(residual) + " " + ohms.stream().map(ScanNulls::figure).collect(Collectors.joining(" "));
    }

    private static String figure(double ohm) {
        return EngineeringFormat.figure(Math.max(0, Math.round(ohm * 10_000) / 10_000.0));
    }

    boolean areRead() {
        return !ohms.isEmpty();
    }

    /** The path of a side: of its best point. */
    double of(Set<Terminal> side, Points points) {
        OptionalDouble minimum = side.stream()
                .flatMap(each -> points.of(each).stream())
                .filter(point -> point <= ohms.size())
                .mapToDouble(point -> ohms.get(point - 1))
                .min();
        return minimum.orElse(0);
    }
}
