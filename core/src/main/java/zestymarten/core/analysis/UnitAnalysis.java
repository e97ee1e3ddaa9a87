package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.FaultClassifier;
import zestymarten.core.finding.Finding;
import zestymarten.core.finding.Partition;
import zestymarten.core.finding.Priors;
import zestymarten.core.finding.Symptoms;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.testplan.ProbePlacement;

/**
 * The only way from observations to what is wrong with a unit.
 *
 * <p>Method: what was read joined and apart is explained by the fewest faults of the joining, {@link FaultClassifier}; what
 * they leave to figures and parts is explained scene by scene, {@link UnitScenes}. Where whole connectors wired another way
 * explain it equally well, each of them is followed to its end, and they are weighed against each other. A finding is a
 * fault of the likeliest set; its probability is the share of all sets that hold it. Cost: linear in observations and
 * conductors but for the scenes with something unexpected. Holds for: observations on an ohm range; what was read under a
 * test voltage is judged by itself.
 */
public final class UnitAnalysis {
    private static final int MAX_WAYS = 6;
    private static final double SAME_NATS = 1e-6;

    private final List<Observation> all;
    private final RepeatedReadings repeats;
    private final UnitScenes unit;
    private final List<UnitScenes> ways = new ArrayList<>();

    private UnitAnalysis(
            Design design, TestConditions conditions, Priors priors, Symptoms symptoms, List<Observation> all) {
        this.all = all;
        repeats = new RepeatedReadings(design, all);
        List<Observation> valid = repeats.valid();
        Connectivity seen = new Connectivity(design, valid);
        FaultClassifier.all(design.assembly(), seen.asTakenForWhole(), seen::isProbed).stream()
                .limit(MAX_WAYS)
                .forEach(each -> ways.add(UnitScenes.of(design, conditions, priors, symptoms, each, seen, valid)));
        ways.sort(Comparator.comparingLong(each -> -Math.round(each.logWeight() / SAME_NATS)));
        unit = ways.get(0);
        ways.removeIf(each -> each.logWeight() < unit.logWeight() - ExplanationSearch.WORTH_TELLING);
    }

    private UnitAnalysis(UnitAnalysis earlier, List<UnitScenes> ways, Observation added) {
        List<Observation> more = new ArrayList<>(earlier.all);
        more.add(added);
        all = List.copyOf(more);
        repeats = earlier.repeats;
        this.ways.addAll(ways);
        unit = ways.get(0);
    }

    /**
     * The same with one more observation, if that changes nothing of what may be wrong: two terminals that are apart as they
     * should be, were read together for the first time, and belong to no part of the unit that is suspected of anything.
     *
     * @param first read for the first time in its setup
     */
    public Optional<UnitAnalysis> with(Observation first) {
        boolean apart = first.parts() && !first.isUnexpected() && !first.linked();
        List<UnitScenes> after =
                apart ? ways.stream().flatMap(each -> each.with(first).stream()).toList() : List.of();
        return after.size() == ways.size() ? Optional.of(new UnitAnalysis(this, after, first)) : Optional.empty();
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
            Symptoms symptoms,
            List<Observation> observations) {
        return new UnitAnalysis(design, conditions, priors, symptoms, List.copyOf(observations));
    }

    /** What to measure next with free ends, the {@code maximum} best. */
    public Recommendation next(MeasurementCosts costs, int maximum) {
        return next(costs, maximum, List.of());
    }

    /**
     * What to measure next, the {@code maximum} best.
     *
     * @param linked how ends may be linked beside measurements with free ends: one reading then asks many pairs
     */
    public Recommendation next(MeasurementCosts costs, int maximum, List<ProbePlacement> linked) {
        return new MeasurementSelector(unit, share(unit), all, costs).best(maximum, linked);
    }

    /** The measurements that tell the faults apart that may be there, the {@code maximum} best. */
    public List<Recommendation.RecommendedMeasurement> tellingApart(MeasurementCosts costs, int maximum) {
        return new MeasurementSelector(unit, share(unit), all, costs).tellingApart(maximum);
    }

    /** How probable one of the ways is in which whole connectors may be wired: 1 where there is but one. */
    private double share(UnitScenes one) {
        double maximum = ways.stream().mapToDouble(UnitScenes::logWeight).max().orElse(0);
        double total = ways.stream()
                .mapToDouble(each -> Math.exp(each.logWeight() - maximum))
                .sum();
        return Math.exp(one.logWeight() - maximum) / total;
    }

