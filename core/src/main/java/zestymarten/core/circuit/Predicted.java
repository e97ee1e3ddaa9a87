package zestymarten.core.circuit;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.network.Change;
import zestymarten.core.network.Network;
import zestymarten.core.network.WhatIf;

/**
 * What a circuit reads under a pattern.
 *
 * <p>Method: one network for each way to link the ends; a pattern is a few changes to its edges, see {@link WhatIf}. Cost: a
 * pattern and a spot take the same time in a circuit of any size. Not for several threads: it remembers what a good circuit reads.
 */
public final class Predicted {
    private static final Factor FACTOR = new Factor();

    private final Circuit circuit;
    private final Map<Linked, Network> crossed = new EnumMap<>(Linked.class);
    private final Map<Pattern.Broken, Map<Spot, OptionalDouble>> opened = new HashMap<>();
    private final Map<Spot, OptionalDouble> good = new HashMap<>();
    private final Map<Linked, Network> straight = new EnumMap<>(Linked.class);

    public Predicted(Circuit circuit) {
        this.circuit = circuit;
        for (Linked linked : Linked.values()) {
            crossed.put(linked, Network.of(circuit.links(linked, true)));
            straight.put(linked, circuit.ring() ? Network.of(circuit.links(linked, false)) : network(linked, true));
        }
    }

    private Network network(Linked linked, boolean crossing) {
        Network network = (crossing ? crossed : straight).get(linked);
        if (network == null) {
            throw new IllegalStateException("No network for " + linked + ".");
        }
        return network;
    }

    /** Ohms at a spot of a circuit as it is meant to be; empty where there is no way through. */
    public OptionalDouble good(Spot spot) {
        return good.computeIfAbsent(spot, any -> network(spot.linked(), true).nominal(spot.a(), spot.b()));
    }

    /** Ohms at a spot under a pattern; empty where there is no way through. */
    public OptionalDouble of(Pattern pattern, Spot spot) {
        if (!pattern.fold(new Meets(spot))) {
            return good(spot);
        }
        return pattern instanceof Pattern.Loose loose ? loose(loose, spot) : changed(pattern, spot);
    }

    /**
     * An edge of r ohm, with R between its ends, that gets x ohm more: of what opening it would add to a reading, the share
     * {@code x / (x + r² / (r - R))} is added. Source: Sherman and Morrison's formula, its value at x over that at infinity.
     */
    private OptionalDouble loose(Pattern.Loose loose, Spot spot) {
        Pattern.Broken open = new Pattern.Broken(loose.role(), loose.stretch());
        OptionalDouble good = good(spot);
        OptionalDouble broken =
                opened.computeIfAbsent(open, any -> new HashMap<>()).computeIfAbsent(spot, any -> changed(open, spot));
        if (good.isEmpty()) {
            return good;
        }
        double was = good.getAsDouble();
        if (broken.isEmpty()) {
            return OptionalDouble.of(was + loose.ohm());
        }
        double ohm = circuit.stretches().get(loose.stretch()).ohm(loose.role(), circuit.celsius());
        double ends = good(new Spot(
                        spot.linked(),
                        circuit.node(loose.role(), loose.stretch()),
                        circuit.node(loose.role(), loose.stretch() + 1)))
                .orElseThrow();
        // A bridge that the pair does not cross: ohm and ends are the same, and nothing is added.
        double share = loose.ohm() * (ohm - ends) / (loose.ohm() * (ohm - ends) + ohm * ohm);
        return OptionalDouble.of(was + (broken.getAsDouble() - was) * share);
    }

    private OptionalDouble changed(Pattern pattern, Spot spot) {
        boolean wrong = pattern instanceof Pattern.WrongWay way && way.linked() == spot.linked();
        Network network = network(spot.linked(), !wrong);
        List<Change> changes = pattern.fold(new Changes(circuit));
        OptionalDouble ohm = changes.isEmpty()
                ? network.nominal(spot.a(), spot.b())
                : WhatIf.of(network, changes).between(spot.a(), spot.b());
        double factor = pattern.fold(FACTOR);
        return ohm.isPresent() ? OptionalDouble.of(factor * ohm.getAsDouble()) : ohm;
    }

    /**
     * Ohms of line and another conductor, added, from the origin to a point, both ends in service: what a fault at the point
     * adds to the supply's own.
     */
    public double inService(Role other, String point) {
        Linked linked = other == Role.NEUTRAL ? Linked.LINE_NEUTRAL : Linked.LINE_PROTECTIVE;
        Spot spot = Spot.at(linked, point);
        // Every end of a ring linked to its own makes the two loops symmetric about the origin, as the busbars do.
        return network(linked, false).nominal(spot.a(), spot.b()).orElseThrow();
    }

    /** The factor on all ohms: 1 but for a circuit of another length. */
    private static final class Factor extends Same<Double> {
        Factor() {
            super(1.0);
        }

        @Override
        public Double longer(Pattern.Longer pattern) {
            return pattern.factor();
        }
    }

    /** Whether a pattern can change what a spot reads: most name one conductor, or one point. */
    private static final class Meets extends Same<Boolean> {
        private final Spot spot;

