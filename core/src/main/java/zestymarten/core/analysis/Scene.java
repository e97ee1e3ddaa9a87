package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.limit.Limit;

/**
 * A part of a unit that is explained by itself: some of its nets and parts, and what was read between them.
 *
 * <p>The frame belongs to every scene, its bonds only to the scene of a net that is bonded.
 */
final class Scene {
    /** The least that any edge has, so that it can be taken out again. */
    static final double MIN_OHM = 1e-4;

    private static final double BOND_OHM = 0.1;
    private static final double USUAL_SPREAD = 0.12;

    private final Design design;
    private final Map<Terminal, Integer> node = new HashMap<>();
    private final List<Element> elements;
    private final List<Observation> observations;

    /**
     * @param terminals all that the scene is about; an element belongs to it with both its ends
     * @param observations all those with both probes in it
     */
    Scene(Design design, Set<Terminal> terminals, List<Element> elements, List<Observation> observations) {
        this.design = design;
        Set<Terminal> all = new LinkedHashSet<>(terminals);
        all.add(Terminal.FRAME);
        all.forEach(each -> node.put(each, node.size()));
        this.elements = List.copyOf(elements);
        this.observations = List.copyOf(observations);
    }

    /** Every edge of a design, in design order: conductors, bonds, then parts but for diodes. */
    static List<Element> elements(Design design) {
        List<Element> elements = new ArrayList<>();
        for (Conductor wire : design.assembly().conductors()) {
            Limit limit = design.limitWithJoints(wire);
            elements.add(new Element(wire.from(), wire.to(), Optional.of(wire), Optional.empty(), bounds(limit)));
        }
        for (Terminal pin : design.assembly().terminals()) {
            if (design.assembly().bonded().contains(pin)) {
                NetworkFit.FitEdge bond =
                        new NetworkFit.FitEdge(0, 0, MIN_OHM, MIN_OHM, BOND_OHM, Double.POSITIVE_INFINITY);
                elements.add(new Element(pin, Terminal.FRAME, Optional.empty(), Optional.empty(), bond));
            }
        }
        for (Component part : design.assembly().components()) {
            if (part.kind() != Component.ComponentKind.DIODE) {
                elements.add(new Element(
                        part.a(),
                        part.b(),
                        Optional.empty(),
                        Optional.of(part),
                        bounds(design.limits().of(part))));
            }
        }
        return elements;
    }

    /** A bound that was given is kept to; one that was derived from a length only says what is usual. */
    private static NetworkFit.FitEdge bounds(Limit limit) {
        double high = Math.max(MIN_OHM, limit.high().value());
        double low = limit.lowGiven() ? Math.max(MIN_OHM, limit.low().value()) : MIN_OHM;
        boolean known =
                limit.nominal().isPresent() && !limit.lowGiven() && limit.low().value() > 0;
        double nominal = known ? limit.nominal().get().value() : (low + high) / 2;
        double within = Math.max(low, Math.min(high, nominal));
        return new NetworkFit.FitEdge(
                0,
                0,
                Math.min(low, high),
                within,
                high,
                known ? Math.max(MIN_OHM, USUAL_SPREAD * nominal) : Double.POSITIVE_INFINITY);
    }

    Design design() {
        return design;
    }

    List<Element> elements() {
        return elements;
    }

    List<Observation> observations() {
        return observations;
    }

    boolean holds(Terminal terminal) {
        return node.containsKey(terminal);
    }

    /** Whether an effect is one on what the scene holds. */
    boolean holds(Effect effect) {
        if (effect instanceof Effect.CutElement cut) {
            return elements.contains(cut.element());
        } else if (effect instanceof Effect.Stuck stuck) {
            return elements.contains(stuck.element());
        } else if (effect instanceof Effect.AlteredElement altered) {
            return elements.contains(altered.element());
        } else if (effect instanceof Effect.Jumping jumping) {
            return elements.contains(jumping.element());
        } else if (effect instanceof Effect.Rewired rewired) {
            return rewired.moves().stream().allMatch(move -> holds(move.cavity()) && holds(move.designed()));
        } else if (effect instanceof Effect.Bridged bridged) {
            return bridged.pieces().stream().allMatch(piece -> holds(piece.terminal()));
        }
        Effect.Leaking leaking = (Effect.Leaking) effect;
        return holds(leaking.one().terminal()) && holds(leaking.other().terminal());
    }

    int nodes() {
        return node.size();
    }

    int node(Terminal terminal) {
        Integer found = node.get(terminal);
        if (found == null) {
            throw new IllegalArgumentException("Terminal " + terminal + " is not part of this scene.");
        }
        return found;
    }

    Set<Terminal> terminals() {
        return node.keySet();
    }
}
