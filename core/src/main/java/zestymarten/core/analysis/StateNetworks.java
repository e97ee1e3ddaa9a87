package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.ToIntFunction;
import java.util.stream.Stream;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.limit.LimitRules;
import zestymarten.core.network.Groups;
import zestymarten.core.network.Link;
import zestymarten.core.network.Network;
import zestymarten.core.network.Path;
import zestymarten.core.quantity.Ohms;

/**
 * The networks of a good unit: in each state, with groups of terminals linked together, with its diodes conducting, and of its
 * conductors alone. Each is made once, of links the last one. Safe to share.
 */
final class StateNetworks {
    private static final Ohms NOTHING = Ohms.of(0);
    private static final String WIRES_ALONE = "wires";

    private final Assembly assembly;
    private final LimitRules limits;
    private final Map<Terminal, Double> halfJoint = new HashMap<>();
    private final Map<String, Network> networks = new ConcurrentHashMap<>();
    private final Map<String, List<Link>> linksOf = new ConcurrentHashMap<>();
    private final Map<String, Network> conductingDiodes = new ConcurrentHashMap<>();
    private final Map<String, Map<Terminal, Integer>> clusters = new ConcurrentHashMap<>();
    private volatile Optional<Network> givenLows = Optional.empty();
    private volatile Optional<LinkedNetwork> lastLinked = Optional.empty();

    private record LinkedNetwork(SwitchState state, List<List<Terminal>> linked, Network network) {}

    StateNetworks(Assembly assembly, LimitRules limits) {
        this.assembly = assembly;
        this.limits = limits;
        assembly.joints().forEach(joint -> joint.maxOhm().ifPresent(ohm -> halfJoint.put(joint.terminal(), ohm / 2)));
    }

    /** What a good unit reads between two terminals in a state, with groups of terminals linked together. */
    Path path(Terminal a, Terminal b, SwitchState state, List<List<Terminal>> linked) {
        if (linked.isEmpty()) {
            return network(state).between(a, b);
        }
        return hangTogether(a, b, linked, each -> cluster(each, state))
                ? withLinked(state, linked).between(a, b)
                : new Path.Open();
    }

    /** The same with every diode conducting like a link. */
    Path pathThroughDiodes(Terminal a, Terminal b, SwitchState state, List<List<Terminal>> linked) {
        return withDiodes(state, linked).between(a, b);
    }

    /** The least that the figures given for conductors allow between two terminals; empty where they are not wired. */
    Optional<Ohms> givenLow(Terminal a, Terminal b) {
        Network given = givenLows.orElseGet(() -> Network.of(assembly.conductors().stream()
                .map(each -> {
                    Ohms low = Ohms.of(each.minOhm().orElse(0));
                    return new Link(each.from(), each.to(), low, low, low);
                })
                .toList()));
        givenLows = Optional.of(given);
        return given.between(a, b) instanceof Path.Ohmic way ? Optional.of(way.low()) : Optional.empty();
    }

    private Network network(SwitchState state) {
        return networks.computeIfAbsent(state.id(), any -> Network.of(links(state, List.of())));
    }

    private List<Link> links(SwitchState state, List<List<Terminal>> linked) {
        List<Link> links = new ArrayList<>(fixedLinks(state));
        for (List<Terminal> group : linked) {
            group.stream().skip(1).forEach(terminal -> links.add(joined(group.get(0), terminal)));
        }
        return links;
    }

    /** Conductors, bonds and parts of a state: their limits are derived once. */
    private List<Link> fixedLinks(SwitchState state) {
        return linksOf.computeIfAbsent(state.id(), any -> {
            List<Link> links = new ArrayList<>();
            assembly.conductors().forEach(conductor -> links.add(link(conductor)));
            assembly.bonded().forEach(terminal -> links.add(joined(terminal, Terminal.FRAME)));
            conducting(state).forEach(component -> links.add(limits.link(component)));
            return List.copyOf(links);
        });
    }

    private static Link joined(Terminal a, Terminal b) {
        return new Link(a, b, NOTHING, NOTHING, NOTHING);
    }

