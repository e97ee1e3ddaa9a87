package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.BiPredicate;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Partition;
import zestymarten.core.finding.Symptoms;
import zestymarten.core.network.Net;

/**
 * What nobody read, and how probable it is that something is at fault there: nets end to end, parts in each state, pairs of
 * nets. Cost: linear in the nets; their pairs are gone through up to {@value #MAX_NETS_COUNTED} nets, beyond that only the first.
 */
final class UnreadOdds {
    /** As many pairs as are weighed one by one. */
    static final int MAX = 400;

    /** Beyond so many nets their pairs are too many to be gone through for every recommendation. */
    private static final int MAX_NETS_COUNTED = 300;

    private final UnitScenes analysis;
    private final Design design;
    private final Set<String> named = new HashSet<>();
    private final Set<String> unexplained = new HashSet<>();
    private final List<Unread> all = new ArrayList<>();
    private double expected;

    /** Two terminals that nobody read in a state, and the odds of a fault there. */
    record Unread(Terminal a, Terminal b, SwitchState state, double odds) {}

    private UnreadOdds(UnitScenes analysis) {
        this.analysis = analysis;
        design = analysis.design();
    }

    /** @param asked the parts and states that something else asks about, or that were read */
    static UnreadOdds of(UnitScenes analysis, BiPredicate<Component, SwitchState> asked) {
        UnreadOdds odds = new UnreadOdds(analysis);
        odds.takeSymptoms();
        odds.unreadNets();
        odds.unreadParts(asked);
        odds.unreadPairs();
        return odds;
    }

    /** One by one: first nets, then parts, then the pairs of what does not work, then others. */
    List<Unread> all() {
        return all;
    }

    /** The number of faults to be expected in everything that nobody read, what is not among {@link #all} included. */
    double expected() {
        return expected;
    }

    private void unread(Terminal a, Terminal b, SwitchState state, double odds) {
        expected += odds;
        all.add(new Unread(a, b, state, odds));
    }

    private void unreadNets() {
        SwitchState rest = design.assembly().states().get(0);
        for (Net net : design.nets().all()) {
            for (Terminal far : net.ends().stream().skip(1).toList()) {
                Terminal near = net.ends().get(0);
                boolean known = net.conductors().stream().anyMatch(wire -> named.contains(wire.id()));
                if (!known && analysis.connectivity().isUnread(near, far)) {
                    double odds = suspicion(net, Symptoms.Behaviour.STAYS_ON)
                            + net.conductors().stream()
                                    .filter(wire -> net.isTwoEnded()
                                            || wire.from().equals(far)
                                            || wire.to().equals(far))
                                    .mapToDouble(analysis.priors()::anyOf)
                                    .sum();
                    unread(near, far, rest, odds);
                }
            }
        }
    }

    /** The functions that do not work and that no wire explains which is named as faulty so far. */
    private void takeSymptoms() {
        for (UnitScenes.DiagnosedScene scene : analysis.scenes()) {
            analysis.names().of(scene.best()).keySet().forEach(finding -> named.addAll(finding.conductors()));
        }
        analysis.priors().symptoms().functions().forEach((function, behaviour) -> {
            if (behaviour != Symptoms.Behaviour.WORKS) {
                unexplained.add(function);
            }
        });
        unexplained.removeAll(design.functionsOf(List.copyOf(named)));
    }

    /**
     * What does not work and is not explained makes a fault of its own wires as likely as not: any but what stays on may be
     * broken, any but what works sometimes may be shorted.
     */
    private double suspicion(Net net, Symptoms.Behaviour never) {
        Symptoms symptoms = analysis.priors().symptoms();
        return net.conductors().stream()
                        .filter(wire ->
                                wire.function().filter(unexplained::contains).isPresent())
                        .anyMatch(wire ->
                                symptoms.of(wire).filter(each -> each != never).isPresent())
                ? 1
                : 0;
    }

    private double suspicion(Terminal end) {
        return design.nets()
                        .of(end)
                        .map(net -> suspicion(net, Symptoms.Behaviour.SOMETIMES))
                        .orElse(0.0)
                / Math.max(2, design.nets().all().size());
    }

    private void unreadParts(BiPredicate<Component, SwitchState> asked) {
        for (Component part : design.assembly().components()) {
            boolean inOhms = part.kind() != Component.ComponentKind.DIODE;
            for (SwitchState state : inOhms ? design.assembly().states() : List.<SwitchState>of()) {
                boolean tells = state.equals(design.assembly().states().get(0))
                        || part.kind().isContact();
                if (tells && !asked.test(part, state)) {
                    unread(part.a(), part.b(), state, analysis.priors().priors().part());
                }
            }
        }
    }

    /** First the pairs of what does not work and is not explained; of the others only so many, the rest is counted. */
    private void unreadPairs() {
        SwitchState rest = design.assembly().states().get(0);
        double pair = analysis.priors().usualJoint();
        List<Partition.JoinedPair> others = new ArrayList<>();
        boolean counted = design.nets().all().size() <= MAX_NETS_COUNTED;
        analysis.connectivity()
                .piecesUnread()
                .limit(counted ? Long.MAX_VALUE : MAX)
                .filter(each -> !analysis.map().areTogether(each.a(), each.b()))
                .forEach(each -> {
                    double suspicion = unexplained.isEmpty() ? 0 : suspicion(each.a()) + suspicion(each.b());
                    if (suspicion > 0) {
                        unread(
                                each.a(),
                                each.b(),
                                rest,
                                suspicion + analysis.priors().joint(each.a(), each.b()));
                    } else if (others.size() < MAX) {
                        others.add(each);
                    } else {
                        expected += pair;
                    }
                });
        others.forEach(
                each -> unread(each.a(), each.b(), rest, analysis.priors().joint(each.a(), each.b())));
    }
}