    /** What is wrong: the faults of the best explanation, those of the joining in design order. */
    public List<ExplainedFinding> findings() {
        List<List<ExplainedFinding>> each = ways.stream().map(this::under).toList();
        List<ExplainedFinding> findings = new ArrayList<>(each.size() == 1 ? each.get(0) : together(each));
        repeats.findings().stream()
                .filter(repeated -> findings.stream()
                        .noneMatch(other ->
                                NamedFaults.name(other.finding()).equals(NamedFaults.name(repeated.finding()))))
                .forEach(findings::add);
        return List.copyOf(findings);
    }

    private List<ExplainedFinding> under(UnitScenes one) {
        List<ExplainedFinding> findings = new ArrayList<>();
        one.pattern()
                .ifPresent(pattern -> findings.add(new ExplainedFinding(
                        pattern,
                        1,
                        true,
                        unexpectedOf(pattern),
                        List.of(),
                        one.design().functionsOf(pattern.conductors()))));
        findings.addAll(new SceneFindings(one).findings());
        return findings;
    }

    /** The findings of the likeliest of several ways, each with what the others say in its place. */
    private List<ExplainedFinding> together(List<List<ExplainedFinding>> found) {
        List<Map<NamedFaults.Name, ExplainedFinding>> named = found.stream()
                .map(way -> way.stream()
                        .collect(Collectors.toMap(
                                each -> NamedFaults.name(each.finding()),
                                each -> each,
                                (one, other) -> one,
                                LinkedHashMap::new)))
                .collect(Collectors.toList());
        return found.get(0).stream()
                .map(each -> together(each, NamedFaults.name(each.finding()), named))
                .toList();
    }

    /** @param found the findings of each of {@link #ways}, by name */
    private ExplainedFinding together(
            ExplainedFinding first, NamedFaults.Name name, List<Map<NamedFaults.Name, ExplainedFinding>> found) {
        double probability = 0;
        boolean certain = true;
        Map<NamedFaults.Name, Finding> instead = new LinkedHashMap<>();
        first.alternatives().forEach(each -> instead.put(NamedFaults.name(each), each));
        for (int i = 0; i < found.size(); i++) {
            Optional<ExplainedFinding> here = Optional.ofNullable(found.get(i).get(name));
            probability +=
                    share(ways.get(i)) * here.map(ExplainedFinding::probability).orElse(0.0);
            certain &= here.filter(ExplainedFinding::certain).isPresent();
            if (here.isEmpty()) {
                found.get(i).forEach((other, each) -> {
                    if (!found.get(0).containsKey(other)) {
                        instead.putIfAbsent(other, each.finding());
                    }
                });
            }
        }
        return new ExplainedFinding(
                first.finding(),
                Math.min(1, probability),
                certain,
                first.evidence(),
                List.copyOf(instead.values()),
                first.functionsLost());
    }

    private List<Integer> unexpectedOf(Finding finding) {
        Set<Terminal> about = new HashSet<>(finding.terminals());
        return all.stream()
                .filter(each -> each.isUnexpected() && (about.contains(each.a()) || about.contains(each.b())))
                .map(Observation::number)
                .toList();
    }

    /** What may be wrong altogether, the likeliest first: at most {@value SceneFindings#MAX_EXPLANATIONS}. */
    public List<Explanation> explanations() {
        List<Explanation> explanations = ways.stream()
                .flatMap(each -> new SceneFindings(each)
                        .explanations().stream()
                                .map(one -> new Explanation(share(each) * one.probability(), one.faults())))
                .toList();
        return SceneFindings.worthTelling(explanations);
    }

    /** Observations that the best explanation leaves unexplained: one of the probes made no contact, or was on a wrong pin. */
    public List<Integer> contradictions() {
        return unit.scenes().stream()
                .flatMap(scene -> {
                    List<Misfit> misfits = scene.best().misfits();
                    return IntStream.range(0, misfits.size())
                            .filter(i -> !misfits.get(i).isExplained())
                            .mapToObj(i -> scene.scene().observations().get(i).number());
                })
                .sorted()
                .toList();
    }

    /**
     * What no observation shows yet: pairs of the design that nobody read, parts of which a fault would change nothing
     * that was read, pairs of pieces that nobody parted.
     *
     * @param maximum how many to name at most; the pieces of a large unit have very many pairs
     */
    public List<Partition.JoinedPair> untested(int maximum) {
        return new UntestedPieces(unit).pairs().limit(maximum).toList();
    }
}
