package zestymarten.core.analysis;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Finding;
import zestymarten.core.finding.MergedPieces;
import zestymarten.core.limit.Limit;
import zestymarten.core.network.Net;
import zestymarten.core.quantity.Ohms;

/** Names what was put into the network as faults of the wiring, and the other way round. */
final class NamedFaults {
    /** Below this share of its least value a part counts as bypassed rather than off. */
    private static final double SHORTED_SHARE = 0.1;

    private static final int FIGURES = 3;

    private final Design design;
    private final Map<String, Integer> order = new HashMap<>();

    NamedFaults(Design design) {
        this.design = design;
        design.assembly().conductors().forEach(wire -> order.put(wire.id(), order.size()));
    }

    /** A fault that can be distinguished from others: its kind and what would be repaired. */
    record Name(String kind, List<String> names) {
        Name {
            names = List.copyOf(new TreeSet<>(names));
        }
    }

    /**
     * By what faults are distinguished: unlike figures and unlike sides of a crossing are the same fault. Of a whole connector
     * it counts which one it is, as that one is taken apart.
     */
    static Name name(Finding finding) {
        List<String> names = new ArrayList<>(finding.named());
        if (finding instanceof Finding.Mirrored || finding instanceof Finding.Shifted) {
            finding.moved().forEach(move -> names.add(move.designed().connector()));
        }
        boolean whole = finding instanceof Finding.Misplaced || finding instanceof Finding.Extra;
        if (names.isEmpty() || whole) {
            finding.terminals().forEach(each -> names.add(each.name()));
        }
        return new Name(finding.kind(), names);
    }

    /** The faults of a weighed set, in design order; each with the effects that it stands for. */
    Map<Finding, List<Effect>> of(WeighedFaults weighed) {
        Map<Finding, List<Effect>> named = new LinkedHashMap<>();
        Map<Optional<Net>, List<Effect>> low = new LinkedHashMap<>();
        for (Effect effect : weighed.effects()) {
            if (effect instanceof Effect.AlteredElement altered
                    && altered.side() == Effect.AlteredElement.Side.BELOW
                    && altered.element().conductor().isPresent()) {
                low.computeIfAbsent(design.nets().of(altered.element().a()), any -> new ArrayList<>())
                        .add(effect);
            } else {
                named.put(of(effect, weighed), List.of(effect));
            }
        }
        low.values().forEach(effects -> named.put(tooLow(effects, weighed), effects));
        Map<Finding, List<Effect>> sorted = new LinkedHashMap<>();
        named.entrySet().stream()
                .sorted(Comparator.comparingInt(entry -> place(entry.getKey())))
                .forEach(entry -> sorted.put(entry.getKey(), entry.getValue()));
        return sorted;
    }

    int place(Finding finding) {
        return finding.conductors().stream()
                .mapToInt(id -> order.getOrDefault(id, Integer.MAX_VALUE))
                .min()
                .orElse(Integer.MAX_VALUE);
    }

    private Finding of(Effect effect, WeighedFaults weighed) {
        if (effect instanceof Effect.CutElement cut) {
            return open(cut.element());
        } else if (effect instanceof Effect.Rewired rewired) {
            return rewired.moves().size() == 1
                    ? new Finding.Misplaced(rewired.moves().get(0))
                    : new Finding.Crossed(rewired.moves());
        } else if (effect instanceof Effect.Stuck stuck) {
            return part(Finding.PartFault.STATE, stuck.element(), Optional.empty(), Optional.empty());
        } else if (effect instanceof Effect.AlteredElement altered) {
            return altered(altered.element(), weighed);
        } else if (effect instanceof Effect.Bridged bridged) {
            return MergedPieces.finding(inDesignOrder(bridged.pieces()));
        } else if (effect instanceof Effect.Leaking leaking) {
            return leak(leaking, weighed);
        }
        Element element = ((Effect.Jumping) effect).element();
        return new Finding.Intermittent(
                element.conductor().map(Conductor::id).stream().toList(), element.a(), element.b());
    }

    private List<Finding.Piece> inDesignOrder(List<Finding.Piece> pieces) {
        return pieces.stream()
                .sorted(Comparator.comparingInt(piece -> piece.conductors().stream()
                        .mapToInt(id -> order.getOrDefault(id, 0))
                        .min()
                        .orElse(Integer.MAX_VALUE)))
                .toList();
    }

    private Finding open(Element element) {
        if (element.part().isPresent()) {
            return part(Finding.PartFault.OPEN, element, Optional.empty(), Optional.empty());
        }
        String wire = element.conductor()
                .or(() -> design.conductorsAt(element.a()).stream().findFirst())
                .map(Conductor::id)
                .orElse(element.a().name());
        return new Finding.Open(wire, element.a(), element.b());
    }

    private static Finding part(Finding.PartFault fault, Element element, Optional<Ohms> ohm, Optional<Limit> limit) {
        Component part = element.part().orElseThrow();
        return new Finding.PartAtFault(fault, part.id(), part.a(), part.b(), ohm, limit);
    }

