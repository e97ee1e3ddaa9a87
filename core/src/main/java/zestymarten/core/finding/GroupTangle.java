package zestymarten.core.finding;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.NetOptions.Option;
import zestymarten.core.finding.WireGraph.WireEdge;
import zestymarten.core.network.Groups;

/**
 * Nets that fell apart into common groups, and the choices of {@link NetOptions} that explain them together.
 *
 * <p>Method: every combination of the nets' options is tried, bounded by the findings that are certain already. Kept are
 * those with the fewest findings, then the fewest moved ends, then most of them in cycles; all that tie. Cost: exponential
 * in the nets of one tangle, cut off after {@value #MAX_TRIED} combinations, in one of more than
 * {@value #LARGE} nets after {@value #MAX_TRIED_LARGE}. Order: that of the options.
 */
final class GroupTangle {
    private static final int MAX_TRIED = 60_000;
    private static final int LARGE = 8;
    private static final int MAX_TRIED_LARGE = 500;
    private static final int MAX_KEPT = 20;

    private final WireGraph graph;
    private final List<List<WireEdge>> nets;
    private final List<List<Option>> options;
    private final Map<Integer, List<Finding.Piece>> settled;
    private final Map<Terminal, Integer> groupOf;
    private final Set<Set<Finding>> seen = new HashSet<>();
    private final List<RatedFindings> best = new ArrayList<>();
    private int tried;

    /** Findings that explain the tangle, with what they are compared by. */
    private record RatedFindings(List<Finding> findings, int moved, int inCycles) {
        boolean isBelow(RatedFindings other) {
            int count = Integer.compare(findings.size(), other.findings.size());
            int ends = Integer.compare(moved, other.moved);
            return count != 0 ? count < 0 : ends != 0 ? ends < 0 : inCycles > other.inCycles;
        }
    }

    /**
     * @param options for each net what {@link NetOptions} gives
     * @param settled what sits in each group besides these nets: whole nets and the frame
     * @param groupOf the groups of the probed terminals of these nets, and of the empty cavities in the same groups
     */
    GroupTangle(
            WireGraph graph,
            List<List<WireEdge>> nets,
            List<List<Option>> options,
            Map<Integer, List<Finding.Piece>> settled,
            Map<Terminal, Integer> groupOf) {
        this.graph = graph;
        this.nets = nets;
        this.options = options;
        this.settled = settled;
        this.groupOf = groupOf;
    }

    /** The explanations that tie for the best, at least one. */
    List<List<Finding>> explanations() {
        keep(rated(options.stream().map(GroupTangle::unmoved).toList()));
        choose(0, new ArrayList<>(), new HashSet<>(), 0);
        return best.stream().map(RatedFindings::findings).toList();
    }

    /** The option of a net in which nothing has moved: there is always one. */
    private static Option unmoved(List<Option> options) {
        return options.stream()
                .filter(option -> option.moves().isEmpty())
                .findFirst()
                .orElse(options.get(options.size() - 1));
    }

    private void choose(int net, List<Option> chosen, Set<Terminal> filled, int certain) {
        if (tried >= (nets.size() > LARGE ? MAX_TRIED_LARGE : MAX_TRIED)
                || (!best.isEmpty() && certain > best.get(0).findings().size())) {
            return;
        }
        if (net == nets.size()) {
            tried++;
            if (vacated(chosen)) {
                keep(rated(chosen));
            }
            return;
        }
        for (Option option : options.get(net)) {
            List<Terminal> taken =
                    option.moves().stream().map(Finding.Move::cavity).toList();
            if (taken.stream().noneMatch(filled::contains) && new HashSet<>(taken).size() == taken.size()) {
                filled.addAll(taken);
                chosen.add(option);
                choose(net + 1, chosen, filled, certain + option.open().size());
                chosen.remove(chosen.size() - 1);
                taken.forEach(filled::remove);
            }
        }
    }

    /** Whether every cavity with a moved end in it was left by its own wires: they are open, or that end has moved too. */
    private boolean vacated(List<Option> chosen) {
        Set<Terminal> left = new HashSet<>();
        Set<WireEdge> open = new HashSet<>();
        Set<String> moved = new HashSet<>();
        for (Option option : chosen) {
            open.addAll(option.open());
            option.moves().forEach(move -> {
                left.add(move.designed());
                moved.add(move.conductor() + " " + move.designed());
            });
        }
        return chosen.stream()
                .flatMap(option -> option.moves().stream())
                .allMatch(move -> graph.at(move.cavity()).stream()
                        .allMatch(edge -> open.contains(edge)
                                || (left.contains(move.cavity())
                                        && edge.conductor()
                                                .filter(each -> moved.contains(each.id() + " " + move.cavity()))
                                                .isPresent())));
    }

    private void keep(RatedFindings rated) {
        if (!best.isEmpty() && best.get(0).isBelow(rated)) {
            return;
        }
        if (!best.isEmpty() && rated.isBelow(best.get(0))) {
            best.clear();
            seen.clear();
        }
        if (best.size() < MAX_KEPT && seen.add(Set.copyOf(rated.findings()))) {
            best.add(rated);
        }
    }

