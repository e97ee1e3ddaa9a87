package zestymarten.web.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.locate.WireChain;
import zestymarten.web.platform.Words;

/**
 * A chain stretched over the page to scale: how likely the fault is along it as its thickness, points that a probe reaches as
 * beads, readings under them, the next one to probe, and where a reading jumped.
 *
 * @param pieces from left to right, each with its thickness
 * @param beads every point between two pieces
 * @param names of the conductors and parts, over their middle
 */
public record ChainDrawing(
        double width,
        double height,
        double axis,
        List<ChainPiece> pieces,
        List<ChainBead> beads,
        List<ChainName> names) {
    private static final double WIDTH = 1100;
    private static final double MARGIN = 50;
    private static final double AXIS = 74;
    private static final double HEIGHT = 150;
    private static final double ENTRY = 16;
    private static final double MIN = 84;
    private static final double THICKEST = 40;
    private static final double THINNEST = 4;

    public ChainDrawing {
        pieces = List.copyOf(pieces);
        beads = List.copyOf(beads);
        names = List.copyOf(names);
    }

    /** Part of the chain; {@code out} if it is known not to hold the fault. */
    public record ChainPiece(double x, double width, double thickness, boolean out, boolean jumped) {}

    /** A point: its name, whether a probe reaches it, whether it is next, and what was read there from the first one. */
    public record ChainBead(double x, String name, boolean probed, boolean next, String reading) {}

    /** What a stretch is, and the zone it runs in with its length. */
    public record ChainName(double x, String name, String zone) {}

    /**
     * Draws a chain.
     *
     * @param readings ready text by point
     * @param next the point to probe next; empty where there is none
     * @param factors by the point at a part's end, how much likelier the fault is there than before anything was read; 0 where it
     *     is known not to be
     * @param jumps zones and connectors where a reading jumped
     */
    public static ChainDrawing of(
            WireChain chain,
            Map<String, String> readings,
            Optional<String> next,
            Map<String, Double> factors,
            Set<String> jumps) {
        double metres =
                chain.parts().stream().mapToDouble(WireChain.Part::lengthM).sum();
        double room = WIDTH - 2 * MARGIN - MIN * chain.parts().size();
        double densest = chain.parts().stream()
                .mapToDouble(each -> factor(factors, each) * Math.max(each.entry(), Math.max(each.run(), each.exit())))
                .filter(each -> each > 0)
                .max()
                .orElse(1);
        List<ChainPiece> pieces = new ArrayList<>();
        List<ChainBead> beads = new ArrayList<>();
        List<ChainName> names = new ArrayList<>();
        double x = MARGIN;
        beads.add(bead(x, chain.start(), true, Optional.empty(), readings));
        for (WireChain.Part part : chain.parts()) {
            double share =
                    metres > 0 ? part.lengthM() / metres : 1.0 / chain.parts().size();
            double width = MIN + Math.max(0, room) * share;
            double factor = factor(factors, part);
            boolean without = factor == 0;
            boolean exit = jumps.contains(part.to().connector());
            pieces.add(new ChainPiece(x, ENTRY, thickness(factor * part.entry(), densest), without, false));
            pieces.add(new ChainPiece(
                    x + ENTRY,
                    width - 2 * ENTRY,
                    thickness(factor * part.run(), densest),
                    without,
                    jumps.contains(part.zone())));
            pieces.add(
                    new ChainPiece(x + width - ENTRY, ENTRY, thickness(factor * part.exit(), densest), without, exit));
            String length = part.lengthM() > 0 ? Words.figure(part.lengthM(), "m") : "";
            names.add(new ChainName(
                    x + width / 2,
                    part.name(),
                    Stream.of(part.zone(), length)
                            .filter(each -> !each.isEmpty())
                            .collect(Collectors.joining(", "))));
            x += width;
            beads.add(bead(x, part.to(), part.probed(), next, readings));
        }
        return new ChainDrawing(WIDTH, HEIGHT, AXIS, pieces, beads, names);
    }

    private static ChainBead bead(
            double x, Terminal at, boolean probed, Optional<String> next, Map<String, String> readings) {
        boolean isNext = next.filter(at.name()::equals).isPresent();
        return new ChainBead(x, at.name(), probed, isNext, readings.getOrDefault(at.name(), ""));
    }

    private static double factor(Map<String, Double> factors, WireChain.Part part) {
        return factors.getOrDefault(part.to().name(), 1.0);
    }

    private static double thickness(double likelihood, double densest) {
        return THINNEST + (THICKEST - THINNEST) * Math.sqrt(likelihood / densest);
    }
}
