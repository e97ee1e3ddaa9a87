package zestymarten.core.circuit;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.function.Function;
import zestymarten.core.network.Network;
import zestymarten.core.network.WhatIf;
import zestymarten.core.quantity.Patience;

/**
 * What a circuit reads under a pattern.
 *
 * <p>Method: one network for each way to link the ends; a pattern is a few changes to its edges, see {@link WhatIf}. Cost: a
 * pattern and a spot take the same time in a circuit of any size. Not for several threads: it remembers what a good circuit reads.
 */
public final class CircuitPrediction {
    private static final Factor FACTOR = new Factor();

    private final Circuit circuit;
    private final PatternChanges changes;
    private final Map<EndLink, Network> crossed = new EnumMap<>(EndLink.class);
    private final Map<Spot, OptionalDouble> good = new HashMap<>();
    private final Map<EndLink, Network> straight = new EnumMap<>(EndLink.class);

    public CircuitPrediction(Circuit circuit) {
        this.circuit = circuit;
        changes = new PatternChanges(circuit);
    }

    Lengths lengths() {
        return circuit.lengths();
    }

    private Network network(EndLink linked, boolean crossing) {
        boolean crosses = crossing || !circuit.ring();
        return (crosses ? crossed : straight)
                .computeIfAbsent(linked, any -> Network.of(circuit.links(linked, crosses)));
    }

    /** Ohms at a spot of a circuit as it is meant to be; empty where there is no path. */
    public OptionalDouble good(Spot spot) {
        return good.computeIfAbsent(spot, any -> network(spot.linked(), true).nominal(spot.a(), spot.b()));
    }

    /** Ohms at a spot under a pattern; empty where there is no path. */
    public OptionalDouble of(Pattern pattern, Spot spot) {
        if (pattern instanceof Pattern.OtherProtective other) {
            return new CircuitPrediction(circuit.withProtective(other.mm2())).good(spot);
        }
        return pattern.fold(new PatternMeets(spot)) ? changed(pattern, spot) : good(spot);
    }

    /** The same for many patterns at the same spots, where what they have in common is calculated once. */
    Many at(List<Spot> spots) {
        return new Many(spots);
    }

    /** Predictions at some spots, as arrays in their order; NaN for no path. */
    final class Many {
        private final List<Spot> spots;
        private final List<PatternMeets> meets;
        private final double[] asDrawn;
        private final Map<Pattern.ConductorBroken, OpenedEdge> opened = new HashMap<>();

        private Many(List<Spot> spots) {
            this.spots = List.copyOf(spots);
            meets = spots.stream().map(PatternMeets::new).toList();
            asDrawn = each(CircuitPrediction.this::good);
        }

        private double[] each(Function<Spot, OptionalDouble> ohm) {
            return spots.stream()
                    .mapToDouble(spot -> ohm.apply(spot).orElse(Double.NaN))
                    .toArray();
        }

        double[] of(Pattern pattern) {
            if (pattern instanceof Pattern.Loose loose) {
                return loose(loose);
            }
            Patience.check();
            if (pattern instanceof Pattern.OtherProtective other) {
                return new CircuitPrediction(circuit.withProtective(other.mm2())).at(spots).asDrawn;
            }
            double[] ohms = asDrawn.clone();
            Map<EndLink, WhatIf> under = new EnumMap<>(EndLink.class);
            for (int i = 0; i < ohms.length; i++) {
                Spot spot = spots.get(i);
                if (pattern.fold(meets.get(i))) {
                    OptionalDouble ohm = under.computeIfAbsent(spot.linked(), linked -> changed(pattern, linked))
                            .between(spot.a(), spot.b());
                    ohms[i] = scaled(pattern, ohm).orElse(Double.NaN);
                }
            }
            return ohms;
        }

        /**
         * An edge of r ohm, with R between its ends, that gets x ohm more: of what opening it would add to a reading, the
         * share {@code x / (x + r² / (r - R))} is added. Source: Sherman and Morrison's formula, its value at x over that at
         * infinity.
         */
        private double[] loose(Pattern.Loose loose) {
            double ohm = changes.ohm(loose.role(), loose.stretch());
            OpenedEdge open = opened.computeIfAbsent(
                    new Pattern.ConductorBroken(loose.role(), loose.stretch()), broken -> opened(broken, ohm));
            double[] ohms = asDrawn.clone();
            for (int i = 0; i < ohms.length; i++) {
                if (Double.isNaN(open.ohms[i])) {
                    ohms[i] += loose.ohm();
                } else if (open.round[i] > 0) {
                    // A bridge that the pair does not cross has no way round, and nothing is added.
                    double share = loose.ohm() * open.round[i] / (loose.ohm() * open.round[i] + ohm * ohm);
                    ohms[i] += (open.ohms[i] - ohms[i]) * share;
                }
            }
            return ohms;
        }

        private OpenedEdge opened(Pattern.ConductorBroken broken, double ohm) {
            double[] round = spots.stream()
                    .mapToDouble(spot -> ohm
                            - good(new Spot(
                                            spot.linked(),
                                            circuit.node(broken.role(), broken.stretch()),
                                            circuit.node(broken.role(), broken.stretch() + 1)))
                                    .orElseThrow())
                    .toArray();
            return new OpenedEdge(of(broken), round);
        }
    }

    /** What opening an edge makes of the readings, and what its resistance is above those between its ends. */
    private static final class OpenedEdge {
        private final double[] ohms;
        private final double[] round;

        OpenedEdge(double[] ohms, double[] round) {
            this.ohms = ohms;
            this.round = round;
        }
    }

    private OptionalDouble changed(Pattern pattern, Spot spot) {
        return scaled(pattern, changed(pattern, spot.linked()).between(spot.a(), spot.b()));
    }

    /** The network under a pattern while something is linked, lengths as drawn. */
    private WhatIf changed(Pattern pattern, EndLink linked) {
        boolean wrong = pattern instanceof Pattern.WrongWayTwice
                || (pattern instanceof Pattern.WrongWay way && way.linked() == linked);
        return WhatIf.of(network(linked, !wrong), pattern.fold(changes));
    }

    private static OptionalDouble scaled(Pattern pattern, OptionalDouble ohm) {
        return ohm.isPresent() ? OptionalDouble.of(pattern.fold(FACTOR) * ohm.getAsDouble()) : ohm;
    }

    /**
     * Resistance of line and another conductor, added, from the origin to a point, both ends in service: what a fault at the point
     * adds to the supply's own.
     */
    public double inService(ConductorRole other, String point) {
        EndLink linked = circuit.linked(other);
        Spot spot = Spot.at(linked, point);
        // Every end of a ring linked to its own makes the two loops symmetric about the origin, as the busbars do.
        return network(linked, false).nominal(spot.a(), spot.b()).orElseThrow();
    }

    /** Resistance of one line of a radial from the origin to a point, as drawn. */
    double line(String point) {
        ConductorRole line = circuit.roles().get(0);
        return network(EndLink.APART, false)
                .nominal(Circuit.end(line, 'A'), Circuit.at(line, point))
                .orElseThrow();
    }

    /** The factor on all ohms: 1 but for a circuit of another length. */
    private static final class Factor extends SameForAll<Double> {
        Factor() {
            super(1.0);
        }

        @Override
        public Double longer(Pattern.Longer pattern) {
            return pattern.factor();
        }
    }
}
