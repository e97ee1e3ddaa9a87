package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import zestymarten.core.assembly.Component;
import zestymarten.core.finding.Partition;

/**
 * What no observation shows yet.
 *
 * <p>Method: a fault is put into its scene beside those that were found; where no observation is explained worse by that,
 * nothing shows it. Cost: one weighing of a scene for each part and each pair of pieces that nobody read.
 */
final class UntestedPieces {
    private static final double SMALL_JOINT_OHM = 1;
    private static final double WORSE_NATS = 3;

    private final UnitScenes unit;

    UntestedPieces(UnitScenes unit) {
        this.unit = unit;
    }

    /** Pairs of the design that nobody read, parts of which a fault would change nothing, pairs of pieces that nobody parted. */
    Stream<Partition.JoinedPair> pairs() {
        return Stream.of(unit.connectivity().designedUnread(), parts(), pieces())
                .flatMap(each -> each);
    }

    private Stream<Partition.JoinedPair> parts() {
        return unit.design().assembly().components().stream()
                .filter(part -> part.kind() != Component.ComponentKind.DIODE
                        && !unit.design().same(part.a(), part.b()))
                .filter(part -> !isShown(part))
                .map(part -> new Partition.JoinedPair(part.a(), part.b()));
    }

    /** Whether what was read would have been otherwise with the part open, and with a contact stuck either way. */
    private boolean isShown(Component part) {
        Scene scene = unit.map().sceneOf(part.a());
        Element element = scene.elements().stream()
                .filter(each -> each.part().filter(part::equals).isPresent())
                .findFirst()
                .orElseThrow();
        if (!element.isContact()) {
            return changes(scene, new Effect.CutElement(element));
        }
        var states = unit.design().assembly().states();
        boolean closes = states.stream().anyMatch(part::conductsIn);
        boolean opens = states.stream().anyMatch(state -> !part.conductsIn(state));
        return (!closes || changes(scene, new Effect.Stuck(element, false)))
                && (!opens || changes(scene, new Effect.Stuck(element, true)));
    }

    /** Whether a fault besides those found would leave something unexplained that now is not. */
    private boolean changes(Scene scene, Effect effect) {
        List<Effect> found = unit.scenes().stream()
                .filter(each -> each.scene().holds(scene.terminals().iterator().next()))
                .findFirst()
                .map(each -> each.best().effects())
                .orElse(List.of());
        if (found.contains(effect)) {
            return true;
        }
        ObservationModel small = unit.model().withJointsBelow(SMALL_JOINT_OHM);
        WeighedFaults now = small.weighed(
                scene, found.stream().filter(each -> scene.holds(each)).toList());
        List<Effect> more = new ArrayList<>(now.effects());
        more.add(effect);
        WeighedFaults then = small.weighed(scene, more);
        for (int i = 0; i < now.misfits().size(); i++) {
            if (then.misfits().get(i).nats() > now.misfits().get(i).nats() + WORSE_NATS) {
                return true;
            }
        }
        return false;
    }

    private Stream<Partition.JoinedPair> pieces() {
        return unit.connectivity()
                .piecesUnread()
                .filter(pair -> !unit.map().areTogether(pair.a(), pair.b()) || !isShown(pair));
    }

    private boolean isShown(Partition.JoinedPair pair) {
        Scene scene = unit.map().sceneOf(pair.a());
        Variation plain = new Variation(scene, List.of(), Map.of(), SMALL_JOINT_OHM, false);
        ObservedPieces pieces = new ObservedPieces(plain);
        return pieces.number(pair.a()) == pieces.number(pair.b())
                || changes(scene, new Effect.Bridged(List.of(pieces.of(pair.a()), pieces.of(pair.b()))));
    }
}
