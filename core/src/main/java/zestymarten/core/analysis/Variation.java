package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Finding;
import zestymarten.core.network.Groups;

/**
 * A scene with faults put into it: its edges, each with its bounds, and which of them conduct in a state and setup.
 *
 * <p>Where a piece is joined along a conductor, that conductor becomes two edges with the place between them: where along
 * it the joint is follows from what was read. A frame that ends are linked to is a return with a resistance of its own. Cost: linear in the elements.
 */
final class Variation {
    private static final double NOTHING_KNOWN = Double.POSITIVE_INFINITY;
    private static final double MAX_OHM = 1e9;
    private static final double USUAL_RETURN_OHM = 1e-3;
    private static final double MAX_RETURN_OHM = 2;

    private final Scene scene;
    private final List<Effect> effects;
    private final List<NetworkFit.FitEdge> edges = new ArrayList<>();
    private final List<Optional<Element>> elements = new ArrayList<>();
    private final Map<Element, List<Integer>> edgesOf = new HashMap<>();
    private final Set<Element> stuckClosed = new LinkedHashSet<>();
    private final Set<Element> stuckOpen = new LinkedHashSet<>();
    private final Set<Element> jumping = new LinkedHashSet<>();
    private final Set<Integer> joints = new LinkedHashSet<>();
    private final Map<Setup, SolvedCircuit> circuits = new HashMap<>();
    private final double joinedBelowOhm;
    private final int frameReturn;
    private final int returnEdge;
    private int nodes;

    /** A state and the groups of terminals that are linked. */
    private record Setup(SwitchState state, List<List<Terminal>> links) {}

    /**
     * @param along for each piece of each bridge the conductor along which it is joined; pieces that are not in it are
     *     joined at their terminal
     * @param joinedBelowOhm what a joint may have at most
     * @param inTurn whether several pieces are joined one to another, as what was read between them says, rather than all in
     *     one place
     */
    Variation(
            Scene scene,
            List<Effect> effects,
            Map<Finding.Piece, Conductor> along,
            double joinedBelowOhm,
            boolean inTurn) {
        this.scene = scene;
        this.effects = List.copyOf(effects);
        this.joinedBelowOhm = joinedBelowOhm;
        nodes = scene.nodes();
        Map<String, Map<Terminal, Terminal>> moved = new HashMap<>();
        Map<Element, Effect.AlteredElement> altered = new HashMap<>();
        Set<Element> cut = new LinkedHashSet<>();
        for (Effect effect : effects) {
            if (effect instanceof Effect.CutElement one) {
                cut.add(one.element());
            } else if (effect instanceof Effect.Rewired rewired) {
                rewired.moves()
                        .forEach(move -> moved.computeIfAbsent(move.conductor(), any -> new HashMap<>())
                                .put(move.designed(), move.cavity()));
            } else if (effect instanceof Effect.Stuck stuck) {
                (stuck.closed() ? stuckClosed : stuckOpen).add(stuck.element());
            } else if (effect instanceof Effect.AlteredElement one) {
                altered.put(one.element(), one);
            } else if (effect instanceof Effect.Jumping one) {
                jumping.add(one.element());
            }
        }
        for (Element element : scene.elements()) {
            if (!cut.contains(element)) {
                Map<Terminal, Terminal> ends =
                        element.conductor().map(each -> moved.get(each.id())).orElse(null);
                Terminal a = ends == null ? element.a() : ends.getOrDefault(element.a(), element.a());
                Terminal b = ends == null ? element.b() : ends.getOrDefault(element.b(), element.b());
                Effect.AlteredElement other = altered.get(element);
                NetworkFit.FitEdge bounds = other == null ? element.bounds() : altered(other);
                add(Optional.of(element), scene.node(a), scene.node(b), bounds);
            }
        }
        frameReturn = nodes++;
        returnEdge = edges.size();
        add(
                Optional.empty(),
                frameReturn,
                scene.node(Terminal.FRAME),
                new NetworkFit.FitEdge(0, 0, Scene.MIN_OHM, USUAL_RETURN_OHM, MAX_RETURN_OHM, NOTHING_KNOWN));
        for (Effect effect : effects) {
            if (effect instanceof Effect.Bridged bridged) {
                if (inTurn && bridged.pieces().size() > 2) {
                    bridgeInTurn(bridged.pieces(), along, cut);
                } else {
                    bridge(bridged.pieces(), along, cut);
                }
            } else if (effect instanceof Effect.Leaking leaking) {
                add(
                        Optional.empty(),
                        scene.node(leaking.one().terminal()),
                        scene.node(leaking.other().terminal()),
                        new NetworkFit.FitEdge(0, 0, joinedBelowOhm / 2, 1e5, 1e12, NOTHING_KNOWN));
            }
        }
    }

