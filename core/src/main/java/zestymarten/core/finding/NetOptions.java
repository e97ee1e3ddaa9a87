package zestymarten.core.finding;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.function.ToIntFunction;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.WireGraph.WireEdge;

/**
 * The ways in which one net can have come apart as it was seen.
 *
 * <p>Method: every probed terminal carries its observed group; a joint that nobody probed may belong to the group of any
 * terminal that reaches it over joints alone. An edge between two groups is cut: it is open, or one of its ends in a pin
 * sits in a cavity of the group in which its other end is. Cost: the choices of joints times those of cut edges, each kept
 * below {@value #MAX}. Order: fewest cuts first, then moved ends before open ones, the far end before the near one.
 */
final class NetOptions {
    private static final int MAX = 600;

    private final ToIntFunction<Terminal> group;
    private final Predicate<Terminal> probed;
    private final Map<Integer, List<Terminal>> cavitiesOf;

    /** One way. */
    record Option(List<WireEdge> open, List<Finding.Move> moves) {
        Option {
            open = List.copyOf(open);
            moves = List.copyOf(moves);
        }
    }

    /**
     * @param group observed group of a probed terminal
     * @param probed whether a probe was on a terminal
     * @param cavitiesOf the cavities of each group that could hold a moved end
     */
    NetOptions(ToIntFunction<Terminal> group, Predicate<Terminal> probed, Map<Integer, List<Terminal>> cavitiesOf) {
        this.group = group;
        this.probed = probed;
        this.cavitiesOf = cavitiesOf;
    }

    List<Option> of(List<WireEdge> net) {
        Set<Option> options = new LinkedHashSet<>();
        TreeMap<Integer, List<List<WireEdge>>> byCuts = new TreeMap<>();
        Map<List<WireEdge>, Map<Terminal, Integer>> labelled = new LinkedHashMap<>();
        for (Map<Terminal, Integer> labels : labellings(net)) {
            List<WireEdge> cut = net.stream()
                    .filter(edge -> !labels.getOrDefault(edge.a(), -1).equals(labels.getOrDefault(edge.b(), -1)))
                    .toList();
            if (labelled.putIfAbsent(cut, labels) == null) {
                byCuts.computeIfAbsent(cut.size(), any -> new ArrayList<>()).add(cut);
            }
        }
        byCuts.values()
                .forEach(cuts -> cuts.forEach(
                        cut -> choose(cut, 0, labelled.getOrDefault(cut, Map.of()), new ArrayList<>(), options)));
        byCuts.values().stream()
                .flatMap(List::stream)
                .findFirst()
                .ifPresent(cut -> options.add(new Option(cut, List.of())));
        return List.copyOf(options);
    }

    /** Every terminal of the net with its group, for each choice of groups for the joints that nobody probed. */
    private List<Map<Terminal, Integer>> labellings(List<WireEdge> net) {
        Map<Terminal, Integer> known = new LinkedHashMap<>();
        List<Terminal> unknown = new ArrayList<>();
        for (WireEdge edge : net) {
            for (Terminal end : List.of(edge.a(), edge.b())) {
                if (probed.test(end)) {
                    known.put(end, group.applyAsInt(end));
                } else if (!unknown.contains(end)) {
                    unknown.add(end);
                }
            }
        }
        List<Map<Terminal, Integer>> all = new ArrayList<>(List.of(known));
        Set<Integer> groups = new LinkedHashSet<>(known.values());
        if (groups.isEmpty()) {
            groups.add(-1);
        }
        for (Terminal joint : unknown) {
            List<Map<Terminal, Integer>> more = new ArrayList<>();
            for (Map<Terminal, Integer> labels : all) {
                for (int each : groups) {
                    if (more.size() < MAX) {
                        Map<Terminal, Integer> one = new LinkedHashMap<>(labels);
                        one.put(joint, each);
                        more.add(one);
                    }
                }
            }
            all = more;
        }
        return all;
    }

    private void choose(
            List<WireEdge> cut,
            int next,
            Map<Terminal, Integer> labels,
            List<Finding.Move> moves,
            Set<Option> options) {
        if (options.size() >= MAX) {
            return;
        }
        if (next == cut.size()) {
            Set<String> moved = new LinkedHashSet<>();
            moves.forEach(move -> moved.add(move.conductor()));
            options.add(new Option(
                    cut.stream()
                            .filter(edge -> edge.conductor()
                                    .filter(each -> moved.contains(each.id()))
                                    .isEmpty())
                            .toList(),
                    moves));
            return;
        }
        for (Finding.Move move : moves(cut.get(next), labels)) {
            moves.add(move);
            choose(cut, next + 1, labels, moves, options);
            moves.remove(moves.size() - 1);
        }
        choose(cut, next + 1, labels, moves, options);
    }

    /** Where either end of a cut conductor may sit instead: within its own connector if that answers, else in another. */
    private List<Finding.Move> moves(WireEdge edge, Map<Terminal, Integer> labels) {
        if (edge.conductor().isEmpty()) {
            return List.of();
        }
        String id = edge.conductor().get().id();
        List<Finding.Move> near = new ArrayList<>();
        List<Finding.Move> elsewhere = new ArrayList<>();
        for (Terminal end : List.of(edge.b(), edge.a())) {
            Terminal fixed = edge.other(end);
            for (Terminal cavity : cavitiesOf.getOrDefault(labels.getOrDefault(fixed, -1), List.of())) {
                boolean possible = end.isPin() && !cavity.equals(end) && !cavity.equals(fixed);
                if (possible && cavity.connector().equals(end.connector())) {
                    near.add(new Finding.Move(id, end, cavity));
                } else if (possible && !cavity.connector().equals(fixed.connector())) {
                    elsewhere.add(new Finding.Move(id, end, cavity));
                }
            }
        }
        return near.isEmpty() ? elsewhere : near;
    }
}
