package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Classifier;
import zestymarten.core.finding.Finding;
import zestymarten.core.finding.Partition;
import zestymarten.core.judge.Expectation;
import zestymarten.core.judge.Judgement;
import zestymarten.core.judge.Judgement.Contact;
import zestymarten.core.judge.Judgement.Verdict;
import zestymarten.core.limit.Limit;
import zestymarten.core.network.Net;
import zestymarten.core.quantity.Ohms;

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
    private final Partition groups;
    private final Map<Terminal, List<Observation>> byBlack = new HashMap<>();

    private Evidence(Design design, List<Observation> observations) {
        this.design = design;
        this.observations = observations;
        groups = Partition.of(design.assembly().terminals(), joined());
        for (Observation each : observations) {
            byBlack.computeIfAbsent(each.a(), any -> new ArrayList<>()).add(each);
        }
    }

    /** Evidence of observations on one unit, each pair of terminals as it was read last. */
    public static Evidence of(Design design, List<Observation> observations) {
        return new Evidence(design, List.copyOf(observations));
    }

    private List<Partition.Joined> joined() {
        return observations.stream()
                .filter(Observation::joins)
                .filter(each -> !isContactStuck(each))
                .map(each -> new Partition.Joined(each.a(), each.b()))
                .toList();
    }

    /** A way through where only an open contact lies between: the contact is at fault, not the wires. */
    private boolean isContactStuck(Observation observation) {
        return observation.expectation() instanceof Expectation.Apart
                && design.partsBetween(observation.a(), observation.b()).stream()
                        .anyMatch(part -> part.kind().isContact());
    }

    /** What is wrong as far as the observations tell. */
    public List<Explained> findings() {
        List<Finding> findings =
                new ArrayList<>(Classifier.classify(design.assembly(), design.nets(), asTakenForWhole()));
        Map<Terminal, Terminal> movedTo = movedTo(findings);
        Map<Finding, Integer> byFigure = new LinkedHashMap<>(new HighStretches(design, observations).findings());
        Set<Long> told = new HashSet<>();
        for (Observation each : observations) {
            // One leak or one jump between two pieces is one fault, at however many of their ends it was read.
            boolean again = !told.add(key(groups.group(each.a()), groups.group(each.b())))
                    && (each.judgement().contact() == Contact.LEAK
                            || each.judgement().contact() == Contact.UNSTABLE);
            if (!again) {
                byFigure(each, movedTo).ifPresent(finding -> byFigure.putIfAbsent(finding, each.number()));
            }
        }
        byFigure.entrySet().stream().sorted(Map.Entry.comparingByValue()).forEach(each -> findings.add(each.getKey()));
        return findings.stream().map(this::explained).toList();
    }

    /** The observed groups, with what nobody read taken for whole. */
    private Partition asTakenForWhole() {
        Set<Long> parted = partedGroups();
        List<Partition.Joined> joined = new ArrayList<>(joined());
        for (Partition.Joined pair : designed()) {
            if (!parted.contains(key(groups.group(pair.a()), groups.group(pair.b())))) {
                joined.add(pair);
            }
        }
        return Partition.of(design.assembly().terminals(), joined);
    }

    private Set<Long> partedGroups() {
        Set<Long> parted = new HashSet<>();
        for (Observation each : observations) {
            if (each.parts() && !each.isBridged()) {
                for (Terminal a : each.withTies(each.a())) {
                    for (Terminal b : each.withTies(each.b())) {
                        parted.add(key(groups.group(a), groups.group(b)));
                    }
                }
            }
        }
        return parted;
    }

    private static long key(int one, int other) {
        return ((long) Math.min(one, other) << 32) | Math.max(one, other);
    }

    /** Pairs that the design makes one point: the ends of each net in a row, and what is bonded to the frame. */
    private List<Partition.Joined> designed() {
        List<Partition.Joined> pairs = new ArrayList<>();
        for (Net net : design.nets().all()) {
            for (int i = 1; i < net.ends().size(); i++) {
                pairs.add(new Partition.Joined(net.ends().get(0), net.ends().get(i)));
            }
        }
        design.assembly().bonded().forEach(terminal -> pairs.add(new Partition.Joined(terminal, Terminal.FRAME)));
        return pairs;
    }

    /**
     * What no observation shows yet: pairs of the design that nobody read, then pairs of pieces that nobody parted.
     *
     * @param most how many to name at most; the pieces of a large unit have very many pairs
     */
    public List<Partition.Joined> untested(int most) {
        Set<Long> parted = partedGroups();
        List<Partition.Joined> open = new ArrayList<>();
        for (Partition.Joined pair : designed()) {
            boolean told = groups.joins(pair.a(), pair.b())
                    || parted.contains(key(groups.group(pair.a()), groups.group(pair.b())));
            if (!told && open.size() < most) {
                open.add(pair);
            }
        }
        List<Terminal> pieces = pieces();
        for (int i = 0; i < pieces.size() && open.size() < most; i++) {
            for (int j = i + 1; j < pieces.size() && open.size() < most; j++) {
                boolean apart = parted.contains(key(groups.group(pieces.get(i)), groups.group(pieces.get(j))));
                boolean needed = !isDesigned(pieces.get(i), pieces.get(j));
                if (!apart
                        && needed
                        && design.partsBetween(pieces.get(i), pieces.get(j)).isEmpty()) {
                    open.add(new Partition.Joined(pieces.get(i), pieces.get(j)));
                }
            }
        }
        return open;
    }

    private boolean isDesigned(Terminal a, Terminal b) {
        return design.nets().joins(a, b)
                || (a.isFrame() && design.assembly().bonded().contains(b))
                || (b.isFrame() && design.assembly().bonded().contains(a));
    }

    /** One terminal of every observed group that holds an end of a net or the frame, in drawing order. */
    private List<Terminal> pieces() {
        Map<Integer, Terminal> first = new HashMap<>();
        List<Terminal> pieces = new ArrayList<>();
        for (Terminal terminal : design.assembly().terminals()) {
            boolean counts = terminal.isFrame()
                    || (terminal.isPin() && design.nets().of(terminal).isPresent());
            if (counts && first.putIfAbsent(groups.group(terminal), terminal) == null) {
                pieces.add(terminal);
            }
        }
        return pieces;
    }

    /** Near end to the cavity where its far end was found. */
    private Map<Terminal, Terminal> movedTo(List<Finding> findings) {
        Map<Terminal, Terminal> moved = new HashMap<>();
        for (Finding finding : findings) {
            if (finding.moves()) {
                for (int i = 0; i < finding.conductors().size(); i++) {
                    moved.put(
                            design.conductor(finding.conductors().get(i)).from(),
                            finding.terminals().get(i));
                }
            }
        }
        return moved;
    }

    private Optional<Finding> byFigure(Observation seen, Map<Terminal, Terminal> movedTo) {
        Judgement judgement = seen.judgement();
        if (judgement.contact() == Contact.UNSTABLE) {
            return Optional.of(new Finding.Intermittent(between(seen), seen.a(), seen.b()));
        }
        if (seen.tied()) {
            return Optional.empty();
        }
        if (isContactStuck(seen) && judgement.verdict() == Verdict.FAIL) {
            return part(seen, part -> part.kind().isContact())
                    .map(part -> new Finding.PartAtFault(
                            Finding.PartFault.STATE, part.id(), seen.a(), seen.b(), judgement.reason()));
        }
        if (seen.isBridged()) {
            return judgement.verdict() == Verdict.FAIL ? ofPart(seen) : Optional.empty();
        }
        if (judgement.contact() == Contact.LEAK && seen.expectation() instanceof Expectation.Apart) {
            Ohms leak = Ohms.of(judgement.correctedOhm().orElse(0));
            return Optional.of(new Finding.Leak(between(seen), seen.a(), seen.b(), leak));
        }
        if (judgement.contact() != Contact.JOINED || judgement.correctedOhm().isEmpty()) {
            return Optional.empty();
        }
        double ohm = judgement.correctedOhm().getAsDouble();
        if (seen.expectation() instanceof Expectation.Joined joined) {
            boolean low = judgement.verdict() == Verdict.FAIL
                    && ohm < joined.limit().low().value();
            return low ? Optional.of(outside(between(seen), seen, ohm, joined.limit())) : Optional.empty();
        }
        return movedConductor(seen, movedTo)
                .filter(conductor -> ohm > design.limits().of(conductor).high().value())
                .map(conductor -> outside(
                        List.of(conductor.id()), seen, ohm, design.limits().of(conductor)));
    }

    private Optional<Component> part(Observation seen, java.util.function.Predicate<Component> kind) {
        return design.partsBetween(seen.a(), seen.b()).stream().filter(kind).findFirst();
    }

    /** A bridged pair of a wrong value: which part, and whether it is open, shorted or off. */
    private Optional<Finding> ofPart(Observation seen) {
        Judgement judgement = seen.judgement();
        Expectation.Joined expected = (Expectation.Joined) seen.expectation();
        boolean open = judgement.contact() == Contact.APART;
        boolean shorted = judgement.correctedOhm().orElse(Double.MAX_VALUE)
                < expected.limit().low().value() * SHORTED_SHARE;
        return part(seen, any -> true).map(part -> {
            Finding.PartFault fault = open && part.kind().isContact()
                    ? Finding.PartFault.STATE
                    : open ? Finding.PartFault.OPEN : shorted ? Finding.PartFault.SHORT : Finding.PartFault.VALUE;
            return new Finding.PartAtFault(fault, part.id(), seen.a(), seen.b(), judgement.reason());
        });
    }

    /** Below this share of its least value a part counts as bypassed rather than off. */
    private static final double SHORTED_SHARE = 0.1;

    /** A wire found in another cavity is judged by its own limit. */
    private Optional<Conductor> movedConductor(Observation seen, Map<Terminal, Terminal> movedTo) {
        for (Terminal near : List.of(seen.a(), seen.b())) {
            Terminal far = near.equals(seen.a()) ? seen.b() : seen.a();
            if (far.equals(movedTo.get(near))) {
                return design.assembly().conductors().stream()
                        .filter(conductor -> conductor.from().equals(near))
                        .findFirst();
            }
        }
        return Optional.empty();
    }

    private static Finding outside(List<String> conductors, Observation seen, double ohm, Limit limit) {
        return ohm > limit.high().value()
                ? new Finding.HighResistance(conductors, seen.a(), seen.b(), Ohms.of(ohm), limit.high())
                : new Finding.LowResistance(conductors, seen.a(), seen.b(), Ohms.of(ohm), limit.low());
    }

    /** The conductors on the way where the two are one net, else those that end at either. */
    private List<String> between(Observation seen) {
        List<Conductor> route = design.nets().route(seen.a(), seen.b());
        if (!route.isEmpty()) {
            return route.stream().map(Conductor::id).toList();
        }
        return design.assembly().conductors().stream()
                .filter(each -> !each.from().isFrame() && !each.to().isFrame())
                .filter(each -> touchesEnd(each, seen.a()) || touchesEnd(each, seen.b()))
                .map(Conductor::id)
                .toList();
    }

    private static boolean touchesEnd(Conductor conductor, Terminal end) {
        return conductor.from().equals(end) || conductor.to().equals(end);
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
