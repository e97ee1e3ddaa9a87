package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import zestymarten.core.finding.Finding;

/**
 * The sets of faults of the scenes, as findings and as explanations.
 *
 * <p>Rules: a finding is a fault of the likeliest set, its probability the share of all sets that hold it; it is certain
 * where every set that is worth telling holds it, and what those hold instead are its alternatives.
 */
final class SceneFindings {
    /** So many explanations and alternatives at most. */
    static final int MAX_EXPLANATIONS = 20;

    private static final int MAX_OPEN = 40;

    private final UnitScenes unit;

    SceneFindings(UnitScenes unit) {
        this.unit = unit;
    }

    /** The findings of all scenes, in design order; without the pattern of a whole connector. */
    List<ExplainedFinding> findings() {
        return unit.scenes().stream()
                .flatMap(scene -> of(scene).stream())
                .sorted(Comparator.comparingInt(each -> unit.names().place(each.finding())))
                .toList();
    }

    private List<ExplainedFinding> of(UnitScenes.DiagnosedScene scene) {
        WeighedFaults best = scene.best();
        Map<NamedFaults.Name, Double> share = new HashMap<>();
        Map<WeighedFaults, Set<NamedFaults.Name>> held = new LinkedHashMap<>();
        for (WeighedFaults set : scene.sets()) {
            Set<NamedFaults.Name> holds = new LinkedHashSet<>();
            unit.names().of(set).keySet().forEach(each -> holds.add(NamedFaults.name(each)));
            holds.forEach(each -> share.merge(each, scene.share(set), Double::sum));
            held.put(set, holds);
        }
        List<ExplainedFinding> findings = new ArrayList<>();
        unit.names().of(best).forEach((finding, effects) -> {
            NamedFaults.Name name = NamedFaults.name(finding);
            List<Integer> evidence = evidence(best, effects);
            if (evidence.isEmpty()) {
                return; // what only the symptoms suggest is an explanation, not a finding
            }
            findings.add(new ExplainedFinding(
                    finding,
                    Math.min(1, share.getOrDefault(name, 0.0)),
                    rivals(scene, best)
                            .allMatch(set -> held.getOrDefault(set, Set.of()).contains(name)),
                    evidence,
                    alternatives(scene, best, name, held),
                    unit.design().functionsOf(finding.conductors())));
        });
        return findings;
    }

    /** The sets that explain what a good unit would not give and are worth telling. */
    private static Stream<WeighedFaults> rivals(UnitScenes.DiagnosedScene scene, WeighedFaults best) {
        return scene.sets().stream()
                .filter(WeighedFaults::explainsFaults)
                .filter(set -> set.logWeight() > best.logWeight() - ExplanationSearch.WORTH_TELLING);
    }

    private List<Finding> alternatives(
            UnitScenes.DiagnosedScene scene,
            WeighedFaults best,
            NamedFaults.Name name,
            Map<WeighedFaults, Set<NamedFaults.Name>> held) {
        Map<NamedFaults.Name, Finding> others = new LinkedHashMap<>();
        rivals(scene, best)
                .filter(set -> !held.getOrDefault(set, Set.of()).contains(name))
                .forEach(set -> unit.names().of(set).keySet().forEach(each -> {
                    NamedFaults.Name other = NamedFaults.name(each);
                    if (!held.getOrDefault(best, Set.of()).contains(other)) {
                        others.putIfAbsent(other, each);
                    }
                }));
        return others.values().stream().limit(MAX_EXPLANATIONS).toList();
    }

    /** The observations that would be explained worse without some of the faults. */
    private List<Integer> evidence(WeighedFaults best, List<Effect> effects) {
        List<Effect> rest = new ArrayList<>(best.effects());
        rest.removeAll(effects);
        WeighedFaults without = unit.model().weighed(best.variation().scene(), rest);
        List<Observation> seen = best.variation().scene().observations();
        List<Integer> evidence = new ArrayList<>();
        for (int i = 0; i < seen.size(); i++) {
            if (without.misfits().get(i).nats() > best.misfits().get(i).nats() + 1) {
                evidence.add(seen.get(i).number());
            }
        }
        return evidence.stream().sorted().toList();
    }

    /** What may be wrong altogether, the pattern of a whole connector first, the likeliest explanation first. */
    List<Explanation> explanations() {
        List<Finding> sure = new ArrayList<>(unit.pattern().stream().toList());
        double probability = 1;
        List<List<Explanation>> open = new ArrayList<>();
        for (UnitScenes.DiagnosedScene scene : unit.scenes()) {
            List<Explanation> own = merged(scene);
            if (own.size() > 1 && open.size() < MAX_OPEN) {
                open.add(own);
            } else {
                sure.addAll(own.get(0).faults());
                probability *= own.get(0).probability();
            }
        }
        List<Explanation> combined = List.of(new Explanation(probability, List.of()));
        for (List<Explanation> own : open) {
            List<Explanation> more = new ArrayList<>();
            for (Explanation each : combined) {
                for (Explanation other : own) {
                    List<Finding> faults = new ArrayList<>(each.faults());
                    faults.addAll(other.faults());
                    more.add(new Explanation(each.probability() * other.probability(), faults));
                }
            }
            combined = worthTelling(more);
        }
        return combined.stream()
                .map(each -> new Explanation(
                        each.probability(),
                        Stream.concat(sure.stream(), each.faults().stream())
                                .sorted(Comparator.comparingInt(unit.names()::place))
                                .toList()))
                .toList();
    }

    /** The sets of a scene as explanations; those that name the same faults are one. */
    private List<Explanation> merged(UnitScenes.DiagnosedScene scene) {
        Map<Set<NamedFaults.Name>, Explanation> merged = new LinkedHashMap<>();
        for (WeighedFaults set : scene.sets()) {
            Set<Finding> faults = unit.names().of(set).keySet();
            Set<NamedFaults.Name> key = new HashSet<>();
            faults.forEach(each -> key.add(NamedFaults.name(each)));
            merged.merge(
                    key,
                    new Explanation(scene.share(set), List.copyOf(faults)),
                    (one, other) -> new Explanation(one.probability() + other.probability(), one.faults()));
        }
        return worthTelling(new ArrayList<>(merged.values()));
    }

    /** Those within a hundredth of the likeliest, at most {@value #MAX_EXPLANATIONS}. */
    static List<Explanation> worthTelling(List<Explanation> explanations) {
        double maximum = explanations.stream()
                .mapToDouble(Explanation::probability)
                .max()
                .orElse(0);
        return explanations.stream()
                .filter(each -> each.probability() * 100 >= maximum)
                .sorted(Comparator.comparingDouble(Explanation::probability).reversed())
                .limit(MAX_EXPLANATIONS)
                .toList();
    }
}
