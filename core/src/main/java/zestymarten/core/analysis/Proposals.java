package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Finding;
import zestymarten.core.quantity.MeterReading;

/**
 * Which single faults, added to those assumed, might explain an observation that they leave unexplained.
 *
 * <p>Rules: where a path is expected and none was read, an edge on the path is open; where none is expected and one was
 * read, two pieces are joined, or a contact stays closed; where a figure is off, an edge that carries its current has other
 * ohms, or is open beside another path, or a joint between two pieces leads round it. Cost: proportional to what hangs
 * together with the two probes, and to the pairs of its pieces where a figure is too low.
 */
final class Proposals {
    private static final double MIN_SHARE = 1e-3;
    private static final int MAX_PIECES = 14;

    /** Of two halves that were linked each piece may be joined to each: so many are tried. */
    private static final int MAX_JOINTS = 240;

    private final WeighedFaults assumed;
    private final Variation variation;
    private final Scene scene;
    private final ObservedPieces pieces;
    private final List<List<Effect>> proposals = new ArrayList<>();

    private Proposals(WeighedFaults assumed) {
        this.assumed = assumed;
        variation = assumed.variation();
        scene = variation.scene();
        pieces = new ObservedPieces(variation);
    }

    /** The assumed faults with one more, or one altered, for each proposal. */
    static List<List<Effect>> of(WeighedFaults assumed, Observation seen) {
        Proposals proposals = new Proposals(assumed);
        proposals.propose(seen);
        return proposals.proposals;
    }

    private void propose(Observation seen) {
        SolvedCircuit circuit = variation.circuit(seen.state(), seen.links());
        int a = scene.node(seen.a());
        int b = scene.node(seen.b());
        if (seen.meaning() instanceof MeterReading.Unstable) {
            if (circuit.joins(a, b)) {
                circuit.way(a, b)
                        .forEach(
                                edge -> variation.element(edge).ifPresent(element -> add(new Effect.Jumping(element))));
            }
        } else if (!circuit.joins(a, b)) {
            joined(seen, circuit);
        } else if (seen.judgement().correctedOhm().isEmpty() || !(seen.meaning() instanceof MeterReading.Value)) {
            parted(circuit, a, b);
        } else {
            off(seen, circuit, a, b);
        }
    }

    private void add(Effect effect) {
        List<Effect> more = new ArrayList<>(assumed.effects());
        if (!more.contains(effect)) {
            more.add(effect);
            proposals.add(more);
        }
    }

    /** A path is expected and none was read. */
    private void parted(SolvedCircuit circuit, int a, int b) {
        Set<Integer> edges = new LinkedHashSet<>(circuit.way(a, b));
        if (circuit.isLooped(a)) {
            edges.addAll(circuit.loopedAt(a));
        }
        Set<Element> elements = new LinkedHashSet<>();
        edges.forEach(edge -> variation.element(edge).ifPresent(elements::add));
        for (Element element : elements) {
            if (element.isContact()) {
                add(new Effect.Stuck(element, false));
            } else {
                add(new Effect.CutElement(element));
            }
            if (element.conductor().isPresent() && wasJoined(element)) {
                add(new Effect.Jumping(element));
            }
        }
    }

    /** Whether another observation was joined over an element that seems open in this one. */
    private boolean wasJoined(Element element) {
        return scene.observations().stream().filter(Observation::joins).anyMatch(each -> {
            SolvedCircuit circuit = variation.circuit(each.state(), each.links());
            int a = scene.node(each.a());
            int b = scene.node(each.b());
            return circuit.joins(a, b)
                    && circuit.way(a, b).stream()
                            .anyMatch(edge -> variation
                                    .element(edge)
                                    .filter(element::equals)
                                    .isPresent());
        });
    }

    /** No path is expected and one was read. */
    private void joined(Observation seen, SolvedCircuit circuit) {
        boolean leaks = seen.judgement().correctedOhm().orElse(0) >= variation.joinedBelowOhm();
        for (Element element : scene.elements()) {
            boolean across = element.isContact()
                    && !element.conductsIn(seen.state())
                    && ((circuit.joins(scene.node(element.a()), scene.node(seen.a()))
                                    && circuit.joins(scene.node(element.b()), scene.node(seen.b())))
                            || (circuit.joins(scene.node(element.b()), scene.node(seen.a()))
                                    && circuit.joins(scene.node(element.a()), scene.node(seen.b()))));
            if (across) {
                add(new Effect.Stuck(element, true));
            }
        }
        List<PossibleJoint> joints = new ArrayList<>();
        List<LinkedSides> linked = seen.linked() ? linkedSides() : List.of();
        List<Terminal> others = reached(seen, seen.b(), circuit);
        for (Terminal one : reached(seen, seen.a(), circuit)) {
            others.forEach(other -> joints.add(new PossibleJoint(
                    one,
                    other,
                    linked.stream().mapToInt(each -> each.speaksFor(one, other)).sum())));
        }
        joints.stream()
                .sorted(Comparator.comparingInt(PossibleJoint::score).reversed())
                .limit(MAX_JOINTS)
                .forEach(each -> bridge(each.one(), each.other(), leaks));
    }