    private static NetworkFit.FitEdge altered(Effect.AlteredElement altered) {
        NetworkFit.FitEdge bounds = altered.element().bounds();
        return switch (altered.side()) {
            case ABOVE ->
                new NetworkFit.FitEdge(
                        0, 0, bounds.high(), 2 * bounds.high(), Math.max(MAX_OHM, bounds.high()), NOTHING_KNOWN);
            case BELOW ->
                new NetworkFit.FitEdge(
                        0, 0, Scene.MIN_OHM, bounds.low(), Math.max(Scene.MIN_OHM, bounds.low()), NOTHING_KNOWN);
            case ANY -> new NetworkFit.FitEdge(0, 0, Scene.MIN_OHM, bounds.nominal(), MAX_OHM, NOTHING_KNOWN);
        };
    }

    private void add(Optional<Element> element, int a, int b, NetworkFit.FitEdge bounds) {
        element.ifPresent(
                each -> edgesOf.computeIfAbsent(each, any -> new ArrayList<>()).add(edges.size()));
        elements.add(element);
        edges.add(new NetworkFit.FitEdge(a, b, bounds.low(), bounds.nominal(), bounds.high(), bounds.spread()));
    }

    /** All pieces are joined in one place, each through a resistance of its own. */
    private void bridge(List<Finding.Piece> pieces, Map<Finding.Piece, Conductor> along, Set<Element> cut) {
        int middle = nodes++;
        for (Finding.Piece piece : pieces) {
            join(middle, place(piece, along, cut));
        }
    }

    private void join(int a, int b) {
        joints.add(edges.size());
        add(
                Optional.empty(),
                a,
                b,
                new NetworkFit.FitEdge(0, 0, Scene.MIN_OHM, 0.05, joinedBelowOhm / 2, NOTHING_KNOWN));
    }

    /** Pieces are joined by pairs, those first between which the fewest ohms were read, until all hang together. */
    private void bridgeInTurn(List<Finding.Piece> pieces, Map<Finding.Piece, Conductor> along, Set<Element> cut) {
        List<Integer> places =
                pieces.stream().map(piece -> place(piece, along, cut)).toList();
        List<Set<Terminal>> ends = pieces.stream().map(this::terminals).toList();
        Groups together = new Groups(pieces.size());
        scene.observations().stream()
                .filter(each ->
                        !each.linked() && each.judgement().correctedOhm().isPresent())
                .sorted(Comparator.comparingDouble(
                        each -> each.judgement().correctedOhm().getAsDouble()))
                .forEach(each -> joinIfApart(pieceOf(each.a(), ends), pieceOf(each.b(), ends), together, places));
        for (int i = 1; i < pieces.size(); i++) {
            joinIfApart(0, i, together, places);
        }
    }

    /** The number of the piece that has a terminal; -1 if none has it. */
    private static int pieceOf(Terminal terminal, List<Set<Terminal>> ends) {
        return IntStream.range(0, ends.size())
                .filter(i -> ends.get(i).contains(terminal))
                .findFirst()
                .orElse(-1);
    }

    private void joinIfApart(int one, int other, Groups together, List<Integer> places) {
        if (one >= 0 && other >= 0 && together.of(one) != together.of(other)) {
            together.join(one, other);
            join(places.get(one), places.get(other));
        }
    }

    private Set<Terminal> terminals(Finding.Piece piece) {
        Set<Terminal> terminals = new LinkedHashSet<>(List.of(piece.terminal()));
        if (piece.form() == Finding.Piece.DeviationForm.WIRES) {
            scene.elements().stream()
                    .filter(each -> piece.conductors().stream().anyMatch(each::isCalled))
                    .forEach(each -> terminals.addAll(List.of(each.a(), each.b())));
        }
        return terminals;
    }

