package zestymarten.web.demo;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.BiFunction;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.limit.Limits;
import zestymarten.core.network.Link;
import zestymarten.core.network.Network;
import zestymarten.core.quantity.Ohms;

/**
 * A piece built to a design, with the faults it has: the design's own network, changed. It says what a meter with two
 * leads shows between any two terminals.
 */
final class FaultyUnit {
    /** What the two leads and their contacts add to every reading. */
    static final double LEADS_OHM = 0.3;

    private static final double UNLIKE = 0.02;

    private final Assembly assembly;
    private final Limits limits;
    private final Map<String, Terminal> farEnds = new HashMap<>();
    private final Map<String, Double> added = new HashMap<>();
    private final List<Link> shorts = new ArrayList<>();

    FaultyUnit(Assembly assembly, double ambientC) {
        this.assembly = assembly;
        limits = new Limits(ambientC);
    }

    /** The far ends of two conductors have changed places. */
    FaultyUnit swapped(String one, String other) {
        farEnds.put(one, conductor(other).to());
        farEnds.put(other, conductor(one).to());
        return this;
    }

    /** A joint of a conductor has corroded. */
    FaultyUnit corroded(String conductor, double moreOhm) {
        added.put(conductor, moreOhm);
        return this;
    }

    /** Two terminals touch. */
    FaultyUnit shorted(String one, String other, double ohm) {
        Ohms contact = Ohms.of(ohm);
        shorts.add(new Link(Terminal.of(one), Terminal.of(other), contact, contact, contact));
        return this;
    }

    private Conductor conductor(String id) {
        return assembly.conductors().stream()
                .filter(each -> each.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("There is no conductor '" + id + "'."));
    }

    /** What a meter shows between two terminals of it, as a technician types it. */
    BiFunction<Terminal, Terminal, String> onTheBench() {
        Network network = network();
        return (black, red) ->
                network.between(black, red).fold(ohmic -> typed(ohmic.nominal().value() + LEADS_OHM), () -> "OL");
    }

    private Network network() {
        List<Link> links = new ArrayList<>(shorts);
        int number = 0;
        for (Conductor conductor : assembly.conductors()) {
            // No two wires are alike: a fixed spread of a few percent that looks like chance.
            double spread = 1 + UNLIKE * Math.sin(7.3 * ++number);
            double ohm = limits.link(conductor).nominal().value() * spread + added.getOrDefault(conductor.id(), 0.0);
            Ohms exactly = Ohms.of(ohm);
            links.add(new Link(
                    conductor.from(), farEnds.getOrDefault(conductor.id(), conductor.to()), exactly, exactly, exactly));
        }
        return Network.of(links);
    }

    private static String typed(double ohm) {
        return String.format(Locale.ROOT, ohm < 100 ? "%.2f" : "%.1f", ohm);
    }
}
