package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.FaultClassifier;
import zestymarten.core.finding.Finding;
import zestymarten.core.finding.Priors;
import zestymarten.core.finding.Symptoms;
import zestymarten.core.judgement.ResistanceJudge;
import zestymarten.core.meter.TestConditions;

/**
 * What may be wrong in each part of a unit, with whole connectors taken to be wired one way.
 *
 * <p>Method: the nets that hang together by parts or by an observation that a good unit would not give are one
 * {@link Scene} and explained by themselves. {@link ExplanationSearch} starts from the faults of the joining, adds what
 * figures and parts ask for, and weighs every set by {@link ObservationModel}. Cost: linear in observations and conductors
 * but for the scenes with something unexpected.
 */
final class UnitScenes {
    private static final int MAX_STARTS = 24;
    private static final int MAX_PARTNERS = 40;

    private final Design design;
    private final TestConditions conditions;
    private final FaultClassifier.Classification classification;
    private final List<Observation> observations;
    private final FaultPriors priors;
    private final ObservationModel model;
    private final NamedFaults names;
    private final List<DiagnosedScene> scenes;
    private Optional<Connectivity> connectivity;
    private Optional<SceneMap> map;

    /** A scene with the sets of faults that may be there, the likeliest first. */
    record DiagnosedScene(Scene scene, List<WeighedFaults> sets, double total) {
        WeighedFaults best() {
            return sets.stream()
                    .filter(WeighedFaults::explainsFaults)
                    .findFirst()
                    .orElse(sets.get(0));
        }

        double share(WeighedFaults set) {
            return Math.exp(set.logWeight() - sets.get(0).logWeight()) / total;
        }

        /** Natural logarithm of how well all its sets together explain what was read. */
        double logWeight() {
            return sets.get(0).logWeight() + Math.log(total);
        }
    }

    private UnitScenes(
            Design wired,
            TestConditions conditions,
            Priors priors,
            Symptoms symptoms,
            FaultClassifier.Classification classification,
            Connectivity connectivity,
            List<Observation> observations) {
        design = wired;
        this.conditions = conditions;
        this.classification = classification;
        this.connectivity = Optional.of(connectivity);
        this.observations = List.copyOf(observations);
        this.priors = new FaultPriors(design, priors, symptoms);
        model = new ObservationModel(conditions, this.priors);
        names = new NamedFaults(design);
        SceneMap nets = new SceneMap(design, observations, this.priors);
        map = Optional.of(nets);
        List<DiagnosedScene> diagnosed = new ArrayList<>();
        for (Scene scene : nets.suspicious(connectivity, MAX_PARTNERS)) {
            List<WeighedFaults> sets = ExplanationSearch.of(model, scene, starts(scene));
            double maximum = sets.get(0).logWeight();
            double total = sets.stream()
                    .mapToDouble(each -> Math.exp(each.logWeight() - maximum))
                    .sum();
            diagnosed.add(new DiagnosedScene(scene, sets, total));
        }
        scenes = List.copyOf(diagnosed);
    }

    private UnitScenes(UnitScenes earlier, List<Observation> observations) {
        design = earlier.design;
        conditions = earlier.conditions;
        classification = earlier.classification;
        priors = earlier.priors;
        model = earlier.model;
        names = earlier.names;
        scenes = earlier.scenes;
        this.observations = List.copyOf(observations);
        connectivity = Optional.empty();
        map = Optional.empty();
    }

    /**
     * The scenes of a unit as a classification has it wired.
     *
     * @param design as it should be
     * @param seen what the observations join
     */
    static UnitScenes of(
            Design design,
            TestConditions conditions,
            Priors priors,
            Symptoms symptoms,
            FaultClassifier.Classification classification,
            Connectivity seen,
            List<Observation> observations) {
        if (classification.pattern().isEmpty()) {
            return new UnitScenes(design, conditions, priors, symptoms, classification, seen, observations);
        }
        Design wired = design.with(classification.base());
        List<Observation> judged = judgedAs(wired, conditions, observations);
        return new UnitScenes(
                wired, conditions, priors, symptoms, classification, new Connectivity(wired, judged), judged);
    }

    /** The observations as a unit with its plugs wired another way would be judged by them. */
    private static List<Observation> judgedAs(
            Design design, TestConditions conditions, List<Observation> observations) {
        return observations.stream()
                .map(each -> {
                    var expectation = design.expectation(each.a(), each.b(), each.state(), each.links());
                    return new Observation(
                            each.number(),
                            each.a(),
                            each.b(),
                            each.state(),
                            expectation,
                            ResistanceJudge.judge(each.meaning(), expectation, conditions),
                            each.meaning(),
                            each.links(),
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
                    if (more.size() < MAX_STARTS && !more.contains(effects)) {
                        more.add(effects);
                    }
                }
            }
            starts = more;
        }
        List<List<Effect>> all = new ArrayList<>(starts);
        all.addAll(PossibleMoves.beside(starts, PossibleMoves.of(scene, connectivity())));
        all.addAll(map().ofSymptoms(scene));
        return all;
    }

    /**
     * The same with one more observation, if that changes nothing of what may be wrong: as plugs wired so let expect it, and beside
     * all scenes. What is read of the unit as a whole is put together again when it is asked for.
     */
    Optional<UnitScenes> with(Observation more) {
        Observation judged = pattern().isEmpty()
                ? more
                : judgedAs(design, conditions, List.of(more)).get(0);
        if (judged.isUnexpected() || !isBeside(more.a()) || !isBeside(more.b())) {
            return Optional.empty();
        }
        List<Observation> all = new ArrayList<>(observations);
        all.add(judged);
        return Optional.of(new UnitScenes(this, all));
    }

    /** Whether a terminal belongs to no scene; the frame belongs to none by itself. */
    private boolean isBeside(Terminal end) {
        return end.isFrame() || scenes.stream().noneMatch(each -> each.scene().holds(end));
    }

    /** The design with the connectors wired as the pattern has them. */
    Design design() {
        return design;
    }

    /** The whole connector that is wired another way, if one is. */
    Optional<Finding> pattern() {
        return classification.pattern();
    }

    /** The observations that count, judged by {@link #design()}. */
    List<Observation> observations() {
        return observations;
    }

    synchronized Connectivity connectivity() {
        connectivity = Optional.of(connectivity.orElseGet(() -> new Connectivity(design, observations)));
        return connectivity.orElseThrow();
    }

    FaultPriors priors() {
        return priors;
    }

    ObservationModel model() {
        return model;
    }

    NamedFaults names() {
        return names;
    }

    synchronized SceneMap map() {
        map = Optional.of(map.orElseGet(() -> new SceneMap(design, observations, priors)));
        return map.orElseThrow();
    }

    List<DiagnosedScene> scenes() {
        return scenes;
    }

    /** Natural logarithm of how well all that may be wrong explains what was read. */
    double logWeight() {
        double turned = pattern().isPresent() ? Math.log(priors.priors().connector()) : 0;
        return turned + scenes.stream().mapToDouble(DiagnosedScene::logWeight).sum();
    }
}