        Meets(Spot spot) {
            super(true);
            this.spot = spot;
        }

        private boolean meets(Role role) {
            return role == Role.LINE
                    || role == spot.linked().other()
                    || spot.a().name().contains(role.letter())
                    || spot.b().name().contains(role.letter());
        }

        @Override
        public Boolean good() {
            return false;
        }

        @Override
        public Boolean broken(Pattern.Broken pattern) {
            return meets(pattern.role());
        }

        @Override
        public Boolean loose(Pattern.Loose pattern) {
            return meets(pattern.role());
        }

        @Override
        public Boolean onSpur(Pattern.OnSpur pattern) {
            return pattern.point().equals(spot.point());
        }

        @Override
        public Boolean swapped(Pattern.Swapped pattern) {
            return pattern.point().equals(spot.point());
        }

        @Override
        public Boolean missing(Pattern.Missing pattern) {
            return pattern.point().equals(spot.point());
        }
    }

    /** What a pattern does to the edges. */
    private static final class Changes extends Same<List<Change>> {
        private final Circuit circuit;

        Changes(Circuit circuit) {
            super(List.of());
            this.circuit = circuit;
        }

        @Override
        public List<Change> broken(Pattern.Broken pattern) {
            return List.of(new Change.Removed(
                    from(pattern.role(), pattern.stretch()),
                    to(pattern.role(), pattern.stretch()),
                    ohm(pattern.role(), pattern.stretch())));
        }

        @Override
        public List<Change> loose(Pattern.Loose pattern) {
            double was = ohm(pattern.role(), pattern.stretch());
            return List.of(new Change.Altered(
                    from(pattern.role(), pattern.stretch()),
                    to(pattern.role(), pattern.stretch()),
                    was,
                    was + pattern.ohm()));
        }

        @Override
        public List<Change> onSpur(Pattern.OnSpur pattern) {
            return each(role -> new Change.Altered(
                    Circuit.behind(role, pattern.point()),
                    Circuit.at(role, pattern.point()),
                    Circuit.CONTACT_OHM,
                    Circuit.CONTACT_OHM + cable(role, pattern.metres())));
        }

        @Override
        public List<Change> interconnected(Pattern.Interconnected pattern) {
            return each(role -> new Change.Added(
                    circuit.node(role, pattern.from()),
                    circuit.node(role, pattern.to()),
                    cable(role, pattern.metres())));
        }

        @Override
        public List<Change> swapped(Pattern.Swapped pattern) {
            return List.of(
                    contact(pattern.a(), pattern.point()),
                    contact(pattern.b(), pattern.point()),
                    new Change.Added(
                            Circuit.behind(pattern.a(), pattern.point()),
                            Circuit.at(pattern.b(), pattern.point()),
                            Circuit.CONTACT_OHM),
                    new Change.Added(
                            Circuit.behind(pattern.b(), pattern.point()),
                            Circuit.at(pattern.a(), pattern.point()),
                            Circuit.CONTACT_OHM));
        }

        @Override
        public List<Change> missing(Pattern.Missing pattern) {
            return List.of(contact(pattern.role(), pattern.point()));
        }

        private static Change contact(Role role, String point) {
            return new Change.Removed(Circuit.behind(role, point), Circuit.at(role, point), Circuit.CONTACT_OHM);
        }

        private static List<Change> each(java.util.function.Function<Role, Change> change) {
            return List.of(change.apply(Role.LINE), change.apply(Role.NEUTRAL), change.apply(Role.PROTECTIVE));
        }

        private Terminal from(Role role, int stretch) {
            return circuit.node(role, stretch);
        }

        private Terminal to(Role role, int stretch) {
            return circuit.node(role, stretch + 1);
        }

        private double ohm(Role role, int stretch) {
            return circuit.stretches().get(stretch).ohm(role, circuit.celsius());
        }

        /** Cable that nobody drew is taken to be like the first stretch. */
        private double cable(Role role, double metres) {
            return ohm(role, 0) * metres / circuit.stretches().get(0).metres();
        }
    }

    /** The same answer for every member, but for those that say otherwise. */
    private abstract static class Same<T> implements Pattern.Cases<T> {
        private final T answer;

        Same(T answer) {
            this.answer = answer;
        }

        @Override
        public T good() {
            return answer;
        }

        @Override
        public T wrongWay(Pattern.WrongWay pattern) {
            return answer;
        }

        @Override
        public T broken(Pattern.Broken pattern) {
            return answer;
        }

        @Override
        public T loose(Pattern.Loose pattern) {
            return answer;
        }

        @Override
        public T onSpur(Pattern.OnSpur pattern) {
            return answer;
        }

        @Override
        public T interconnected(Pattern.Interconnected pattern) {
            return answer;
        }

        @Override
        public T swapped(Pattern.Swapped pattern) {
            return answer;
        }

        @Override
        public T missing(Pattern.Missing pattern) {
            return answer;
        }

        @Override
        public T longer(Pattern.Longer pattern) {
            return answer;
        }
    }
}
