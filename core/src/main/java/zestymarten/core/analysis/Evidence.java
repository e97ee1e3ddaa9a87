package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Classifier;
import zestymarten.core.finding.Finding;
import zestymarten.core.finding.Partition;
import zestymarten.core.judge.Judgement.Verdict;

/**
 * Turns observations into findings: what is joined goes to the {@link Classifier}; figures outside their limits, leaks,
 * jumps and parts of a wrong value are named by themselves.
 *
 * <p>Method: joined observations are closed to groups. A pair that the design joins counts as joined until an observation
 * parts its two groups, so that nothing is reported that no reading shows. Cost: linear in observations and conductors
 * but for the classifier. Order of findings: faults of the joining in design order, then by the first observation.
 */
public final class Evidence {
    private final Design design;
    private final List<Observation> observations;
    private final Set<Component> stuck;
    private final List<Partition.Joined> joined;
    private final Partition groups;
    private final Separations separations = new Separations();
    private final Map<Terminal, List<Observation>> byBlack = new HashMap<>();

    private Evidence(Design design, List<Observation> observations) {
        this.design = design;
        this.observations = observations;
        stuck = Joins.stuck(design, observations);
        joined = Joins.direct(design, observations, stuck);
        groups = Partition.of(design.assembly().terminals(), joined);
        for (Observation each : observations) {
            byBlack.computeIfAbsent(each.a(), any -> new ArrayList<>()).add(each);
            if (each.parts() && !each.isBridged()) {
                separations.add(groupsOf(each.withTies(each.a())), groupsOf(each.withTies(each.b())));
            }
        }
    }

    private Set<Integer> groupsOf(Set<Terminal> terminals) {
        return terminals.stream().map(groups::group).collect(Collectors.toSet());
    }

    /** Evidence of observations on one unit, each pair of terminals as it was read last. */
    public static Evidence of(Design design, List<Observation> observations) {
        return new Evidence(design, List.copyOf(observations));
    }

    /** What is wrong as far as the observations tell. */
    public List<Explained> findings() {
        Partition whole = asTakenForWhole();
        List<Finding> findings = new ArrayList<>(Classifier.classify(design.assembly(), design.nets(), whole));
        Map<Finding, Integer> byFigure =
                new Figures(design, groups, new AsWired(design, whole, stuck), findings, stuck).of(observations);
        byFigure.entrySet().stream().sorted(Map.Entry.comparingByValue()).forEach(each -> findings.add(each.getKey()));
        return findings.stream().map(this::explained).toList();
    }

    /** The observed groups, with what nobody read taken for whole. */
    private Partition asTakenForWhole() {
        List<Partition.Joined> all = new ArrayList<>(joined);
        designed().filter(pair -> !isParted(pair.a(), pair.b())).forEach(all::add);
        return Partition.of(design.assembly().terminals(), all);
    }

    private boolean isParted(Terminal a, Terminal b) {
        return separations.parted(groups.group(a), groups.group(b));
    }

    /** Pairs that the design makes one point: the ends of each net in a row, and what is bonded to the frame. */
    private Stream<Partition.Joined> designed() {
        return Stream.concat(
                design.nets().all().stream()
                        .flatMap(net -> net.ends().stream()
                                .skip(1)
                                .map(end -> new Partition.Joined(net.ends().get(0), end))),
                design.assembly().terminals().stream()
                        .filter(design.assembly().bonded()::contains)
                        .map(terminal -> new Partition.Joined(terminal, Terminal.FRAME)));
    }

    /**
     * What no observation shows yet: pairs of the design that nobody read, then parts in a state in which nobody read them,
     * then pairs of pieces that nobody parted.
     *
     * @param most how many to name at most; the pieces of a large unit have very many pairs
     */
    public List<Partition.Joined> untested(int most) {
        return Stream.of(designedUntested(), partsUntested(), piecesUntested())
                .flatMap(each -> each)
                .limit(most)
                .toList();
    }

    private Stream<Partition.Joined> designedUntested() {
        return designed().filter(pair -> !groups.joins(pair.a(), pair.b()) && !isParted(pair.a(), pair.b()));
    }

    /** Parts that nobody read: contacts closed and open, where there are states for both; diodes are not for an ohm range. */
    private Stream<Partition.Joined> partsUntested() {
        Map<Component, Set<Boolean>> read = new HashMap<>();
        for (Observation each : observations) {
            for (Component part : each.tied() ? List.<Component>of() : design.partsBetween(each.a(), each.b())) {
                read.computeIfAbsent(part, any -> new HashSet<>()).add(part.conductsIn(each.state()));
            }
        }
        return design.assembly().components().stream()
                .filter(part -> part.kind() != Component.Kind.DIODE && !design.same(part.a(), part.b()))
                .filter(part -> design.assembly().states().stream()
                        .anyMatch(state -> !read.getOrDefault(part, Set.of()).contains(part.conductsIn(state))))
                .map(part -> new Partition.Joined(part.a(), part.b()));
    }

    private Stream<Partition.Joined> piecesUntested() {
        Map<Integer, Terminal> pieces = pieces();
        BitSet all = new BitSet();
        pieces.keySet().forEach(all::set);
        boolean parts = !design.assembly().components().isEmpty();
        return pieces.entrySet().stream()
                .flatMap(piece -> separations.notParted(piece.getKey(), all).stream()
                        .map(other ->
                                new Partition.Joined(piece.getValue(), pieces.getOrDefault(other, Terminal.FRAME)))
                        .filter(pair -> !isDesigned(pair.a(), pair.b()))
                        .filter(pair -> !parts
                                || design.partsBetween(pair.a(), pair.b()).isEmpty()));
    }

    private boolean isDesigned(Terminal a, Terminal b) {
        return design.nets().joins(a, b)
                || (a.isFrame() && design.assembly().bonded().contains(b))
                || (b.isFrame() && design.assembly().bonded().contains(a));
    }

    /** One terminal of every observed group that holds an end of a net or the frame, in drawing order, by its group. */
    private Map<Integer, Terminal> pieces() {
        Map<Integer, Terminal> pieces = new TreeMap<>();
        for (Terminal terminal : design.assembly().terminals()) {
            boolean counts = terminal.isFrame()
                    || (terminal.isPin() && design.nets().of(terminal).isPresent());
            if (counts) {
                pieces.putIfAbsent(groups.group(terminal), terminal);
            }
        }
        return pieces;
    }

    private Explained explained(Finding finding) {
        Set<Terminal> about = new HashSet<>(finding.terminals());
        List<String> functions = new ArrayList<>();
        for (String id : finding.conductors()) {
            Conductor conductor = design.conductor(id);
            design.nets().of(conductor.from()).ifPresent(net -> about.addAll(net.ends()));
            conductor.function().ifPresent(functions::add);
        }
        if (finding instanceof Finding.FrameShort) {
            about.add(Terminal.FRAME);
        }
        List<Integer> evidence = about.stream()
                .flatMap(terminal -> byBlack.getOrDefault(terminal, List.of()).stream())
                .filter(each -> about.contains(each.b()))
                .filter(each -> each.judgement().verdict() != Verdict.PASS)
                .map(Observation::number)
                .sorted(Comparator.naturalOrder())
                .toList();
        return new Explained(finding, evidence, functions.stream().distinct().toList());
    }
}
