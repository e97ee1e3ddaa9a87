package zestymarten.core.finding;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.WireGraph.WireEdge;
import zestymarten.core.network.Groups;

/**
 * Explains which terminals are joined by the fewest faults of the wiring.
 *
 * <p>Method: a net whose probed terminals share one group is home and stays out of it. Of the others each {@link GroupTangle}
 * of common groups is explained by itself: either end of a conductor may have moved, what did not move is open, and what
 * still shares a group is joined. A {@linkplain ConnectorPattern whole connector} reversed or shifted is the base of the
 * explanation where that saves a finding. Cost: linear in the conductors but for the tangles, and once more for each
 * promising pattern. Order: by first conductor in design order. Holds for: applying the findings to the expected wiring
 * gives the same groups again, and leaving one out does not.
 */
public final class FaultClassifier {
    private static final int MORE_FINDINGS = 2;

    private final Assembly assembly;
    private final Partition seen;
    private final Predicate<Terminal> probed;
    private final WireGraph graph;
    private final List<List<WireEdge>> away = new ArrayList<>();
    private final Map<Integer, List<Finding.Piece>> settled = new TreeMap<>();
    private final Map<Integer, List<Terminal>> emptyOf = new TreeMap<>();

    private FaultClassifier(Assembly assembly, Partition seen, Predicate<Terminal> probed) {
        this.assembly = assembly;
        this.seen = seen;
        this.probed = probed;
        graph = WireGraph.of(assembly);
        Set<Terminal> wired = new HashSet<>();
        for (List<WireEdge> net : graph.nets()) {
            Set<Terminal> ends =
                    net.stream().flatMap(edge -> Stream.of(edge.a(), edge.b())).collect(Collectors.toSet());
            wired.addAll(ends);
            List<Terminal> known = ends.stream().filter(probed).sorted().toList();
            if (known.stream().mapToInt(seen::group).distinct().count() > 1) {
                away.add(net);
            } else if (!known.isEmpty()) {
                settle(whole(net, known.get(0), ends.contains(Terminal.FRAME)));
            }
        }
        unwired(wired);
    }

    /**
     * What the groups say.
     *
     * @param pattern a whole connector reversed or shifted; empty if none saves a finding
     * @param fixed findings that every explanation holds
     * @param tangles what can be explained in one way or several, each by itself: at least one explanation of each
     */
    public record Classification(
            Optional<Finding> pattern, Assembly base, List<Finding> fixed, List<List<List<Finding>>> tangles) {
        public Classification {
            fixed = List.copyOf(fixed);
            tangles = List.copyOf(tangles);
        }

        /** How many findings it takes; ends that changed places in a long ring count as so many pairs. */
        int count() {
            return (pattern.isPresent() ? 1 : 0)
                    + fixed.size()
                    + tangles.stream()
                            .flatMap(each -> each.get(0).stream())
                            .mapToInt(Classification::exchanges)
                            .sum();
        }

        private static int exchanges(Finding finding) {
            return finding instanceof Finding.Crossed crossed
                    ? Math.max(1, crossed.moves().size() / 2)
                    : 1;
        }

        /** The findings of the first explanation of each tangle: the pattern, then the others in design order. */
        public List<Finding> findings() {
            return Stream.concat(pattern.stream(), besidePattern().stream()).toList();
        }

        private List<Finding> besidePattern() {
            Map<String, Integer> order = new HashMap<>();
            base.conductors().forEach(wire -> order.put(wire.id(), order.size()));
            return Stream.concat(fixed.stream(), tangles.stream().flatMap(each -> each.get(0).stream()))
                    .sorted(Comparator.comparingInt(finding -> finding.conductors().stream()
                            .mapToInt(id -> order.getOrDefault(id, -1))
                            .min()
                            .orElse(-1)))
                    .toList();
        }
    }

    /**
     * The faults that explain what was seen; none if the unit is wired as designed.
     *
     * @param seen groups of terminals that were seen to be one point
     * @param probed whether a probe was on a terminal; of a joint that nobody probed the group is not known
     */
    public static Classification classify(Assembly assembly, Partition seen, Predicate<Terminal> probed) {
        return all(assembly, seen, probed).get(0);
    }

