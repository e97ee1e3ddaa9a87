package zestymarten.core.finding;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jgrapht.Graph;
import org.jgrapht.alg.connectivity.KosarajuStrongConnectivityInspector;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.DirectedMultigraph;
import org.jspecify.annotations.Nullable;

/**
 * Decides which far ends have moved to which cavities.
 *
 * <p>Method: a wire that is not home may have its far end in a cavity of the group in which its near end answers. In a
 * group of exactly one such near end and one such cavity the move explains both and is taken. Elsewhere a move only pays
 * in a cycle, where several moves are one finding; cycles lie within the strongly connected components of the graph that
 * leads each wire from the group of its cavity to the group of its near end. Each component is searched for the choice
 * with the fewest findings, then the fewest moved ends, then the most of them in cycles, then the smallest list of moves
 * in design order. Cost: linear where groups are simple; exponential in the wires of a tangled component, which is
 * searched whole up to {@value #SEARCHED} wires and beyond that reduced to its simple moves. Order: design order.
 */
final class Moves {
    private static final int SEARCHED = 9;

    /**
     * A wire that is not home.
     *
     * @param bonded whether its near end is joined to the frame on purpose
     * @param nearGroup group of its near end
     * @param cavity number of the cavity that is its own; cavities without such a wire have numbers above all wires
     */
    record Wire(int number, int nearGroup, int cavity, boolean bonded) {}

    private final List<Wire> wires;
    private final Map<Integer, List<Integer>> cavitiesOf = new HashMap<>();
    private final Map<Integer, Integer> groupOfCavity;
    private final Map<Integer, List<Wire>> nearOf;
    private final Set<Integer> occupied;
    private final int frameGroup;

    /**
     * @param wires in design order
     * @param groupOfCavity group of every cavity that could hold a moved end
     * @param occupied groups that hold an intact wire too
     * @param frameGroup group of the frame, which is something else for every wire but those bonded to it
     */
    Moves(List<Wire> wires, Map<Integer, Integer> groupOfCavity, Set<Integer> occupied, int frameGroup) {
        this.wires = wires;
        this.groupOfCavity = groupOfCavity;
        this.occupied = occupied;
        this.frameGroup = frameGroup;
        nearOf = wires.stream().collect(Collectors.groupingBy(Wire::nearGroup));
        groupOfCavity.forEach((cavity, group) ->
                cavitiesOf.computeIfAbsent(group, any -> new ArrayList<>()).add(cavity));
        cavitiesOf.values().forEach(list -> list.sort(Comparator.naturalOrder()));
    }

    /** Wire number to the number of the cavity that its far end is in; wires that did not move are absent. */
    Map<Integer, Integer> decide() {
        Map<Integer, Integer> moves = new TreeMap<>();
        for (Wire wire : wires) {
            if (isSimple(wire.nearGroup())) {
                moves.put(wire.number(), cavities(wire).get(0));
            }
        }
        bondedIntoCavities(moves);
        for (List<Wire> tangle : tangles()) {
            if (tangle.size() <= SEARCHED) {
                Search search = new Search(tangle);
                search.from(0, new TreeMap<>());
                moves.putAll(search.best());
            }
        }
        return moves;
    }

    /**
     * Wires bonded to the frame are one piece with it, so that several of them explain as many cavities in the frame's
     * group, if nothing else is in it: taken in design order.
     */
    private void bondedIntoCavities(Map<Integer, Integer> moves) {
        List<Wire> bonded = nearOf.getOrDefault(frameGroup, List.of());
        List<Integer> cavities = cavitiesOf.getOrDefault(frameGroup, List.of());
        boolean alone = !occupied.contains(frameGroup) && bonded.stream().allMatch(Wire::bonded);
        if (alone && bonded.size() > 1 && cavities.size() <= bonded.size()) {
            for (int i = 0; i < cavities.size(); i++) {
                moves.put(bonded.get(i).number(), cavities.get(i));
            }
        }
    }

    /** One near end, one cavity and nothing else: the move explains both. */
    private boolean isSimple(int group) {
        boolean frame = group == frameGroup
                && !nearOf.getOrDefault(group, List.of()).stream().allMatch(Wire::bonded);
        return !frame
                && !occupied.contains(group)
                && nearOf.getOrDefault(group, List.of()).size() == 1
                && cavitiesOf.getOrDefault(group, List.of()).size() == 1;
    }

