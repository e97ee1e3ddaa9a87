package zestymarten.core.fault;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.network.Link;
import zestymarten.core.network.Network;
import zestymarten.core.quantity.Ohms;

/**
 * A unit without faults, every edge of it with some ohms, so that each can be taken out again: what faults are put into.
 * Its network is made once for each state. Safe to share.
 */
public final class GoodUnit {
    /** What a bond to the frame, and a part of no stated resistance, has. */
    private static final double TOUCHING = 1e-3;

    private static final double SHARE_OF_LIMIT = 0.5;

    private final Design design;
    private final Map<String, Double> conductors = new HashMap<>();
    private final Map<String, Double> parts = new HashMap<>();
    private final Map<SwitchState, Network> free = new ConcurrentHashMap<>();
    private volatile Optional<LinkedTerminals> lastLinked = Optional.empty();

    private record LinkedTerminals(SwitchState state, List<List<Terminal>> linked, Network network) {}

    private GoodUnit(Design design, ToDoubleFunction<Conductor> spread) {
        this.design = design;
        for (Conductor each : design.assembly().conductors()) {
            conductors.put(each.id(), ohm(design.limits().link(each)) * spread.applyAsDouble(each));
        }
        for (Component each : design.assembly().components()) {
            if (each.kind() != Component.ComponentKind.DIODE) {
                parts.put(each.id(), ohm(design.limits().link(each)));
            }
        }
    }

    /** A unit in which everything has its nominal value; half the limit where that is not known. */
    public static GoodUnit nominal(Design design) {
        return new GoodUnit(design, any -> 1);
    }

    /** A unit in which each conductor has so many times its nominal value. */
    public static GoodUnit spread(Design design, ToDoubleFunction<Conductor> times) {
        return new GoodUnit(design, times);
    }

    private static double ohm(Link link) {
        double nominal = link.nominal().value();
        return Math.max(TOUCHING, nominal > 0 ? nominal : link.high().value() * SHARE_OF_LIMIT);
    }

    public Design design() {
        return design;
    }

    double ohm(Conductor conductor) {
        return conductors.getOrDefault(conductor.id(), TOUCHING);
    }

    double ohm(Component part) {
        return parts.getOrDefault(part.id(), TOUCHING);
    }

    double bondOhm() {
        return TOUCHING;
    }

    /** The component of that name; empty for a diode, which is no edge. */
    Optional<Component> part(String id) {
        return design.assembly().components().stream()
                .filter(each -> each.id().equals(id) && parts.containsKey(id))
                .findFirst();
    }

    /** The network in a state, with groups of terminals linked together; of those linked only the last is kept. */
    Network network(SwitchState state, List<List<Terminal>> linked) {
        if (linked.isEmpty()) {
            return free.computeIfAbsent(state, any -> made(state, linked));
        }
        Optional<LinkedTerminals> known = lastLinked.filter(
                each -> each.state().equals(state) && each.linked().equals(linked));
        if (known.isPresent()) {
            return known.get().network();
        }
        Network network = made(state, linked);
        lastLinked = Optional.of(new LinkedTerminals(state, linked, network));
        return network;
    }

    private Network made(SwitchState state, List<List<Terminal>> linked) {
        List<Link> links = new ArrayList<>();
        for (Conductor each : design.assembly().conductors()) {
            links.add(link(each.from(), each.to(), ohm(each)));
        }
        design.assembly().bonded().forEach(each -> links.add(link(each, Terminal.FRAME, TOUCHING)));
        conducting(state).forEach(each -> links.add(link(each.a(), each.b(), ohm(each))));
        for (List<Terminal> group : linked) {
            group.stream().skip(1).forEach(each -> links.add(link(group.get(0), each, 0)));
        }
        return Network.of(links);
    }

    private Stream<Component> conducting(SwitchState state) {
        return design.assembly().components().stream()
                .filter(part -> part.kind() != Component.ComponentKind.DIODE && part.conductsIn(state));
    }

    private static Link link(Terminal a, Terminal b, double ohm) {
        Ohms exactly = Ohms.of(ohm);
        return new Link(a, b, exactly, exactly, exactly);
    }
}
