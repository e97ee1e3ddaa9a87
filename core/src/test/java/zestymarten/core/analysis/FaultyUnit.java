package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.limit.Limits;
import zestymarten.core.network.Link;
import zestymarten.core.network.Network;
import zestymarten.core.quantity.Ohms;

/** A unit with faults in it, for tests: the design's conductors, moved, broken, joined, and what a meter shows. */
final class FaultyUnit {
    static final double LEADS = 0.25;

    private final Assembly assembly;
    private final Map<String, Terminal> moved = new HashMap<>();
    private final Map<String, Double> added = new HashMap<>();
    private final Set<String> broken = new HashSet<>();
    private final List<Link> extra = new ArrayList<>();

    FaultyUnit(Assembly assembly) {
        this.assembly = assembly;
    }

    FaultyUnit move(String conductor, Terminal cavity) {
        moved.put(conductor, cavity);
        return this;
    }

    FaultyUnit add(String conductor, double ohm) {
        added.put(conductor, ohm);
        return this;
    }

    FaultyUnit cut(String conductor) {
        broken.add(conductor);
        return this;
    }

    FaultyUnit join(Terminal a, Terminal b, double ohm) {
        extra.add(link(a, b, ohm));
        return this;
    }

    private static Link link(Terminal a, Terminal b, double ohm) {
        return new Link(a, b, Ohms.of(ohm), Ohms.of(ohm), Ohms.of(ohm));
    }

    Network network() {
        Limits limits = new Limits(20);
        List<Link> links = new ArrayList<>(extra);
        assembly.bonded().forEach(terminal -> links.add(link(terminal, Terminal.FRAME, 0)));
        for (Conductor conductor : assembly.conductors()) {
            if (!broken.contains(conductor.id())) {
                double ohm = limits.link(conductor).nominal().value() + added.getOrDefault(conductor.id(), 0.0);
                links.add(link(conductor.from(), moved.getOrDefault(conductor.id(), conductor.to()), ohm));
            }
        }
        return Network.of(links);
    }

    /** Every pair of probe points, read once. */
    List<Reading> readings() {
        Network network = network();
        List<Terminal> points = assembly.terminals().stream()
                .filter(each -> each.isPin() || each.isFrame())
                .toList();
        List<Reading> readings = new ArrayList<>();
        for (int i = 0; i < points.size(); i++) {
            for (int j = i + 1; j < points.size(); j++) {
                readings.add(new Reading(
                        points.get(i),
                        points.get(j),
                        shown(network, points.get(i), points.get(j)),
                        assembly.states().get(0),
                        List.of(),
                        OptionalDouble.empty()));
            }
        }
        return readings;
    }

    static String shown(Network network, Terminal a, Terminal b) {
        return network.between(a, b)
                .fold(way -> String.format(Locale.ROOT, "%.2f", way.nominal().value() + LEADS), () -> "OL");
    }
}