    private RatedFindings rated(List<Option> chosen) {
        List<Finding> findings = new ArrayList<>();
        List<Finding.Move> moves = new ArrayList<>();
        List<WireEdge> open = new ArrayList<>();
        for (Option option : chosen) {
            open.addAll(option.open());
            moves.addAll(option.moves());
        }
        int inCycles = 0;
        List<Finding.Move> single = new ArrayList<>(moves);
        for (List<Finding.Move> cycle : cycles(moves)) {
            single.removeAll(cycle);
            inCycles += cycle.size();
            findings.add(new Finding.Crossed(inDesignOrder(cycle)));
        }
        single.forEach(move -> findings.add(new Finding.Misplaced(move)));
        open.forEach(edge -> opened(edge).ifPresent(findings::add));
        findings.addAll(merges(open, moves));
        return new RatedFindings(List.copyOf(findings), moves.size(), inCycles);
    }

    private List<Finding.Move> inDesignOrder(List<Finding.Move> moves) {
        Map<String, Integer> order = new HashMap<>();
        nets.forEach(net ->
                net.forEach(edge -> edge.conductor().ifPresent(each -> order.put(each.id(), edge.order()))));
        return moves.stream()
                .sorted(java.util.Comparator.comparing(move -> order.getOrDefault(move.conductor(), 0)))
                .toList();
    }

    private java.util.Optional<Finding> opened(WireEdge edge) {
        if (edge.conductor().isPresent()) {
            return java.util.Optional.of(new Finding.Open(edge.conductor().get().id(), edge.a(), edge.b()));
        }
        return graph.at(edge.a()).stream()
                .flatMap(each -> each.conductor().stream())
                .findFirst()
                .map(wire -> new Finding.Open(wire.id(), edge.a(), edge.b()));
    }

    private static List<List<Finding.Move>> cycles(List<Finding.Move> moves) {
        Map<Terminal, Finding.Move> byOwn = new HashMap<>();
        moves.forEach(move -> byOwn.put(move.designed(), move));
        List<List<Finding.Move>> cycles = new ArrayList<>();
        Set<Finding.Move> walked = new HashSet<>();
        for (Finding.Move start : moves) {
            List<Finding.Move> walk = new ArrayList<>();
            Finding.Move at = start;
            while (at != null && walked.add(at)) {
                walk.add(at);
                at = byOwn.get(at.cavity());
            }
            if (at != null && walk.contains(at)) {
                cycles.add(walk.subList(walk.indexOf(at), walk.size()));
            }
        }
        return cycles;
    }

    /** One finding for every group of the tangle that still holds several pieces. */
    private List<Finding> merges(List<WireEdge> open, List<Finding.Move> moves) {
        Map<Terminal, Integer> number = new LinkedHashMap<>();
        groupOf.keySet().forEach(each -> number.put(each, number.size()));
        nets.forEach(net -> net.forEach(edge -> {
            number.putIfAbsent(edge.a(), number.size());
            number.putIfAbsent(edge.b(), number.size());
        }));
        Map<String, Finding.Move> moved = new HashMap<>();
        moves.forEach(move -> moved.put(move.conductor(), move));
        Groups groups = new Groups(number.size());
        Map<Integer, Set<String>> wires = new HashMap<>();
        nets.forEach(net -> net.forEach(edge -> {
            if (!open.contains(edge)) {
                Finding.Move move =
                        edge.conductor().map(each -> moved.get(each.id())).orElse(null);
                Terminal a = move != null && move.designed().equals(edge.a()) ? move.cavity() : edge.a();
                Terminal b = move != null && move.designed().equals(edge.b()) ? move.cavity() : edge.b();
                groups.join(number.getOrDefault(a, 0), number.getOrDefault(b, 0));
            }
        }));
        nets.forEach(net -> net.forEach(edge -> edge.conductor()
                .filter(each -> !open.contains(edge))
                .ifPresent(each -> {
                    Finding.Move move = moved.get(each.id());
                    Terminal at = move == null ? edge.a() : move.cavity();
                    wires.computeIfAbsent(groups.of(number.getOrDefault(at, 0)), any -> new java.util.LinkedHashSet<>())
                            .add(each.id());
                })));
        return MergedPieces.of(pieces(groups, number, wires, open), settled);
    }

    private Map<Integer, List<Finding.Piece>> pieces(
            Groups groups, Map<Terminal, Integer> number, Map<Integer, Set<String>> wires, List<WireEdge> open) {
        Map<Integer, List<Finding.Piece>> pieces = new TreeMap<>();
        Set<Integer> placed = new HashSet<>();
        int frame = number.containsKey(Terminal.FRAME) ? groups.of(number.getOrDefault(Terminal.FRAME, 0)) : -1;
        groupOf.forEach((terminal, group) -> {
            int own = groups.of(number.getOrDefault(terminal, 0));
            if (placed.add(own)) {
                Set<String> names = wires.getOrDefault(own, Set.of());
                Finding.Piece piece = own == frame
                        ? new Finding.Piece(List.of(), Terminal.FRAME, Finding.Piece.DeviationForm.FRAME)
                        : names.isEmpty()
                                ? leftOver(terminal, open)
                                : new Finding.Piece(List.copyOf(names), terminal, Finding.Piece.DeviationForm.WIRES);
                pieces.computeIfAbsent(group, any -> new ArrayList<>()).add(piece);
            }
        });
        return pieces;
    }

    /** A terminal without a wire: the stub of an open one, or a cavity that was left or always empty. */
    private Finding.Piece leftOver(Terminal terminal, List<WireEdge> open) {
        return graph.at(terminal).stream()
                .filter(open::contains)
                .flatMap(edge -> edge.conductor().stream())
                .findFirst()
                .map(wire -> new Finding.Piece(List.of(wire.id()), terminal, Finding.Piece.DeviationForm.STUB))
                .orElseGet(() -> new Finding.Piece(List.of(), terminal, Finding.Piece.DeviationForm.CAVITY));
    }
}
