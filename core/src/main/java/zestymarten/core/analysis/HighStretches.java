package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.finding.Finding;
import zestymarten.core.judge.Expectation;
import zestymarten.core.judge.Judgement.Contact;
import zestymarten.core.judge.Judgement.Verdict;
import zestymarten.core.network.Net;
import zestymarten.core.quantity.Ohms;

/**
 * Where in a net there are more ohms than there may be.
 *
 * <p>Method: of the readings of one net, those above their limit accuse the conductors on their way, those within it clear
 * theirs. The conductors that all accusing ways share and no way clears are one finding; where the accusing ways share
 * none, each is a finding of its own. Cost: linear in the readings times the lengths of their ways.
 */
final class HighStretches {
    private final Design design;
    private final Map<Net, List<Observation>> high = new LinkedHashMap<>();
    private final Map<Net, Set<Conductor>> cleared = new LinkedHashMap<>();

    HighStretches(Design design, List<Observation> observations) {
        this.design = design;
        for (Observation each : observations) {
            if (each.joins() && each.expectation() instanceof Expectation.Joined joined) {
                design.nets().of(each.a()).ifPresent(net -> sort(net, each, joined));
            }
        }
    }

    private void sort(Net net, Observation each, Expectation.Joined joined) {
        boolean figure = each.judgement().contact() == Contact.JOINED
                && each.judgement().correctedOhm().isPresent();
        if (!figure) {
            return;
        }
        double ohm = each.judgement().correctedOhm().getAsDouble();
        if (each.judgement().verdict() == Verdict.FAIL
                && ohm > joined.limit().high().value()) {
            high.computeIfAbsent(net, any -> new ArrayList<>()).add(each);
        } else if (ohm <= joined.limit().high().value()) {
            cleared.computeIfAbsent(net, any -> new LinkedHashSet<>())
                    .addAll(design.nets().route(each.a(), each.b()));
        }
    }

    /** Each finding with the number of the first reading that shows it. */
    Map<Finding, Integer> findings() {
        Map<Finding, Integer> findings = new LinkedHashMap<>();
        high.forEach((net, readings) -> {
            List<Conductor> shared = new ArrayList<>(way(readings.get(0)));
            readings.forEach(each -> shared.retainAll(way(each)));
            shared.removeAll(cleared.getOrDefault(net, Set.of()));
            if (shared.isEmpty()) {
                readings.forEach(each -> findings.putIfAbsent(finding(way(each), each), each.number()));
            } else {
                findings.put(finding(shared, readings.get(0)), readings.get(0).number());
            }
        });
        return findings;
    }

    private List<Conductor> way(Observation each) {
        return design.nets().route(each.a(), each.b());
    }

    private static Finding finding(List<Conductor> conductors, Observation each) {
        Expectation.Joined joined = (Expectation.Joined) each.expectation();
        return new Finding.HighResistance(
                conductors.stream().map(Conductor::id).toList(),
                each.a(),
                each.b(),
                Ohms.of(each.judgement().correctedOhm().orElseThrow()),
                joined.limit().high());
    }
}
