package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.FaultClassifier;
import zestymarten.core.finding.Finding;
import zestymarten.core.finding.Partition;
import zestymarten.core.finding.Priors;
import zestymarten.core.finding.Symptoms;
import zestymarten.core.judgement.ResistanceJudge;
import zestymarten.core.meter.TestConditions;

/**
 * The only way from observations to what is wrong with a unit.
 *
 * <p>Method: what was read joined and apart is explained by the fewest faults of the joining, {@link FaultClassifier}. The
 * nets that hang together by parts or by an observation that a good unit would not give are one {@link Scene} and explained
 * by themselves: {@link ExplanationSearch} starts from those faults, adds what figures and parts ask for, and weighs every
 * set by {@link ObservationModel}. A finding is a fault of the likeliest set; its probability is the share of all sets that
 * hold it. Cost: linear in observations and conductors but for the scenes with something unexpected. Holds for: observations
 * on an ohm range; what was read under a test voltage is judged by itself.
 */
public final class UnitAnalysis {
    private static final int MOST_STARTS = 24;
    private static final int MOST_EXPLANATIONS = 20;
    private static final int MOST_OPEN = 40;
    private static final int MOST_PARTNERS = 40;
    private static final double SMALL_JOINT_OHM = 1;

    private final Design design;
    private final TestConditions conditions;
    private final List<Observation> all;
    private final RepeatedReadings repeats;
    private final List<Observation> observations;
    private final Connectivity connectivity;
    private final FaultPriors priors;
    private final ObservationModel model;
    private final NamedFaults names;
    private final Optional<Finding> pattern;
    private final FaultClassifier.Classification classification;
    private final List<Diagnosed> scenes = new ArrayList<>();
    private final SceneMap map;

    /** A scene with the sets of faults that may be there, the likeliest first. */
    record Diagnosed(Scene scene, List<Weighed> sets, double total) {
        Weighed best() {
            return sets.stream().filter(Weighed::explainsFaults).findFirst().orElse(sets.get(0));
        }

        double share(Weighed set) {
            return Math.exp(set.logWeight() - sets.get(0).logWeight()) / total;
        }
    }

    private UnitAnalysis(
            Design design, TestConditions conditions, Priors priors, Symptoms complaint, List<Observation> all) {
        this.conditions = conditions;
        this.all = all;
        repeats = new RepeatedReadings(design, all);
        Connectivity seen = new Connectivity(design, repeats.standing());
        classification = FaultClassifier.all(design.assembly(), seen.asTakenForWhole(), seen::isProbed).stream()
                .min(Comparator.comparingLong(each -> unexpectedUnder(each, design)))
                .orElseThrow();
        pattern = classification.pattern();
        this.design = pattern.isPresent() ? design.with(classification.base()) : design;
        observations = pattern.isPresent() ? rebased(this.design) : repeats.standing();
        connectivity = pattern.isPresent() ? new Connectivity(this.design, observations) : seen;
        this.priors = new FaultPriors(this.design, priors, complaint);
        model = new ObservationModel(conditions, this.priors);
        names = new NamedFaults(this.design);
        map = new SceneMap(this.design, observations, this.priors);
        for (Scene scene : map.suspicious(connectivity, MOST_PARTNERS)) {
            List<Weighed> sets = ExplanationSearch.of(model, scene, starts(scene));
            double most = sets.get(0).logWeight();
            double total = sets.stream()
                    .mapToDouble(each -> Math.exp(each.logWeight() - most))
                    .sum();
            scenes.add(new Diagnosed(scene, sets, total));
        }
    }

    /**
     * Analyses what was read of a unit.
     *
     * @param design made for the temperature of the readings
     * @param observations in the order in which they were made, those that later ones repeat included
     */
    public static UnitAnalysis of(
            Design design,
            TestConditions conditions,
            Priors priors,
            Symptoms complaint,
            List<Observation> observations) {
        return new UnitAnalysis(design, conditions, priors, complaint, List.copyOf(observations));
    }

