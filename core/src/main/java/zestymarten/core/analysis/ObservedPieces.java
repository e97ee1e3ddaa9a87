package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Finding;
import zestymarten.core.network.Groups;

/** What hangs together by wires alone once faults were put in: the pieces that a joint can be between. */
final class ObservedPieces {
    private final Variation variation;
    private final Groups groups;
    private final Map<Integer, List<String>> wires = new HashMap<>();
    private final Map<Integer, Terminal> first = new LinkedHashMap<>();

    ObservedPieces(Variation variation) {
        this.variation = variation;
        Scene scene = variation.scene();
        int maximum = variation.edges().stream()
                .mapToInt(edge -> Math.max(edge.a(), edge.b()))
                .max()
                .orElse(0);
        groups = new Groups(Math.max(maximum + 1, scene.nodes()));
        for (int e = 0; e < variation.edges().size(); e++) {
            if (isWire(e)) {
                groups.join(
                        variation.edges().get(e).a(), variation.edges().get(e).b());
            }
        }
        for (int e = 0; e < variation.edges().size(); e++) {
            if (isWire(e)) {
                List<String> names =
                        wires.computeIfAbsent(groups.of(variation.edges().get(e).a()), any -> new ArrayList<>());
                variation.element(e).flatMap(Element::conductor).ifPresent(wire -> {
                    if (!names.contains(wire.id())) {
                        names.add(wire.id());
                    }
                });
            }
        }
        for (Terminal terminal : scene.terminals()) {
            if (terminal.isPin() || terminal.isFrame()) {
                first.putIfAbsent(groups.of(scene.node(terminal)), terminal);
            }
        }
    }

    private boolean isWire(int edge) {
        return variation.element(edge).filter(each -> each.part().isEmpty()).isPresent();
    }

    /** A number that all terminals of a piece share. */
    int number(Terminal terminal) {
        return groups.of(variation.scene().node(terminal));
    }

    boolean isFrame(Terminal terminal) {
        return number(terminal) == number(Terminal.FRAME);
    }

    /** The piece of a terminal. */
    Finding.Piece of(Terminal terminal) {
        int own = number(terminal);
        if (isFrame(terminal)) {
            return new Finding.Piece(List.of(), Terminal.FRAME, Finding.Piece.DeviationForm.FRAME);
        }
        Terminal at = first.getOrDefault(own, terminal);
        List<String> names = wires.getOrDefault(own, List.of());
        if (!names.isEmpty()) {
            return new Finding.Piece(names, at, Finding.Piece.DeviationForm.WIRES);
        }
        for (Effect effect : variation.effects()) {
            if (effect instanceof Effect.CutElement cut
                    && (cut.element().a().equals(at) || cut.element().b().equals(at))
                    && cut.element().conductor().isPresent()) {
                return new Finding.Piece(
                        List.of(cut.element().conductor().get().id()), at, Finding.Piece.DeviationForm.STUB);
            }
        }
        boolean ofPart = variation.scene().elements().stream()
                .anyMatch(each -> each.part().isPresent()
                        && (each.a().equals(at) || each.b().equals(at)));
        return new Finding.Piece(
                List.of(),
                at,
                ofPart || !at.isPin() ? Finding.Piece.DeviationForm.PIN : Finding.Piece.DeviationForm.CAVITY);
    }
}
