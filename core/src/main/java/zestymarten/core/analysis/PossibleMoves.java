package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Finding;

/**
 * Moved ends that partial evidence leaves open: a wire that is not home, and another that may sit in its cavity.
 *
 * <p>Rules: only wires between two pins; at least one of the two was not seen whole; none of the pairs that the move would
 * join was seen apart. Complete evidence leaves none, but of two wires whose only way is a joint between them. Cost: the wires
 * of a scene times those that are not home.
 */
final class PossibleMoves {
    private static final int MAX = 300;

    private PossibleMoves() {}

    static List<List<Effect>> of(Scene scene, Connectivity seen) {
        List<Conductor> wires = scene.elements().stream()
                .flatMap(each -> each.conductor().stream())
                .filter(wire -> wire.from().isPin() && wire.to().isPin())
                .filter(wire -> !seen.groups().joins(wire.from(), wire.to()))
                .toList();
        List<List<Effect>> moves = new ArrayList<>();
        for (int i = 0; i < wires.size(); i++) {
            Conductor one = wires.get(i);
            for (Conductor other : wires.subList(i + 1, wires.size())) {
                boolean loose = isLoose(one, seen) || isLoose(other, seen) || crossJoined(one, other, seen);
                if (loose && mayCross(one, other, seen)) {
                    moves.add(crossing(one, other));
                }
            }
            if (isLoose(one, seen)) {
                misplaced(one, scene, seen, moves);
            }
        }
        crossedWithinAJoint(scene, seen, moves);
        return moves;
    }

    /** Two wires that are joined to one another, with too high a resistance in both: the way of each may lead over the joint. */
    private static void crossedWithinAJoint(Scene scene, Connectivity seen, List<List<Effect>> moves) {
        Set<Set<Terminal>> unexpected = scene.observations().stream()
                .filter(each -> each.isUnexpected() && each.joins())
                .map(each -> Set.of(each.a(), each.b()))
                .collect(Collectors.toSet());
        List<Conductor> high = scene.elements().stream()
                .flatMap(each -> each.conductor().stream())
                .filter(wire -> wire.from().isPin() && wire.to().isPin())
                .filter(wire -> unexpected.contains(Set.of(wire.from(), wire.to())))
                .toList();
        for (Conductor one : high) {
            for (Conductor other : high.subList(0, high.indexOf(one))) {
                if (seen.groups().joins(one.from(), other.from()) && mayCross(one, other, seen)) {
                    moves.add(crossing(one, other));
                }
            }
        }
    }

    private static List<Effect> crossing(Conductor one, Conductor other) {
        return List.of(new Effect.Rewired(List.of(
                new Finding.Move(one.id(), one.to(), other.to()), new Finding.Move(other.id(), other.to(), one.to()))));
    }

    /**
     * Every move by itself, beside what the joining says, and beside another move: a wire that was found elsewhere says nothing
     * of where the next one is.
     */
    static List<List<Effect>> beside(List<List<Effect>> starts, List<List<Effect>> moves) {
        Set<List<Effect>> all = new LinkedHashSet<>(moves);
        List<List<Effect>> others = new ArrayList<>(starts);
        others.addAll(moves);
        for (List<Effect> start : others) {
            for (List<Effect> move : moves) {
                if (all.size() < MAX) {
                    both(start, move).ifPresent(all::add);
                }
            }
        }
        return List.copyOf(all);
    }

    /** A start with a move instead of what it says of the wires that move; nothing where both move one or fill one cavity. */
    private static Optional<List<Effect>> both(List<Effect> start, List<Effect> move) {
        Set<String> wires = new HashSet<>();
        Set<Terminal> places = new HashSet<>();
        moves(move).forEach(each -> {
            wires.add(each.conductor());
            places.add(each.cavity());
        });
        if (moves(start).anyMatch(each -> wires.contains(each.conductor()) || places.contains(each.cavity()))) {
            return Optional.empty();
        }
        List<Effect> both = new ArrayList<>();
        start.stream()
                .filter(each -> !(each instanceof Effect.CutElement cut
                        && cut.element()
                                .conductor()
                                .filter(wire -> wires.contains(wire.id()))
                                .isPresent()))
                .forEach(both::add);
        both.addAll(move);
        return Optional.of(both);
    }

    private static Stream<Finding.Move> moves(List<Effect> effects) {
        return effects.stream()
                .flatMap(each -> each instanceof Effect.Rewired rewired ? rewired.moves().stream() : Stream.empty());
    }

    private static boolean isLoose(Conductor wire, Connectivity seen) {
        return seen.isParted(wire.from(), wire.to());
    }

    private static boolean crossJoined(Conductor one, Conductor other, Connectivity seen) {
        return seen.groups().joins(one.from(), other.to()) || seen.groups().joins(other.from(), one.to());
    }

    private static boolean mayCross(Conductor one, Conductor other, Connectivity seen) {
        return one.to().connector().equals(other.to().connector())
                && !one.to().equals(other.to())
                && !seen.isParted(one.from(), other.to())
                && !seen.isParted(other.from(), one.to());
    }

    private static void misplaced(Conductor wire, Scene scene, Connectivity seen, List<List<Effect>> moves) {
        for (Terminal cavity : scene.design().assembly().emptyCavities()) {
            if (!scene.holds(cavity)) {
                continue;
            }
            if (cavity.connector().equals(wire.to().connector()) && !seen.isParted(wire.from(), cavity)) {
                moves.add(List.of(new Effect.Rewired(List.of(new Finding.Move(wire.id(), wire.to(), cavity)))));
            }
            if (cavity.connector().equals(wire.from().connector()) && !seen.isParted(wire.to(), cavity)) {
                moves.add(List.of(new Effect.Rewired(List.of(new Finding.Move(wire.id(), wire.from(), cavity)))));
            }
        }
    }
}
