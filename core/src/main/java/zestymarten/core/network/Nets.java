package zestymarten.core.network;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;

/** The nets of an assembly in the order of their first conductors. Cost: linear in the conductors. */
public final class Nets {
    private final List<Net> all;
    private final Map<Terminal, Net> byTerminal;
    private final Map<Terminal, List<Conductor>> conductorsAt;

    private Nets(List<Net> all, Map<Terminal, Net> byTerminal, Map<Terminal, List<Conductor>> conductorsAt) {
        this.all = List.copyOf(all);
        this.byTerminal = Map.copyOf(byTerminal);
        this.conductorsAt = conductorsAt;
    }

    public static Nets of(Assembly assembly) {
        Map<Terminal, Integer> index = new LinkedHashMap<>();
        for (Conductor conductor : assembly.conductors()) {
            index.putIfAbsent(conductor.from(), index.size());
            index.putIfAbsent(conductor.to(), index.size());
        }
        Groups groups = new Groups(index.size());
        for (Conductor conductor : assembly.conductors()) {
            groups.join(index.getOrDefault(conductor.from(), 0), index.getOrDefault(conductor.to(), 0));
        }
        Map<Integer, List<Conductor>> members = new LinkedHashMap<>();
        for (Conductor conductor : assembly.conductors()) {
            members.computeIfAbsent(groups.of(index.getOrDefault(conductor.from(), 0)), any -> new ArrayList<>())
                    .add(conductor);
        }
        List<Net> all = new ArrayList<>();
        Map<Terminal, Net> byTerminal = new HashMap<>();
        for (List<Conductor> conductors : members.values()) {
            LinkedHashSet<Terminal> terminals = new LinkedHashSet<>();
            conductors.forEach(conductor -> terminals.addAll(List.of(conductor.from(), conductor.to())));
            Net net = new Net(
                    terminals.stream()
                            .filter(each -> each.isPin() || each.isFrame())
                            .toList(),
                    conductors,
                    terminals.stream()
                            .anyMatch(
                                    each -> each.isFrame() || assembly.bonded().contains(each)));
            all.add(net);
            terminals.forEach(terminal -> byTerminal.put(terminal, net));
        }
        return new Nets(all, byTerminal, assembly.byTerminal());
    }

    public List<Net> all() {
        return all;
    }

    /** The net of a terminal; empty for a cavity without a wire and for a frame to which nothing is bonded. */
    public Optional<Net> of(Terminal terminal) {
        return Optional.ofNullable(byTerminal.get(terminal));
    }

    /** Whether two terminals are one point in a good unit. */
    public boolean joins(Terminal a, Terminal b) {
        Net net = byTerminal.get(a);
        return net != null && net.equals(byTerminal.get(b));
    }

    /** The conductors on a shortest way between two terminals of one net, in order; empty if they are not in one net. */
    public List<Conductor> route(Terminal from, Terminal to) {
        if (!joins(from, to)) {
            return List.of();
        }
        Map<Terminal, Conductor> cameBy = new HashMap<>();
        Deque<Terminal> queue = new ArrayDeque<>(List.of(from));
        while (!queue.isEmpty() && !cameBy.containsKey(to)) {
            Terminal at = queue.remove();
            for (Conductor conductor : conductorsAt.getOrDefault(at, List.of())) {
                Terminal next = conductor.otherEnd(at);
                if (!next.equals(from) && cameBy.putIfAbsent(next, conductor) == null) {
                    queue.add(next);
                }
            }
        }
        List<Conductor> route = new ArrayList<>();
        for (Terminal at = to; !at.equals(from); ) {
            Conductor conductor = cameBy.get(at);
            if (conductor == null) {
                return List.of();
            }
            route.add(0, conductor);
            at = conductor.otherEnd(at);
        }
        return route;
    }
}