    /**
     * The same with every pattern of whole connectors, and none, that takes at most {@value #MORE_FINDINGS} findings more
     * than the best: figures may speak for it. The fewest findings first, of as many those without a pattern.
     */
    public static List<Classification> all(Assembly assembly, Partition seen, Predicate<Terminal> probed) {
        Classification plain = new FaultClassifier(assembly, seen, probed).run();
        if (plain.count() < 2) {
            return List.of(plain);
        }
        List<Classification> possible = new ArrayList<>(List.of(plain));
        int fewest = plain.count();
        for (ConnectorPattern pattern : ConnectorPattern.of(assembly, seen)) {
            Optional<Classification> under = under(pattern, assembly, seen, probed, fewest);
            under.ifPresent(possible::add);
            fewest = Math.min(fewest, under.map(Classification::count).orElse(fewest));
        }
        int maximum = fewest + MORE_FINDINGS;
        return possible.stream()
                .filter(each -> each.count() <= Math.min(maximum, plain.count()))
                .sorted(Comparator.comparingInt(Classification::count))
                .toList();
    }

    /** What a pattern leaves to be explained; empty if it holds for too few wires, or saves nothing against so many findings. */
    private static Optional<Classification> under(
            ConnectorPattern pattern, Assembly assembly, Partition seen, Predicate<Terminal> probed, int fewest) {
        Assembly wired = pattern.applied(assembly);
        FaultClassifier classifier = new FaultClassifier(wired, seen, probed);
        if (1 + (classifier.away.size() + 1) / 2 > fewest + MORE_FINDINGS) {
            return Optional.empty(); // two nets that are not home need a finding at least
        }
        Classification under = classifier.run();
        List<Finding> fixed = new ArrayList<>(under.fixed());
        pattern.without(assembly).forEach(wire -> fixed.add(new Finding.Open(wire.id(), wire.from(), wire.to())));
        Set<String> open = Stream.concat(fixed.stream(), under.findings().stream())
                .filter(Finding.Open.class::isInstance)
                .flatMap(each -> each.conductors().stream())
                .collect(Collectors.toSet());
        Finding named = pattern.finding(assembly, open);
        Classification whole =
                new Classification(Optional.of(named), wired, fixed, asDesigned(under.tangles(), assembly));
        boolean holds = !pattern.isTooFew(named.conductors().size())
                && whole.besidePattern().stream().noneMatch(pattern::isContradictedBy);
        return holds ? Optional.of(whole) : Optional.empty();
    }

    /** Open wires under a pattern, between the terminals where they belong. */
    private static List<List<List<Finding>>> asDesigned(List<List<List<Finding>>> tangles, Assembly assembly) {
        Map<String, Conductor> wires = new HashMap<>();
        assembly.conductors().forEach(wire -> wires.put(wire.id(), wire));
        return tangles.stream()
                .map(tangle -> tangle.stream()
                        .map(findings -> findings.stream()
                                .map(finding -> {
                                    Conductor wire = finding instanceof Finding.Open open
                                                    && !open.to().isFrame()
                                            ? wires.get(open.conductor())
                                            : null;
                                    return wire == null ? finding : new Finding.Open(wire.id(), wire.from(), wire.to());
                                })
                                .toList())
                        .toList())
                .toList();
    }

    private static Finding.Piece whole(List<WireEdge> net, Terminal terminal, boolean frame) {
        return frame
                ? new Finding.Piece(List.of(), Terminal.FRAME, Finding.Piece.DeviationForm.FRAME)
                : new Finding.Piece(
                        net.stream()
                                .flatMap(edge -> edge.conductor().stream())
                                .map(Conductor::id)
                                .toList(),
                        first(net, terminal),
                        Finding.Piece.DeviationForm.WIRES);
    }

    /** The first terminal of a net, in the order in which its conductors name them, that a probe can reach. */
    private static Terminal first(List<WireEdge> net, Terminal otherwise) {
        return net.stream()
                .flatMap(edge -> Stream.of(edge.a(), edge.b()))
                .filter(end -> end.isPin() || end.isFrame())
                .findFirst()
                .orElse(otherwise);
    }

    private void settle(Finding.Piece piece) {
        settled.computeIfAbsent(seen.group(piece.terminal()), any -> new ArrayList<>())
                .add(piece);
    }