    /** A conductor with its share of what the joints at its ends may add. */
    Link link(Conductor conductor) {
        Link link = limits.link(conductor);
        double joints = halfJoint.getOrDefault(conductor.from(), 0.0) + halfJoint.getOrDefault(conductor.to(), 0.0);
        return joints == 0
                ? link
                : new Link(
                        link.a(),
                        link.b(),
                        link.low(),
                        link.nominal(),
                        link.high().plus(Ohms.of(joints)));
    }

    /** The components that conduct in a state on an ohm range. */
    Stream<Component> conducting(SwitchState state) {
        return assembly.components().stream()
                .filter(component -> component.kind() != Component.ComponentKind.DIODE)
                .filter(component -> component.conductsIn(state));
    }

    /** Whether links lead from the cluster of one terminal to that of the other: far cheaper to ask than to solve. */
    private static boolean hangTogether(
            Terminal a, Terminal b, List<List<Terminal>> linked, ToIntFunction<Terminal> cluster) {
        Map<Integer, Integer> number = new HashMap<>();
        List.of(a, b).forEach(each -> number.putIfAbsent(cluster.applyAsInt(each), number.size()));
        linked.forEach(group -> group.forEach(each -> number.putIfAbsent(cluster.applyAsInt(each), number.size())));
        Groups groups = new Groups(number.size());
        for (List<Terminal> group : linked) {
            for (Terminal each : group) {
                groups.join(
                        number.getOrDefault(cluster.applyAsInt(group.get(0)), 0),
                        number.getOrDefault(cluster.applyAsInt(each), 0));
            }
        }
        return groups.of(number.getOrDefault(cluster.applyAsInt(a), 0))
                == groups.of(number.getOrDefault(cluster.applyAsInt(b), 0));
    }

    /** The network of a setup; the last one is kept, because many measurements share it. */
    private Network withLinked(SwitchState state, List<List<Terminal>> linked) {
        Optional<LinkedNetwork> known = lastLinked.filter(
                each -> each.state().equals(state) && each.linked().equals(linked));
        if (known.isPresent()) {
            return known.get().network();
        }
        Network network = Network.of(links(state, linked));
        lastLinked = Optional.of(new LinkedNetwork(state, linked, network));
        return network;
    }

    private Network withDiodes(SwitchState state, List<List<Terminal>> linked) {
        List<Link> links = new ArrayList<>(links(state, linked));
        assembly.components().stream()
                .filter(part -> part.kind() == Component.ComponentKind.DIODE)
                .forEach(part -> links.add(joined(part.a(), part.b())));
        return linked.isEmpty()
                ? conductingDiodes.computeIfAbsent(state.id(), any -> Network.of(links))
                : Network.of(links);
    }

    /** A number that all terminals share which hang together by conductors and bonds. */
    private int wireCluster(Terminal terminal) {
        return clusters.computeIfAbsent(
                        WIRES_ALONE,
                        any -> clusters(Stream.concat(
                                        assembly.conductors().stream().map(wire -> joined(wire.from(), wire.to())),
                                        assembly.bonded().stream().map(pin -> joined(pin, Terminal.FRAME)))
                                .toList()))
                .getOrDefault(terminal, -1);
    }

    /** Whether conductors and links alone join two terminals. */
    boolean wiredByLinks(Terminal a, Terminal b, List<List<Terminal>> linked) {
        return hangTogether(a, b, linked, this::wireCluster);
    }

    /** A number that all terminals share which hang together by conductors, bonds and parts that conduct in a state. */
    int cluster(Terminal terminal, SwitchState state) {
        return clusters.computeIfAbsent("in " + state.id(), any -> clusters(links(state, List.of())))
                .getOrDefault(terminal, -1);
    }

    private Map<Terminal, Integer> clusters(List<Link> links) {
        Map<Terminal, Integer> number = new HashMap<>();
        assembly.terminals().forEach(terminal -> number.put(terminal, number.size()));
        Groups groups = new Groups(number.size());
        for (Link link : links) {
            groups.join(number.getOrDefault(link.a(), 0), number.getOrDefault(link.b(), 0));
        }
        number.replaceAll((terminal, own) -> groups.of(own));
        return number;
    }
}
