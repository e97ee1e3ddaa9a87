package zestymarten.core.analysis;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Finding;
import zestymarten.core.finding.Partition;
import zestymarten.core.judge.Expectation;
import zestymarten.core.judge.Judgement;
import zestymarten.core.judge.Judgement.Contact;
import zestymarten.core.judge.Judgement.Verdict;
import zestymarten.core.limit.Limit;
import zestymarten.core.network.Path;
import zestymarten.core.quantity.Ohms;

/**
 * Faults that a figure shows rather than the joining: too many or too few ohms, leaks, jumps, parts of a wrong value.
 *
 * <p>Rules: one leak or one jump between two pieces is one fault, at however many of their ends it was read. A part is at
 * fault only where the wiring as it was found would lead through it and through nothing else, and where no wire on the way
 * is known to have the ohms. Cost: linear in the observations, times the parts of the assembly where there are any.
 */
final class Figures {
    /** Below this share of its least value a part counts as bypassed rather than off. */
    private static final double SHORTED_SHARE = 0.1;

    /** How far a figure may lie from what the parts on the way make of it and still be explained by them. */
    private static final double EXPLAINED_SHARE = 0.5;

    private final Design design;
    private final Partition groups;
    private final AsWired asWired;
    private final Set<Component> stuck;
    private final Map<Terminal, Terminal> movedTo;
    private final Map<Finding, Integer> findings = new LinkedHashMap<>();
    private final Set<Long> told = new HashSet<>();
    private final Set<String> partsTold = new HashSet<>();

    /**
     * @param groups what was seen joined
     * @param asWired the unit as found
     * @param ofJoining findings of the joining
     * @param stuck contacts that conduct where they should not
     */
    Figures(Design design, Partition groups, AsWired asWired, List<Finding> ofJoining, Set<Component> stuck) {
        this.stuck = stuck;
        this.design = design;
        this.groups = groups;
        this.asWired = asWired;
        movedTo = movedTo(ofJoining);
    }

    /** The findings, each with the number of the first observation that shows it. */
    Map<Finding, Integer> of(List<Observation> observations) {
        findings.putAll(new HighStretches(design, observations).findings());
        for (Observation each : observations) {
            boolean leakOrJump = each.judgement().contact() == Contact.LEAK
                    || each.judgement().contact() == Contact.UNSTABLE;
            if (!leakOrJump || told.add(key(groups.group(each.a()), groups.group(each.b())))) {
                finding(each).filter(this::isNew).ifPresent(finding -> findings.putIfAbsent(finding, each.number()));
            }
        }
        return findings;
    }

    /** One fault of a part is one finding, in however many states and at however many ends it was read. */
    private boolean isNew(Finding finding) {
        return !(finding instanceof Finding.PartAtFault part) || partsTold.add(part.component());
    }

    private static long key(int one, int other) {
        return ((long) Math.min(one, other) << 32) | Math.max(one, other);
    }