    private Finding altered(Element element, WeighedFaults weighed) {
        Ohms ohm = ohms(element, weighed);
        if (element.part().isEmpty()) {
            Ohms limit = Ohms.of(element.bounds().high());
            List<String> names = element.conductor().map(Conductor::id).stream().toList();
            return new Finding.HighResistance(names, element.a(), element.b(), ohm, limit);
        }
        Limit limit = design.limits().of(element.part().get());
        boolean shorted = ohm.value() < limit.low().value() * SHORTED_SHARE;
        Finding.PartFault fault = shorted ? Finding.PartFault.SHORT : Finding.PartFault.VALUE;
        return part(fault, element, Optional.of(ohm), Optional.of(limit));
    }

    /** To three figures, which is what readings that were fitted together are good for. */
    private static Ohms fitted(double ohm) {
        return Ohms.of(new BigDecimal(Math.min(Ohms.MAX, ohm))
                .round(new MathContext(FIGURES))
                .doubleValue());
    }

    private static Ohms ohms(Element element, WeighedFaults weighed) {
        double sum = weighed.variation().edgesOf(element).stream()
                .mapToDouble(edge -> weighed.fitted().ohm(edge))
                .sum();
        return fitted(sum);
    }

    private Finding tooLow(List<Effect> effects, WeighedFaults weighed) {
        List<Element> elements = effects.stream()
                .map(effect -> ((Effect.AlteredElement) effect).element())
                .sorted(Comparator.comparingInt(element -> order.getOrDefault(
                        element.conductor().map(Conductor::id).orElse(""), 0)))
                .toList();
        double sum = elements.stream()
                .mapToDouble(each -> ohms(each, weighed).value())
                .sum();
        double minimum =
                elements.stream().mapToDouble(each -> each.bounds().low()).sum();
        List<Terminal> ends = new ArrayList<>();
        for (Element element : elements) {
            for (Terminal end : List.of(element.a(), element.b())) {
                if (!ends.remove(end)) {
                    ends.add(end);
                }
            }
        }
        Terminal from = ends.isEmpty() ? elements.get(0).a() : ends.get(0);
        Terminal to = ends.size() < 2 ? elements.get(0).b() : ends.get(1);
        List<String> names = elements.stream()
                .flatMap(each -> each.conductor().stream())
                .map(Conductor::id)
                .toList();
        return new Finding.LowResistance(names, from, to, fitted(sum), Ohms.of(minimum));
    }

    private Finding leak(Effect.Leaking leaking, WeighedFaults weighed) {
        List<String> names = new ArrayList<>(leaking.one().conductors());
        names.addAll(leaking.other().conductors());
        double ohm = 0;
        for (int edge = 0; edge < weighed.variation().edges().size(); edge++) {
            boolean added = weighed.variation().element(edge).isEmpty();
            if (added) {
                ohm = Math.max(ohm, weighed.fitted().ohm(edge));
            }
        }
        return new Finding.Leak(names, leaking.one().terminal(), leaking.other().terminal(), fitted(ohm));
    }

    /** A fault of the joining as it is put into a scene; empty if the scene does not hold it. */
    static Optional<Effect> effect(Finding finding, Scene scene) {
        if (finding instanceof Finding.Open open) {
            return scene.elements().stream()
                    .filter(each -> (open.to().isFrame() && each.isBond())
                            ? each.a().equals(open.from())
                            : each.isCalled(open.conductor()) && !isBondOf(open, scene))
                    .findFirst()
                    .map(Effect.CutElement::new);
        }
        if (!finding.moved().isEmpty()) {
            boolean here = finding.moved().stream()
                    .allMatch(move -> scene.holds(move.cavity())
                            && scene.elements().stream().anyMatch(each -> each.isCalled(move.conductor())));
            return here ? Optional.of(new Effect.Rewired(finding.moved())) : Optional.empty();
        }
        List<Finding.Piece> pieces = finding instanceof Finding.Shorted shorted
                ? shorted.pieces()
                : finding instanceof Finding.FrameShort toFrame
                        ? withFrame(toFrame.pieces())
                        : finding instanceof Finding.Extra extra ? extra.pieces() : List.of();
        return !pieces.isEmpty() && pieces.stream().allMatch(piece -> scene.holds(piece.terminal()))
                ? Optional.of(new Effect.Bridged(pieces))
                : Optional.empty();
    }

    private static boolean isBondOf(Finding.Open open, Scene scene) {
        return open.to().isFrame()
                && scene.elements().stream()
                        .anyMatch(each -> each.isBond() && each.a().equals(open.from()));
    }

    private static List<Finding.Piece> withFrame(List<Finding.Piece> pieces) {
        List<Finding.Piece> all = new ArrayList<>(pieces);
        all.add(new Finding.Piece(List.of(), Terminal.FRAME, Finding.Piece.DeviationForm.FRAME));
        return all;
    }
}