    private List<Integer> cavities(Wire wire) {
        return cavitiesOf.getOrDefault(wire.nearGroup(), List.of());
    }

    /** Strongly connected components with at least one group that is not simple, as their wires in design order. */
    private List<List<Wire>> tangles() {
        if (wires.stream()
                .allMatch(wire -> isSimple(wire.nearGroup()) || cavities(wire).isEmpty())) {
            return List.of();
        }
        Graph<Integer, DefaultEdge> graph = new DirectedMultigraph<>(DefaultEdge.class);
        for (Wire wire : wires) {
            Integer from = groupOfCavity.get(wire.cavity());
            if (from != null) {
                graph.addVertex(from);
                graph.addVertex(wire.nearGroup());
                graph.addEdge(from, wire.nearGroup());
            }
        }
        Map<Integer, Integer> component = new HashMap<>();
        int count = 0;
        for (Set<Integer> members : new KosarajuStrongConnectivityInspector<>(graph).stronglyConnectedSets()) {
            for (int group : members) {
                component.put(group, count);
            }
            count++;
        }
        return byComponent(component).values().stream()
                .filter(inside -> inside.stream().anyMatch(wire -> !isSimple(wire.nearGroup())))
                .toList();
    }

    private Map<Integer, List<Wire>> byComponent(Map<Integer, Integer> component) {
        Map<Integer, List<Wire>> inside = new TreeMap<>();
        for (Wire wire : wires) {
            Integer from = groupOfCavity.get(wire.cavity());
            Integer home = from == null ? null : component.get(from);
            if (home != null && home.equals(component.get(wire.nearGroup()))) {
                inside.computeIfAbsent(home, any -> new ArrayList<>()).add(wire);
            }
        }
        return inside;
    }

    /** The wires of every cycle of moves, each cycle starting with its first wire in design order. */
    static List<List<Integer>> cycles(Map<Integer, Integer> moves, Map<Integer, Integer> wireOfCavity) {
        List<List<Integer>> cycles = new ArrayList<>();
        Map<Integer, Integer> seenFrom = new HashMap<>();
        for (int start : new TreeMap<>(moves).keySet()) {
            List<Integer> walk = new ArrayList<>();
            @Nullable Integer at = start;
            while (at != null && moves.containsKey(at) && !seenFrom.containsKey(at)) {
                seenFrom.put(at, start);
                walk.add(at);
                at = wireOfCavity.get(moves.get(at));
            }
            if (at != null && !walk.isEmpty() && walk.contains(at)) {
                cycles.add(walk.subList(walk.indexOf(at), walk.size()));
            }
        }
        return cycles;
    }

    /** Tries every choice of moves within one tangle. */
    private final class Search {
        private final List<Wire> tangle;
        private final Map<Integer, Integer> wireOfCavity = new HashMap<>();
        private Map<Integer, Integer> best = Map.of();
        private int bestSaved = -1;
        private int bestMoved;
        private int bestInCycles;

        Search(List<Wire> tangle) {
            this.tangle = tangle;
            tangle.forEach(wire -> wireOfCavity.put(wire.cavity(), wire.number()));
        }

        Map<Integer, Integer> best() {
            return best;
        }

        void from(int index, Map<Integer, Integer> moves) {
            if (index == tangle.size()) {
                consider(moves);
                return;
            }
            Wire wire = tangle.get(index);
            for (int cavity : cavities(wire)) {
                if (!moves.containsValue(cavity)) {
                    moves.put(wire.number(), cavity);
                    from(index + 1, moves);
                    moves.remove(wire.number());
                }
            }
            if (!isSimple(wire.nearGroup())) {
                from(index + 1, moves);
            }
        }

        /** A cycle of k moves is one finding instead of k: it saves k - 1. Earlier choices come first in design order. */
        private void consider(Map<Integer, Integer> moves) {
            List<List<Integer>> cycles = cycles(moves, wireOfCavity);
            int inCycles = cycles.stream().mapToInt(List::size).sum();
            int saved = inCycles - cycles.size();
            boolean better = saved > bestSaved
                    || (saved == bestSaved && moves.size() < bestMoved)
                    || (saved == bestSaved && moves.size() == bestMoved && inCycles > bestInCycles);
            if (better) {
                best = new TreeMap<>(moves);
                bestSaved = saved;
                bestMoved = moves.size();
                bestInCycles = inCycles;
            }
        }
    }
}