    /** Near end to the cavity where its far end was found. */
    private Map<Terminal, Terminal> movedTo(List<Finding> ofJoining) {
        Map<Terminal, Terminal> moved = new LinkedHashMap<>();
        for (Finding finding : ofJoining) {
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

    private Optional<Finding> finding(Observation seen) {
        Judgement judgement = seen.judgement();
        if (judgement.contact() == Contact.UNSTABLE) {
            return Optional.of(new Finding.Intermittent(between(seen), seen.a(), seen.b()));
        }
        if (seen.tied()) {
            return Optional.empty();
        }
        if (judgement.verdict() == Verdict.FAIL && Joins.isThrough(design, seen, stuck)) {
            return part(seen, stuck::contains)
                    .map(part -> new Finding.PartAtFault(
                            Finding.PartFault.STATE, part.id(), seen.a(), seen.b(), judgement.reason()));
        }
        if (seen.isBridged()) {
            return judgement.verdict() == Verdict.FAIL && !isExplained(seen) ? ofPart(seen) : Optional.empty();
        }
        if (judgement.contact() == Contact.LEAK) {
            boolean leak = seen.expectation() instanceof Expectation.Apart && !isExplained(seen);
            Ohms ohm = Ohms.of(judgement.correctedOhm().orElse(0));
            return leak ? Optional.of(new Finding.Leak(between(seen), seen.a(), seen.b(), ohm)) : Optional.empty();
        }
        return judgement.contact() == Contact.JOINED ? outside(seen) : Optional.empty();
    }

    private Optional<Finding> outside(Observation seen) {
        if (seen.judgement().correctedOhm().isEmpty()) {
            return Optional.empty();
        }
        double ohm = seen.judgement().correctedOhm().getAsDouble();
        if (seen.expectation() instanceof Expectation.Joined joined) {
            boolean low = seen.judgement().verdict() == Verdict.FAIL
                    && ohm < joined.limit().low().value();
            return low
                    ? Optional.of(new Finding.LowResistance(
                            between(seen),
                            seen.a(),
                            seen.b(),
                            Ohms.of(ohm),
                            joined.limit().low()))
                    : Optional.empty();
        }
        return movedConductor(seen).flatMap(conductor -> {
            Limit limit = design.limits().of(conductor);
            return ohm > limit.high().value()
                    ? Optional.of(new Finding.HighResistance(
                            List.of(conductor.id()), seen.a(), seen.b(), Ohms.of(ohm), limit.high()))
                    : Optional.empty();
        });
    }

    private Optional<Component> part(Observation seen, Predicate<Component> kind) {
        return design.partsBetween(seen.a(), seen.b()).stream().filter(kind).findFirst();
    }

    /**
     * Whether a figure is what the parts between the pieces as found make of it, or what the ohms of wires named already
     * add: then no part is at fault and nothing leaks.
     */
    private boolean isExplained(Observation seen) {
        Path found = asWired.between(seen.a(), seen.b(), seen.state());
        if (!(found instanceof Path.Ohmic way)) {
            return seen.isBridged(); // a wire on the way is open, or moved
        }
        if (seen.judgement().correctedOhm().isEmpty()) {
            return false;
        }
        double ohm = seen.judgement().correctedOhm().getAsDouble();
        if (seen.expectation() instanceof Expectation.Joined joined) {
            double more = namedOhms(seen);
            boolean sameWay = way.low().value() >= joined.limit().low().value() * (1 - EXPLAINED_SHARE);
            return (more > 0 && ohm - more <= joined.limit().high().value()) || (!sameWay && fits(ohm, way));
        }
        return fits(ohm, way);
    }

    private static boolean fits(double ohm, Path.Ohmic way) {
        return ohm >= way.low().value() * (1 - EXPLAINED_SHARE)
                && ohm <= way.high().value() * (1 + EXPLAINED_SHARE);
    }

    /** The ohms that wires of the two nets are known to have beyond their limits. */
    private double namedOhms(Observation seen) {
        return findings.keySet().stream()
                .flatMap(finding -> finding instanceof Finding.HighResistance high ? Stream.of(high) : Stream.empty())
                .filter(high -> design.same(high.from(), seen.a()) || design.same(high.from(), seen.b()))
                .mapToDouble(high -> high.ohm().value())
                .sum();
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

    /** A wire found in another cavity is judged by its own limit. */
    private Optional<Conductor> movedConductor(Observation seen) {
        for (Terminal near : List.of(seen.a(), seen.b())) {
            Terminal far = near.equals(seen.a()) ? seen.b() : seen.a();
            if (far.equals(movedTo.get(near))) {
                return design.conductorsAt(near).stream()
                        .filter(conductor -> conductor.from().equals(near))
                        .findFirst();
            }
        }
        return Optional.empty();
    }

    /** The conductors on the way where the two are one net, else those that end at either. */
    private List<String> between(Observation seen) {
        return design.namesBetween(seen.a(), seen.b());
    }
}