    /** A joint that would explain a reading, and how many readings of linked terminals speak for it. */
    private record PossibleJoint(Terminal one, Terminal other, int score) {}

    /** What was linked at either probe, and whether a path was read. */
    private record LinkedSides(Set<Terminal> near, Set<Terminal> far, boolean joins) {
        int speaksFor(Terminal one, Terminal other) {
            boolean between =
                    (near.contains(one) && far.contains(other)) || (near.contains(other) && far.contains(one));
            return between ? joins ? 1 : -1 : 0;
        }
    }

    private List<LinkedSides> linkedSides() {
        return scene.observations().stream()
                .filter(Observation::linked)
                .map(each -> new LinkedSides(each.withLinks(each.a()), each.withLinks(each.b()), !each.parts()))
                .toList();
    }

    /** A probe's terminal, those that were linked to it, and those that parts lead to: one of each piece. */
    private List<Terminal> reached(Observation seen, Terminal probe, SolvedCircuit circuit) {
        Map<Integer, Terminal> byPiece = new LinkedHashMap<>();
        linked(seen, probe).forEach(each -> byPiece.put(pieces.number(each), each));
        for (Terminal terminal : scene.terminals()) {
            boolean isHere = terminal.isPin() && circuit.joins(scene.node(terminal), scene.node(probe));
            if (isHere && byPiece.size() < MAX_PIECES) {
                byPiece.putIfAbsent(pieces.number(terminal), terminal);
            }
        }
        return List.copyOf(byPiece.values());
    }

    /** A probe's terminal and those that were linked to it, one of each piece. */
    private List<Terminal> linked(Observation seen, Terminal probe) {
        Map<Integer, Terminal> byPiece = new LinkedHashMap<>();
        for (Terminal each : seen.withLinks(probe)) {
            if (scene.holds(each)) {
                byPiece.putIfAbsent(pieces.number(each), each);
            }
        }
        return List.copyOf(byPiece.values());
    }

    private void bridge(Terminal a, Terminal b, boolean leaks) {
        if (pieces.number(a) == pieces.number(b)) {
            return;
        }
        Finding.Piece one = pieces.of(a);
        Finding.Piece other = pieces.of(b);
        if (leaks) {
            add(new Effect.Leaking(one, other));
            return;
        }
        Set<Finding.Piece> group = new LinkedHashSet<>();
        List<Effect> effects = new ArrayList<>();
        for (Effect effect : assumed.effects()) {
            if (effect instanceof Effect.Bridged bridged
                    && (bridged.pieces().contains(one) || bridged.pieces().contains(other))) {
                group.addAll(bridged.pieces()); // what is joined to the same piece is one fault
            } else {
                effects.add(effect);
            }
        }
        if (group.contains(one)
                && group.contains(other)
                && effects.size() == assumed.effects().size() - 1) {
            return;
        }
        group.add(one);
        group.add(other);
        effects.add(new Effect.Bridged(List.copyOf(group)));
        proposals.add(effects);
    }

    /** A path is expected, and its figure is another than what was read. */
    private void off(Observation seen, SolvedCircuit circuit, int a, int b) {
        double[] ohm = assumed.fitted().ohms();
        double[] squares = new double[ohm.length];
        double predicted = circuit.between(a, b, ohm, squares);
        boolean more = seen.judgement().correctedOhm().orElse(0) > predicted;
        Set<Element> carrying = new LinkedHashSet<>();
        for (int edge = 0; edge < squares.length; edge++) {
            if (squares[edge] > MIN_SHARE) {
                variation.element(edge).ifPresent(carrying::add);
            }
        }
        for (Element element : carrying) {
            if (element.part().isPresent()) {
                add(new Effect.AlteredElement(element, Effect.AlteredElement.Side.ANY));
            } else if (!more && element.bounds().low() > Scene.MIN_OHM) {
                add(new Effect.AlteredElement(element, Effect.AlteredElement.Side.BELOW));
            } else if (more) {
                add(new Effect.AlteredElement(element, Effect.AlteredElement.Side.ABOVE));
            }
            if (more && circuit.isLooped(a)) {
                add(element.isContact() ? new Effect.Stuck(element, false) : new Effect.CutElement(element));
            }
        }
        if (!more) {
            roundabout(circuit, a);
        }
    }

    /** A figure that is too low: a joint between any two pieces that hang together by parts, or with the frame. */
    private void roundabout(SolvedCircuit circuit, int node) {
        Map<Integer, Terminal> byPiece = new LinkedHashMap<>();
        for (Terminal terminal : scene.terminals()) {
            boolean together = circuit.joins(scene.node(terminal), node) || terminal.isFrame();
            if (together && (terminal.isPin() || terminal.isFrame())) {
                byPiece.putIfAbsent(pieces.number(terminal), terminal);
            }
        }
        List<Terminal> all = List.copyOf(byPiece.values());
        for (int i = 0; i < Math.min(MAX_PIECES, all.size()); i++) {
            for (int j = i + 1; j < Math.min(MAX_PIECES, all.size()); j++) {
                bridge(all.get(i), all.get(j), false);
            }
        }
    }
}
