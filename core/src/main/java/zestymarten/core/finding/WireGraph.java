package zestymarten.core.finding;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.network.Groups;

/**
 * The conductors and frame bonds of an assembly as edges, sorted into what hangs together by them. Parts are no edges here:
 * they are judged by value.
 */
final class WireGraph {
    private final List<List<WireEdge>> nets;
    private final Map<Terminal, List<WireEdge>> at = new HashMap<>();

    /**
     * A conductor, or the bond of a pin to the frame.
     *
     * @param conductor empty for a bond
     * @param order place in the design; bonds come last
     */
    record WireEdge(Terminal a, Terminal b, Optional<Conductor> conductor, int order) {
        Terminal other(Terminal end) {
            return end.equals(a) ? b : a;
        }
    }

    private WireGraph(List<WireEdge> edges) {
        Map<Terminal, Integer> number = new LinkedHashMap<>();
        edges.forEach(edge -> {
            number.putIfAbsent(edge.a(), number.size());
            number.putIfAbsent(edge.b(), number.size());
            at.computeIfAbsent(edge.a(), any -> new ArrayList<>()).add(edge);
            at.computeIfAbsent(edge.b(), any -> new ArrayList<>()).add(edge);
        });
        Groups groups = new Groups(number.size());
        edges.forEach(edge -> groups.join(number.getOrDefault(edge.a(), 0), number.getOrDefault(edge.b(), 0)));
        Map<Integer, List<WireEdge>> members = new LinkedHashMap<>();
        edges.forEach(edge -> members.computeIfAbsent(
                        groups.of(number.getOrDefault(edge.a(), 0)), any -> new ArrayList<>())
                .add(edge));
        nets = List.copyOf(members.values());
    }

    static WireGraph of(Assembly assembly) {
        List<WireEdge> edges = new ArrayList<>();
        for (Conductor conductor : assembly.conductors()) {
            edges.add(new WireEdge(conductor.from(), conductor.to(), Optional.of(conductor), edges.size()));
        }
        assembly.terminals().stream()
                .filter(assembly.bonded()::contains)
                .forEach(pin -> edges.add(new WireEdge(pin, Terminal.FRAME, Optional.empty(), edges.size())));
        return new WireGraph(edges);
    }

    /** The edges of each net, in design order. */
    List<List<WireEdge>> nets() {
        return nets;
    }

    List<WireEdge> at(Terminal terminal) {
        return at.getOrDefault(terminal, List.of());
    }
}