    /** How much a pattern leaves unexpected: at which side of alike wires it is follows from their figures alone. */
    private long unexpectedUnder(FaultClassifier.Classification each, Design design) {
        return each.pattern().isEmpty()
                ? 0
                : rebased(design.with(each.base())).stream()
                        .filter(Observation::isUnexpected)
                        .count();
    }

    /** The observations as a unit with the pattern would be judged by them. */
    private List<Observation> rebased(Design design) {
        return repeats.standing().stream()
                .map(each -> {
                    var expectation = design.expectation(each.a(), each.b(), each.state(), each.ties());
                    return new Observation(
                            each.number(),
                            each.a(),
                            each.b(),
                            each.state(),
                            expectation,
                            ResistanceJudge.judge(each.meaning(), expectation, conditions),
                            each.meaning(),
                            each.ties(),
                            each.since());
                })
                .toList();
    }

    /** What the joining says of a scene, each combination of its tangles, and the moves that partial evidence leaves open. */
    private List<List<Effect>> starts(Scene scene) {
        List<List<Effect>> starts = new ArrayList<>(List.of(List.of()));
        List<List<List<Finding>>> tangles = new ArrayList<>(classification.tangles());
        tangles.add(List.of(classification.fixed()));
        for (List<List<Finding>> tangle : tangles) {
            List<List<Effect>> more = new ArrayList<>();
            for (List<Effect> start : starts) {
                for (List<Finding> findings : tangle) {
                    List<Effect> effects = new ArrayList<>(start);
                    findings.forEach(finding -> NamedFaults.effect(finding, scene)
                            .filter(effect -> !effects.contains(effect))
                            .ifPresent(effects::add));
                    if (more.size() < MOST_STARTS && !more.contains(effects)) {
                        more.add(effects);
                    }
                }
            }
            starts = more;
        }
        List<List<Effect>> all = new ArrayList<>(starts);
        all.addAll(PossibleMoves.beside(starts, PossibleMoves.of(scene, connectivity)));
        all.addAll(map.ofSymptoms(scene));
        return all;
    }

    Design design() {
        return design;
    }

    /** Every observation, those that later ones repeat included. */
    List<Observation> all() {
        return all;
    }

    boolean areTogether(Terminal a, Terminal b) {
        return map.areTogether(a, b);
    }

    /** What to measure next, the {@code most} best. */
    public Recommendation next(MeasurementCosts costs, int most) {
        return new MeasurementSelector(this, costs).best(most);
    }

    List<Diagnosed> scenes() {
        return List.copyOf(scenes);
    }

    Connectivity connectivity() {
        return connectivity;
    }

    List<Observation> observations() {
        return observations;
    }

    FaultPriors priors() {
        return priors;
    }

    NamedFaults names() {
        return names;
    }

    TestConditions conditions() {
        return conditions;
    }

    /** What is wrong: the faults of the best explanation, those of the joining in design order. */
    public List<Explained> findings() {
        List<Explained> findings = new ArrayList<>();
        pattern.ifPresent(each -> findings.add(
                new Explained(each, 1, true, unexpectedOf(each), List.of(), design.functionsOf(each.conductors()))));
        List<Explained> local = new ArrayList<>();
        for (Diagnosed scene : scenes) {
            local.addAll(findings(scene));
        }
        local.sort(Comparator.comparingInt(each -> names.place(each.finding())));
        findings.addAll(local);
        repeats.findings().stream()
                .filter(each -> findings.stream()
                        .noneMatch(other -> NamedFaults.name(other.finding()).equals(NamedFaults.name(each.finding()))))
                .forEach(findings::add);
        return List.copyOf(findings);
    }

    private List<Integer> unexpectedOf(Finding finding) {
        Set<Terminal> about = new HashSet<>(finding.terminals());
        return all.stream()
                .filter(each -> each.isUnexpected() && (about.contains(each.a()) || about.contains(each.b())))
                .map(Observation::number)
                .toList();
    }

