package zestymarten.core.job;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Classifier;
import zestymarten.core.finding.Finding;
import zestymarten.core.finding.Partition;
import zestymarten.core.judge.Expectation;
import zestymarten.core.judge.Judgement;
import zestymarten.core.judge.Judgement.Contact;
import zestymarten.core.limit.Limit;
import zestymarten.core.plan.Stage;
import zestymarten.core.plan.Step;
import zestymarten.core.quantity.Ohms;

/**
 * Turns the entries of a job into findings: what is joined goes to the {@link Classifier}; figures outside their limits,
 * leaks and jumps are named by themselves. A wire that was not yet rung out counts as whole, so that nothing is reported
 * that no reading shows.
 */
final class Evidence {
    private final Job job;
    private final Design design;
    private final Map<Step.Touch, Judgement> last = new HashMap<>();
    private final Map<Step.Touch, Entry> lastEntry = new HashMap<>();

    Evidence(Job job) {
        this.job = job;
        this.design = job.design();
        for (Step step : job.touched()) {
            List<Entry> all = job.standing(step);
            Entry entry = all.get(all.size() - 1);
            if (step instanceof Step.Touch touch) {
                job.judgement(entry).ifPresent(judgement -> {
                    last.put(touch, judgement);
                    lastEntry.put(touch, entry);
                });
            }
        }
    }

    List<Found> findings() {
        List<Finding> findings = new ArrayList<>(Classifier.classify(design.assembly(), design.nets(), partition()));
        Map<Terminal, Terminal> movedTo = movedTo(findings);
        List<Step.Touch> inOrder = last.keySet().stream()
                .sorted(Comparator.comparingInt(this::sequence))
                .toList();
        for (Step.Touch touch : inOrder) {
            Judgement judgement = last.get(touch);
            if (judgement != null) {
                byFigure(touch, judgement, movedTo).ifPresent(findings::add);
            }
        }
        return findings.stream().map(this::found).toList();
    }

    private int sequence(Step.Touch touch) {
        Entry entry = lastEntry.get(touch);
        return entry == null ? 0 : entry.sequence();
    }

    private Partition partition() {
        List<Partition.Joined> joined = new ArrayList<>();
        last.forEach((touch, judgement) -> {
            if (judgement.contact() == Contact.JOINED || judgement.contact() == Contact.UNSTABLE) {
                joined.add(new Partition.Joined(touch.black(), touch.red()));
            }
        });
        for (Step step : design.plan().ends()) {
            if (step instanceof Step.Touch touch && (!job.isDone(step) || !last.containsKey(touch))) {
                joined.add(new Partition.Joined(touch.black(), touch.red()));
            }
        }
        return Partition.of(design.assembly().terminals(), joined);
    }

    /** Near end to the cavity where its far end was found. */
    private Map<Terminal, Terminal> movedTo(List<Finding> findings) {
        Map<Terminal, Terminal> moved = new HashMap<>();
        for (Finding finding : findings) {
            if (finding instanceof Finding.Crossed || finding instanceof Finding.Misplaced) {
                for (int i = 0; i < finding.conductors().size(); i++) {
                    moved.put(
                            design.conductor(finding.conductors().get(i)).from(),
                            finding.terminals().get(i));
                }
            }
        }
        return moved;
    }

    private Optional<Finding> byFigure(Step.Touch touch, Judgement judgement, Map<Terminal, Terminal> movedTo) {
        Expectation expectation = job.expectation(touch);
        if (judgement.contact() == Contact.UNSTABLE) {
            return Optional.of(new Finding.Intermittent(between(touch), touch.black(), touch.red()));
        }
        if (judgement.contact() == Contact.LEAK && expectation instanceof Expectation.Apart) {
            return Optional.of(new Finding.Leak(
                    between(touch),
                    touch.black(),
                    touch.red(),
                    Ohms.of(judgement.correctedOhm().orElse(0))));
        }
        if (judgement.contact() != Contact.JOINED || judgement.correctedOhm().isEmpty()) {
            return Optional.empty();
        }
        double ohm = judgement.correctedOhm().getAsDouble();
        if (expectation instanceof Expectation.Joined joined) {
            return judgement.verdict() == Judgement.Verdict.FAIL
                    ? Optional.of(outside(between(touch), touch, ohm, joined.limit()))
                    : Optional.empty();
        }
        return movedConductor(touch, movedTo)
                .filter(conductor -> ohm > design.limits().of(conductor).high().value())
                .map(conductor -> outside(
                        List.of(conductor.id()), touch, ohm, design.limits().of(conductor)));
    }

    /** A wire found in another cavity is judged by its own limit. */
    private Optional<Conductor> movedConductor(Step.Touch touch, Map<Terminal, Terminal> movedTo) {
        for (Terminal near : List.of(touch.black(), touch.red())) {
            Terminal far = near.equals(touch.black()) ? touch.red() : touch.black();
            if (far.equals(movedTo.get(near))) {
                return design.assembly().conductors().stream()
                        .filter(conductor -> conductor.from().equals(near))
                        .findFirst();
            }
        }
        return Optional.empty();
    }

    private static Finding outside(List<String> conductors, Step.Touch touch, double ohm, Limit limit) {
        return ohm > limit.high().value()
                ? new Finding.HighResistance(conductors, touch.black(), touch.red(), Ohms.of(ohm), limit.high())
                : new Finding.LowResistance(conductors, touch.black(), touch.red(), Ohms.of(ohm), limit.low());
    }

    /** The conductors on the way where the two are one net, else those that end at either. */
    private List<String> between(Step.Touch touch) {
        List<Conductor> route = design.nets().route(touch.black(), touch.red());
        if (!route.isEmpty()) {
            return route.stream().map(Conductor::id).toList();
        }
        return design.assembly().conductors().stream()
                .filter(each -> touchesEnd(each, touch.black()) || touchesEnd(each, touch.red()))
                .map(Conductor::id)
                .toList();
    }

    private static boolean touchesEnd(Conductor conductor, Terminal end) {
        return conductor.from().equals(end) || conductor.to().equals(end);
    }

    private Found found(Finding finding) {
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
        List<Entry> evidence = job.touched().stream()
                .filter(step -> step instanceof Step.Touch touch
                        && about.contains(touch.black())
                        && about.contains(touch.red())
                        && job.state(step) != StepState.GOOD)
                .filter(step -> step.stage() != Stage.METER)
                .flatMap(step -> job.standing(step).stream())
                .sorted(Comparator.comparingInt(Entry::sequence))
                .toList();
        return new Found(finding, evidence, functions.stream().distinct().toList());
    }
}
