package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Partition;

/**
 * What is one point of the unit, and what is not, as far as it was read.
 *
 * <p>Method: joined observations are closed to groups. A pair that the design joins counts as joined until an observation
 * parts its two groups, so that nothing is concluded that no reading shows. Cost: linear in observations and conductors.
 */
final class Connectivity {
    private final Design design;
    private final List<Partition.JoinedPair> joined;
    private final Partition groups;
    private final Separations separations = new Separations();
    private final Set<Terminal> probed = new HashSet<>();

    Connectivity(Design design, List<Observation> observations) {
        this.design = design;
        Joins joins = Joins.of(design, observations);
        joined = joins.direct();
        groups = Partition.of(design.assembly().terminals(), joined);
        probed.add(Terminal.FRAME);
        design.assembly().terminals().stream().filter(Terminal::isPin).forEach(probed::add);
        for (Observation each : observations) {
            probed.add(each.a());
            probed.add(each.b());
            if (each.parts()) {
                separations.add(groupsOf(each.withLinks(each.a())), groupsOf(each.withLinks(each.b())));
            }
        }
        joins.throughParts()
                .forEach(each -> separations.add(Set.of(groups.group(each.a())), Set.of(groups.group(each.b()))));
    }

    private Set<Integer> groupsOf(Set<Terminal> terminals) {
        return terminals.stream().map(groups::group).collect(Collectors.toSet());
    }

    /** Whether a group can be known of a terminal: pins, the frame, and joints that were probed. */
    boolean isProbed(Terminal terminal) {
        return probed.contains(terminal);
    }

    /** What was seen joined. */
    Partition groups() {
        return groups;
    }

    /** What was seen joined, with what nobody read taken for whole. */
    Partition asTakenForWhole() {
        List<Partition.JoinedPair> all = new ArrayList<>(joined);
        designed().filter(pair -> !isParted(pair.a(), pair.b())).forEach(all::add);
        return Partition.of(design.assembly().terminals(), all);
    }

    boolean isParted(Terminal a, Terminal b) {
        return separations.parted(groups.group(a), groups.group(b));
    }

    /** Whether what was read says nothing of two terminals: neither joined nor apart. */
    boolean isUnread(Terminal a, Terminal b) {
        return !groups.joins(a, b) && !isParted(a, b);
    }

    /** Pairs that the design makes one point: the ends of each net in a row, and what is bonded to the frame. */
    private Stream<Partition.JoinedPair> designed() {
        return Stream.concat(
                design.nets().all().stream().flatMap(net -> {
                    List<Terminal> ends = Stream.concat(
                                    net.ends().stream(),
                                    net.conductors().stream()
                                            .flatMap(wire -> Stream.of(wire.from(), wire.to()))
                                            .filter(end -> !end.isPin() && isProbed(end)))
                            .distinct()
                            .toList();
                    return ends.stream().skip(1).map(end -> new Partition.JoinedPair(ends.get(0), end));
                }),
                design.assembly().terminals().stream()
                        .filter(design.assembly().bonded()::contains)
                        .map(terminal -> new Partition.JoinedPair(terminal, Terminal.FRAME)));
    }

    /** Pairs of the design that nobody read. */
    Stream<Partition.JoinedPair> designedUnread() {
        return designed().filter(pair -> isUnread(pair.a(), pair.b()));
    }

    /** Pairs of pieces that nobody parted and the design does not join. */
    Stream<Partition.JoinedPair> piecesUnread() {
        Map<Integer, Terminal> pieces = pieces();
        BitSet all = new BitSet();
        pieces.keySet().forEach(all::set);
        return pieces.entrySet().stream()
                .flatMap(piece -> separations.notParted(piece.getKey(), all).stream()
                        .map(other ->
                                new Partition.JoinedPair(piece.getValue(), pieces.getOrDefault(other, Terminal.FRAME)))
                        .filter(pair -> !isDesigned(pair.a(), pair.b())));
    }

    private boolean isDesigned(Terminal a, Terminal b) {
        return design.nets().joins(a, b) || (isOnFrame(a) && isOnFrame(b));
    }

    private boolean isOnFrame(Terminal terminal) {
        return terminal.isFrame()
                || design.assembly().bonded().contains(terminal)
                || design.nets().of(terminal).filter(net -> net.isOnFrame()).isPresent();
    }

    /** One terminal of every observed group that holds an end of a net, of a part, or the frame, by its group. */
    private Map<Integer, Terminal> pieces() {
        Set<Terminal> ofParts = new HashSet<>();
        design.assembly().components().forEach(part -> ofParts.addAll(List.of(part.a(), part.b())));
        Map<Integer, Terminal> pieces = new TreeMap<>();
        for (Terminal terminal : design.assembly().terminals()) {
            boolean counts = terminal.isFrame()
                    || (terminal.isPin() && (design.nets().of(terminal).isPresent() || ofParts.contains(terminal)));
            if (counts) {
                pieces.putIfAbsent(groups.group(terminal), terminal);
            }
        }
        return pieces;
    }
}