    private List<Explained> findings(Diagnosed scene) {
        Weighed best = scene.best();
        Map<NamedFaults.Name, Double> share = new HashMap<>();
        Map<Weighed, Set<NamedFaults.Name>> held = new LinkedHashMap<>();
        for (Weighed set : scene.sets()) {
            Set<NamedFaults.Name> holds = new LinkedHashSet<>();
            names.of(set).keySet().forEach(each -> holds.add(NamedFaults.name(each)));
            holds.forEach(each -> share.merge(each, scene.share(set), Double::sum));
            held.put(set, holds);
        }
        List<Explained> findings = new ArrayList<>();
        Map<Finding, List<Effect>> named = names.of(best);
        named.forEach((finding, effects) -> {
            NamedFaults.Name name = NamedFaults.name(finding);
            List<Integer> evidence = evidence(best, effects);
            if (evidence.isEmpty()) {
                return; // what only the symptoms suggest is an explanation, not a finding
            }
            findings.add(new Explained(
                    finding,
                    Math.min(1, share.getOrDefault(name, 0.0)),
                    rivals(scene, best)
                            .allMatch(set -> held.getOrDefault(set, Set.of()).contains(name)),
                    evidence,
                    alternatives(scene, best, name, held),
                    design.functionsOf(finding.conductors())));
        });
        return findings;
    }

    /** The sets that explain what a good unit would not give and are worth telling. */
    private static Stream<Weighed> rivals(Diagnosed scene, Weighed best) {
        return scene.sets().stream()
                .filter(Weighed::explainsFaults)
                .filter(set -> set.logWeight() > best.logWeight() - ExplanationSearch.WORTH_TELLING);
    }

    private List<Finding> alternatives(
            Diagnosed scene, Weighed best, NamedFaults.Name name, Map<Weighed, Set<NamedFaults.Name>> held) {
        Map<NamedFaults.Name, Finding> others = new LinkedHashMap<>();
        rivals(scene, best)
                .filter(set -> !held.getOrDefault(set, Set.of()).contains(name))
                .forEach(set -> names.of(set).keySet().forEach(each -> {
                    NamedFaults.Name other = NamedFaults.name(each);
                    if (!held.getOrDefault(best, Set.of()).contains(other)) {
                        others.putIfAbsent(other, each);
                    }
                }));
        return others.values().stream().limit(MOST_EXPLANATIONS).toList();
    }

    /** The observations that would be explained worse without some of the faults. */
    private List<Integer> evidence(Weighed best, List<Effect> effects) {
        List<Effect> rest = new ArrayList<>(best.effects());
        rest.removeAll(effects);
        Weighed without = model.weighed(best.variation().scene(), rest);
        List<Observation> seen = best.variation().scene().observations();
        List<Integer> evidence = new ArrayList<>();
        for (int i = 0; i < seen.size(); i++) {
            if (without.misfits().get(i).nats() > best.misfits().get(i).nats() + 1) {
                evidence.add(seen.get(i).number());
            }
        }
        return evidence.stream().sorted().toList();
    }

    /** What may be wrong altogether, the likeliest first: at most {@value #MOST_EXPLANATIONS}. */
    public List<Explanation> explanations() {
        List<Finding> sure = new ArrayList<>(pattern.stream().toList());
        double probability = 1;
        List<List<Explanation>> open = new ArrayList<>();
        for (Diagnosed scene : scenes) {
            List<Explanation> own = merged(scene);
            if (own.size() > 1 && open.size() < MOST_OPEN) {
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
                                .sorted(Comparator.comparingInt(names::place))
                                .toList()))
                .toList();
    }

    /** The sets of a scene as explanations; those that name the same faults are one. */
    private List<Explanation> merged(Diagnosed scene) {
        Map<Set<NamedFaults.Name>, Explanation> merged = new LinkedHashMap<>();
        for (Weighed set : scene.sets()) {
            Set<Finding> faults = names.of(set).keySet();
            Set<NamedFaults.Name> key = new HashSet<>();
            faults.forEach(each -> key.add(NamedFaults.name(each)));
            merged.merge(
                    key,
                    new Explanation(scene.share(set), List.copyOf(faults)),
                    (one, other) -> new Explanation(one.probability() + other.probability(), one.faults()));
        }
        return worthTelling(new ArrayList<>(merged.values()));
    }