    /** Terminals without a wire: the frame, pins of parts, and empty cavities. */
    private void unwired(Set<Terminal> wired) {
        Set<Terminal> ofParts = new HashSet<>();
        assembly.components().forEach(part -> ofParts.addAll(List.of(part.a(), part.b())));
        for (Terminal terminal : assembly.terminals()) {
            if (wired.contains(terminal) || !probed.test(terminal)) {
                continue;
            }
            if (terminal.isFrame()) {
                settle(new Finding.Piece(List.of(), terminal, Finding.Piece.DeviationForm.FRAME));
            } else if (ofParts.contains(terminal) || !terminal.isPin()) {
                settle(new Finding.Piece(List.of(), terminal, Finding.Piece.DeviationForm.PIN));
            } else {
                emptyOf.computeIfAbsent(seen.group(terminal), any -> new ArrayList<>())
                        .add(terminal);
            }
        }
    }

    private Classification run() {
        List<List<List<Finding>>> tangles = new ArrayList<>();
        Set<Integer> tangled = new HashSet<>();
        for (List<List<WireEdge>> nets : byCommonGroups()) {
            Map<Terminal, Integer> groupOf = groupOf(nets);
            tangled.addAll(groupOf.values());
            NetOptions options = new NetOptions(seen::group, probed, cavitiesOf(nets));
            tangles.add(
                    new GroupTangle(graph, nets, nets.stream().map(options::of).toList(), settled, groupOf)
                            .explanations());
        }
        Map<Integer, List<Finding.Piece>> apart = new TreeMap<>();
        settled.forEach((group, pieces) -> {
            if (!tangled.contains(group)) {
                apart.put(group, pieces);
            }
        });
        Map<Integer, List<Finding.Piece>> cavities = new TreeMap<>();
        emptyOf.forEach((group, terminals) -> {
            if (!tangled.contains(group)) {
                cavities.put(
                        group,
                        terminals.stream()
                                .map(each -> new Finding.Piece(List.of(), each, Finding.Piece.DeviationForm.CAVITY))
                                .toList());
                apart.putIfAbsent(group, List.of());
            }
        });
        return new Classification(Optional.empty(), assembly, MergedPieces.of(apart, cavities), tangles);
    }

    /** The nets that are not home, those that share a group together. */
    private List<List<List<WireEdge>>> byCommonGroups() {
        Map<Integer, Integer> number = new HashMap<>();
        for (List<WireEdge> net : away) {
            groups(net).forEach(group -> number.putIfAbsent(group, number.size()));
        }
        Groups together = new Groups(number.size());
        for (List<WireEdge> net : away) {
            List<Integer> groups = groups(net);
            groups.forEach(
                    group -> together.join(number.getOrDefault(groups.get(0), 0), number.getOrDefault(group, 0)));
        }
        Map<Integer, List<List<WireEdge>>> tangles = new LinkedHashMap<>();
        for (List<WireEdge> net : away) {
            int tangle = together.of(number.getOrDefault(groups(net).get(0), 0));
            tangles.computeIfAbsent(tangle, any -> new ArrayList<>()).add(net);
        }
        return List.copyOf(tangles.values());
    }

    private List<Integer> groups(List<WireEdge> net) {
        return net.stream()
                .flatMap(edge -> Stream.of(edge.a(), edge.b()))
                .filter(probed)
                .map(seen::group)
                .distinct()
                .toList();
    }

    /** The groups of the probed terminals of nets, and of the empty cavities in the same groups. */
    private Map<Terminal, Integer> groupOf(List<List<WireEdge>> nets) {
        Map<Terminal, Integer> groupOf = new LinkedHashMap<>();
        nets.forEach(net -> net.forEach(edge ->
                Stream.of(edge.a(), edge.b()).filter(probed).forEach(end -> groupOf.put(end, seen.group(end)))));
        for (int group : Set.copyOf(groupOf.values())) {
            emptyOf.getOrDefault(group, List.of()).forEach(cavity -> groupOf.put(cavity, group));
        }
        return groupOf;
    }

    /** By group the cavities in which a moved end may sit: empty ones, and those of the nets themselves. */
    private Map<Integer, List<Terminal>> cavitiesOf(List<List<WireEdge>> nets) {
        Map<Integer, List<Terminal>> cavities = new HashMap<>();
        groupOf(nets).forEach((terminal, group) -> {
            if (terminal.isPin()) {
                cavities.computeIfAbsent(group, any -> new ArrayList<>()).add(terminal);
            }
        });
        return cavities;
    }
}
