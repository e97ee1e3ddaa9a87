package zestymarten.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import zestymarten.core.analysis.MeasurementCosts;
import zestymarten.core.analysis.Observation;
import zestymarten.core.analysis.Recommendation;
import zestymarten.core.analysis.UnitAnalysis;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.fault.Probe;
import zestymarten.core.fault.RandomHarness;
import zestymarten.core.finding.Priors;
import zestymarten.core.finding.Symptoms;
import zestymarten.core.judgement.Expectation;
import zestymarten.core.judgement.ResistanceJudge;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.network.Net;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.ReadingParser;
import zestymarten.core.testplan.ProbePlacement;

/** One diagnosis of a made-up cable, from the first measurement to the end: how many it took, and whether it was right. */
record DiagnosisRun(int measurements, boolean finished, boolean right) {
    static final double BAD_CONTACT = 0.02;
    static final double[] ACCURACIES = {0.005, 0.01, 0.02};
    /** Given up after so many measurements a wire. */
    static final int PATIENCE = 15;

    /** How the next measurement is found. */
    enum Order {
        WITH_CLIPS("chosen, with clips"),
        CHOSEN("chosen"),
        FIXED("fixed");

        final String words;

        Order(String words) {
            this.words = words;
        }
    }

    static DiagnosisRun run(RandomHarness cable, int seed, boolean chosen, Symptoms symptoms) {
        double share = 0.25 / cable.assembly().conductors().size();
        Priors priors = symptoms.isOfSomething()
                ? Priors.usual().withBadContact(BAD_CONTACT)
                : new Priors(share, share, share, share, share, share, 0.001, 0.015, 3, 1, BAD_CONTACT);
        int patience = PATIENCE * cable.assembly().conductors().size();
        return run(cable, seed, chosen ? Order.CHOSEN : Order.FIXED, symptoms, priors, patience);
    }

    static DiagnosisRun run(RandomHarness cable, int seed, Order by, Symptoms symptoms, Priors priors, int patience) {
        boolean chosen = by != Order.FIXED;
        List<ProbePlacement> linked = by == Order.WITH_CLIPS ? linkedNearEnds(cable) : List.of();
        MeasurementCosts costs = MeasurementCosts.bench(cable.assembly(), !linked.isEmpty());
        TestConditions conditions = Cables.conditions(ACCURACIES[seed % ACCURACIES.length]);
        Probe probe = new Probe(cable.unit(), conditions, new Random(seed), BAD_CONTACT);
        List<Observation> made = new ArrayList<>();
        UnitAnalysis analysis = UnitAnalysis.of(cable.design(), conditions, priors, symptoms, made);
        Recommendation next = analysis.next(costs, 1, linked);
        List<Terminal[]> order = chosen ? List.of() : fixedOrder(cable);
        int maximum = chosen ? patience : Math.min(patience, order.size());
        while (next.status() != Recommendation.Status.FINISHED && made.size() < maximum) {
            if (chosen && next.measurements().isEmpty()) {
                break;
            }
            ProbePlacement where = chosen
                    ? placement(next.measurements().get(0))
                    : placement(order.get(made.size())[0], order.get(made.size())[1]);
            made.add(observed(cable, conditions, made.size(), where, probe));
            analysis = UnitAnalysis.of(cable.design(), conditions, priors, symptoms, made);
            next = analysis.next(costs, 1, linked);
        }
        Set<String> named = new TreeSet<>();
        analysis.explanations().stream()
                .limit(1)
                .flatMap(each -> each.faults().stream())
                .forEach(each -> named.addAll(each.named()));
        return new DiagnosisRun(
                made.size(), next.status() == Recommendation.Status.FINISHED, named.equals(namesOf(cable.truth())));
    }

    static ProbePlacement placement(Recommendation.RecommendedMeasurement next) {
        return new ProbePlacement(next.black(), next.red(), next.links(), SwitchState.REST);
    }

    static ProbePlacement placement(Terminal black, Terminal red) {
        return new ProbePlacement(black, red, List.of(), SwitchState.REST);
    }

    /** Each near end against all later ones, linked. */
    static List<ProbePlacement> linkedNearEnds(RandomHarness cable) {
        List<Terminal> near = cable.design().nets().all().stream()
                .map(net -> net.ends().get(0))
                .toList();
        List<ProbePlacement> linked = new ArrayList<>();
        for (int i = 0; i + 2 < near.size(); i++) {
            List<Terminal> rest = near.subList(i + 1, near.size());
            linked.add(new ProbePlacement(near.get(i), rest.get(0), List.of(rest), SwitchState.REST));
        }
        return linked;
    }

    static Observation observed(
            RandomHarness cable, TestConditions conditions, int number, ProbePlacement where, Probe probe) {
        MeterReading meaning = new ReadingParser(false)
                .understand(probe.shows(where.black(), where.red(), where.state(), where.links()));
        Expectation expectation = cable.design().expectation(where.black(), where.red(), where.state(), where.links());
        return new Observation(
                number,
                where.black(),
                where.red(),
                where.state(),
                expectation,
                ResistanceJudge.judge(meaning, expectation, conditions),
                meaning,
                where.links(),
                Observation.Since.PROBED_ANEW);
    }

    static List<Terminal[]> fixedOrder(RandomHarness cable) {
        List<Terminal[]> order = new ArrayList<>();
        List<Net> nets = cable.design().nets().all();
        nets.forEach(
                net -> order.add(new Terminal[] {net.ends().get(0), net.ends().get(1)}));
        for (int i = 0; i < nets.size(); i++) {
            for (int j = i + 1; j < nets.size(); j++) {
                order.add(new Terminal[] {
                    nets.get(i).ends().get(0), nets.get(j).ends().get(0)
                });
            }
            order.add(new Terminal[] {nets.get(i).ends().get(0), Terminal.FRAME});
        }
        for (Net near : nets) {
            for (Net far : nets) {
                if (!near.equals(far)) {
                    order.add(new Terminal[] {near.ends().get(0), far.ends().get(1)});
                }
            }
            cable.assembly()
                    .emptyCavities()
                    .forEach(cavity -> order.add(new Terminal[] {near.ends().get(0), cavity}));
        }
        return order;
    }

    static Set<String> namesOf(List<String> named) {
        Set<String> names = new TreeSet<>();
        named.forEach(each -> names.addAll(
                List.of(each.substring(each.indexOf('[') + 1, each.length() - 1).split(", "))));
        return names;
    }
}