    private static List<Explanation> worthTelling(List<Explanation> explanations) {
        double most = explanations.stream()
                .mapToDouble(Explanation::probability)
                .max()
                .orElse(0);
        return explanations.stream()
                .filter(each -> each.probability() * 100 >= most)
                .sorted(Comparator.comparingDouble(Explanation::probability).reversed())
                .limit(MOST_EXPLANATIONS)
                .toList();
    }

    /** Observations that the best explanation leaves unexplained: one of the probes made no contact, or was on a wrong pin. */
    public List<Integer> contradictions() {
        List<Integer> numbers = new ArrayList<>();
        for (Diagnosed scene : scenes) {
            Weighed best = scene.best();
            for (int i = 0; i < best.misfits().size(); i++) {
                if (!best.misfits().get(i).isExplained()) {
                    numbers.add(scene.scene().observations().get(i).number());
                }
            }
        }
        return numbers.stream().sorted().toList();
    }

    /** Whether a limit is broken or a fault is shown. */
    public boolean isFaulty() {
        return !findings().isEmpty() || observations.stream().anyMatch(Observation::isUnexpected);
    }

    /**
     * What no observation shows yet: pairs of the design that nobody read, parts of which a fault would change nothing
     * that was read, pairs of pieces that nobody parted.
     *
     * @param most how many to name at most; the pieces of a large unit have very many pairs
     */
    public List<Partition.JoinedPair> untested(int most) {
        return Stream.of(connectivity.designedUnread(), partsUntested(), piecesUntested())
                .flatMap(each -> each)
                .limit(most)
                .toList();
    }

    private Stream<Partition.JoinedPair> partsUntested() {
        return design.assembly().components().stream()
                .filter(part -> part.kind() != Component.ComponentKind.DIODE && !design.same(part.a(), part.b()))
                .filter(part -> !isShown(part))
                .map(part -> new Partition.JoinedPair(part.a(), part.b()));
    }

    /** Whether what was read would have been otherwise with the part open, and with a contact stuck either way. */
    private boolean isShown(Component part) {
        Scene scene = map.sceneOf(part.a());
        Element element = scene.elements().stream()
                .filter(each -> each.part().filter(part::equals).isPresent())
                .findFirst()
                .orElseThrow();
        if (!element.isContact()) {
            return changes(scene, new Effect.CutElement(element));
        }
        boolean closes = design.assembly().states().stream().anyMatch(part::conductsIn);
        boolean opens = design.assembly().states().stream().anyMatch(state -> !part.conductsIn(state));
        return (!closes || changes(scene, new Effect.Stuck(element, false)))
                && (!opens || changes(scene, new Effect.Stuck(element, true)));
    }

    /** Whether a fault besides those found would leave something unexplained that now is not. */
    private boolean changes(Scene scene, Effect effect) {
        List<Effect> found = scenes.stream()
                .filter(each -> each.scene().holds(scene.terminals().iterator().next()))
                .findFirst()
                .map(each -> each.best().effects())
                .orElse(List.of());
        if (found.contains(effect)) {
            return true;
        }
        ObservationModel small = model.withJointsBelow(SMALL_JOINT_OHM);
        Weighed now = small.weighed(
                scene, found.stream().filter(each -> scene.holds(each)).toList());
        List<Effect> more = new ArrayList<>(now.effects());
        more.add(effect);
        Weighed then = small.weighed(scene, more);
        for (int i = 0; i < now.misfits().size(); i++) {
            if (then.misfits().get(i).nats() > now.misfits().get(i).nats() + 3) {
                return true;
            }
        }
        return false;
    }

    private Stream<Partition.JoinedPair> piecesUntested() {
        return connectivity.piecesUnread().filter(pair -> !map.areTogether(pair.a(), pair.b()) || !isShown(pair));
    }

    private boolean isShown(Partition.JoinedPair pair) {
        Scene scene = map.sceneOf(pair.a());
        Variation plain = new Variation(scene, List.of(), Map.of(), SMALL_JOINT_OHM);
        ObservedPieces pieces = new ObservedPieces(plain);
        return pieces.number(pair.a()) == pieces.number(pair.b())
                || changes(scene, new Effect.Bridged(List.of(pieces.of(pair.a()), pieces.of(pair.b()))));
    }
}