    /** The node where a piece is joined. */
    private int place(Finding.Piece piece, Map<Finding.Piece, Conductor> along, Set<Element> cut) {
        if (piece.form() == Finding.Piece.DeviationForm.STUB) {
            int end = nodes++;
            double maximum = cut.stream()
                    .filter(each -> piece.conductors().stream().anyMatch(each::isCalled))
                    .mapToDouble(each -> each.bounds().high())
                    .max()
                    .orElse(1);
            add(
                    Optional.empty(),
                    scene.node(piece.terminal()),
                    end,
                    new NetworkFit.FitEdge(0, 0, Scene.MIN_OHM, maximum / 2, maximum, NOTHING_KNOWN));
            return end;
        }
        Conductor wire = along.get(piece);
        Optional<Element> split = wire == null
                ? Optional.empty()
                : edgesOf.keySet().stream()
                        .filter(each -> each.isCalled(wire.id())
                                && edgesOf.getOrDefault(each, List.of()).size() == 1)
                        .findFirst();
        return split.map(this::split).orElseGet(() -> scene.node(piece.terminal()));
    }

    private int split(Element element) {
        int number = edgesOf.getOrDefault(element, List.of()).get(0);
        NetworkFit.FitEdge whole = edges.get(number);
        int middle = nodes++;
        double half = Math.max(Scene.MIN_OHM, whole.nominal() / 2);
        edges.set(number, new NetworkFit.FitEdge(whole.a(), middle, Scene.MIN_OHM, half, whole.high(), NOTHING_KNOWN));
        add(
                Optional.of(element),
                middle,
                whole.b(),
                new NetworkFit.FitEdge(0, 0, Scene.MIN_OHM, half, whole.high(), NOTHING_KNOWN));
        return middle;
    }

    Scene scene() {
        return scene;
    }

    List<Effect> effects() {
        return effects;
    }

    List<NetworkFit.FitEdge> edges() {
        return edges;
    }

    /** The element of an edge; empty for one that a fault has added. */
    Optional<Element> element(int edge) {
        return elements.get(edge);
    }

    /** The numbers of an element's edges; none if it is cut. */
    List<Integer> edgesOf(Element element) {
        return edgesOf.getOrDefault(element, List.of());
    }

    /** Whether an edge is a joint between pieces that should be apart. */
    boolean isJoint(int edge) {
        return joints.contains(edge);
    }

    boolean isJumping(int edge) {
        return elements.get(edge).filter(jumping::contains).isPresent();
    }

    /** Whether an edge conducts in a state. */
    boolean conducts(int edge, SwitchState state) {
        Optional<Element> element = elements.get(edge);
        return element.isEmpty()
                || (!stuckOpen.contains(element.get())
                        && (stuckClosed.contains(element.get()) || element.get().conductsIn(state)));
    }

    /** What conducts in a state with groups of terminals linked; links beyond the scene lead nowhere. */
    SolvedCircuit circuit(SwitchState state, List<List<Terminal>> links) {
        return circuits.computeIfAbsent(new Setup(state, links), any -> made(state, links));
    }

    private SolvedCircuit made(SwitchState state, List<List<Terminal>> links) {
        Groups groups = new Groups(nodes);
        for (List<Terminal> link : links) {
            List<Integer> here =
                    link.stream().filter(scene::holds).map(scene::node).toList();
            here.stream().skip(1).forEach(each -> groups.join(here.get(0), each));
        }
        int[] merged = new int[nodes];
        for (int i = 0; i < nodes; i++) {
            merged[i] = groups.of(i);
        }
        boolean[] conducts = new boolean[edges.size()];
        boolean overFrame = links.stream().anyMatch(link -> link.contains(Terminal.FRAME));
        for (int i = 0; i < conducts.length; i++) {
            conducts[i] = i == returnEdge ? overFrame : conducts(i, state);
        }
        return new SolvedCircuit(edges, merged, conducts);
    }

    double joinedBelowOhm() {
        return joinedBelowOhm;
    }
}
