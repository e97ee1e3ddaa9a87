package zestymarten.core.analysis;

import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import zestymarten.core.analysis.Recommendation.MeasurementPurpose;
import zestymarten.core.analysis.Recommendation.RecommendedMeasurement;
import zestymarten.core.analysis.Recommendation.Status;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Finding;
import zestymarten.core.finding.Priors;
import zestymarten.core.quantity.Patience;
import zestymarten.core.testplan.ProbePlacement;

/**
 * Chooses what to measure next: the largest expected drop of entropy per second.
 *
 * <p>Method: what a measurement may show is put in classes (open, and steps of a factor of two in ohms). In a scene with
 * several explanations each predicts its class by the network; elsewhere a net, part or pair that nobody read shows a fault
 * as often as was expected before. It ends when one repair holds {@value #FINISHED} of all, or when no measurement tells
 * {@value #MIN_BITS} bits. Cost: the pairs of the terminals that the explanations of a scene name, times the explanations;
 * linear in what nobody read.
 */
final class MeasurementSelector {
    private static final double FINISHED = 0.95;
    private static final double CAUTION = 0.02;
    private static final double MIN_BITS = 2e-4;
    private static final int MAX_SETS = 24;
    private static final int MAX_TERMINALS = 16;

    private static final int MAX_WEIGHED = 2000;
    private static final int MAX_REPEATS = 2;
    private static final double JUMPS_OPEN = 0.3;

    private final UnitScenes analysis;
    private final double share;
    private final Design design;
    private final MeasurementCosts.Pricing costs;
    private final Priors priors;
    private final List<Observation> all;
    private final Map<Observation.Key, Integer> made = new HashMap<>();
    private final Map<Observation.Key, RecommendedMeasurement> found = new LinkedHashMap<>();
    private final Map<Terminal, Scene> inScenes = new HashMap<>();
    private double expectedElsewhere;

    /**
     * @param share how probable the connectors are to be wired as the scenes have them: no measurement tells that
     * @param all every observation, those that later ones repeat included
     */
    MeasurementSelector(UnitScenes analysis, double share, List<Observation> all, MeasurementCosts costs) {
        this.analysis = analysis;
        this.share = share;
        this.costs = costs.after(all);
        design = analysis.design();
        priors = analysis.priors().priors();
        this.all = all;
        analysis.scenes()
                .forEach(each -> each.scene().terminals().stream()
                        .filter(end -> !end.isFrame())
                        .forEach(end -> inScenes.putIfAbsent(end, each.scene())));
    }

    /** The measurements that tell the sets of faults in the scenes apart. Cost: linear in the observations but for the scenes. */
    List<RecommendedMeasurement> tellingApart(int maximum) {
        all.stream()
                .filter(each -> inScenes.containsKey(each.a()) || inScenes.containsKey(each.b()))
                .forEach(each -> made.merge(each.key(), 1, Integer::sum));
        analysis.scenes().forEach(this::inScene);
        return bestOf(maximum).stream()
                .filter(each -> each.purpose() == MeasurementPurpose.TELLS_APART)
                .toList();
    }

    /** @param linked how ends may be linked, for one measurement of many pairs */
    Recommendation best(int maximum, List<ProbePlacement> linked) {
        all.forEach(each -> made.merge(each.key(), 1, Integer::sum));
        List<UnitScenes.DiagnosedScene> scenes = analysis.scenes();
        double[] sure = scenes.stream().mapToDouble(this::certainty).toArray();
        for (UnitScenes.DiagnosedScene scene : scenes) {
            if (found.size() < MAX_WEIGHED) {
                inScene(scene);
            }
        }
        takeUnread();
        linked.forEach(this::unreadLinked);
        double certainty =
                share * Math.exp(-expectedElsewhere) * Arrays.stream(sure).reduce(1, (a, b) -> a * b);
        if (certainty < FINISHED) {
            IntStream.range(0, sure.length)
                    .filter(i -> -Math.log(sure[i]) > expectedElsewhere)
                    .forEach(i -> contactsInDoubt(scenes.get(i)));
        }
        List<RecommendedMeasurement> best = bestOf(maximum);
        return new Recommendation(status(certainty, best), certainty, best);
    }

    /** That nothing is wrong is no repair: while nothing is found it goes on as long as there is anything to read. */
    private Status status(double certainty, List<RecommendedMeasurement> best) {
        boolean found = analysis.pattern().isPresent()
                || analysis.scenes().stream()
                        .anyMatch(each -> !each.best().effects().isEmpty());
        if (certainty >= FINISHED && (found || best.isEmpty())) {
            return Status.FINISHED;
        }
        return best.isEmpty() ? Status.CANNOT_BE_TOLD : Status.GO_ON;
    }

    private List<RecommendedMeasurement> bestOf(int maximum) {
        return found.values().stream()
                .filter(each -> each.bits() > MIN_BITS)
                .sorted(Comparator.comparingDouble(RecommendedMeasurement::bitsPerSecond)
                        .reversed())
                .limit(maximum)
                .toList();
    }

    /**
     * Probability of the likeliest repair of a scene: an open and a high wire are renewed alike. Nothing is taken apart on
     * one probe alone: bad contacts count as if they came at least as often as {@value #CAUTION}.
     */
    private double certainty(UnitScenes.DiagnosedScene scene) {
        double likelier = likelier();
        double maximum = scene.sets().stream()
                .mapToDouble(each -> each.cautiousWeight(likelier))
                .max()
                .orElse(0);
        double total = 0;
        Map<Set<String>, Double> repairs = new HashMap<>();
        for (WeighedFaults set : scene.sets()) {
            Set<String> repair = new TreeSet<>();
            analysis.names().of(set).keySet().forEach(each -> repair.add(repair(each)));
            double share = Math.exp(set.cautiousWeight(likelier) - maximum);
            total += share;
            repairs.merge(repair, share, Double::sum);
        }
        return repairs.values().stream().max(Double::compare).orElse(1.0) / Math.max(total, 1e-12);
    }

    /** By how many natural logarithms a bad contact is likelier than it was taken to be, in caution. */
    private double likelier() {
        return Math.max(0, Math.log(CAUTION / priors.badContact()));
    }

    /**
     * A fault that hardly occurs is not believed on two readings if as many bad contacts are nearly as likely: where that is
     * what is least certain, the reading that shows it is made a third time.
     */
    private void contactsInDoubt(UnitScenes.DiagnosedScene scene) {
        double likelier = likelier();
        double maximum = scene.best().cautiousWeight(likelier);
        for (WeighedFaults set : scene.sets()) {
            double odds = Math.exp(Math.min(0, set.cautiousWeight(likelier) - maximum));
            double share = odds / (1 + odds);
            for (int i = 0; i < set.misfits().size(); i++) {
                Observation seen = set.variation().scene().observations().get(i);
                boolean again = set.misfits().get(i).badContact()
                        && !seen.linked()
                        && made.getOrDefault(seen.key(), 0) == MAX_REPEATS;
                if (again) {
                    double bits = entropy(List.of(share, 1 - share), 1);
                    add(
                            seen.a(),
                            seen.b(),
                            seen.state(),
                            bits,
                            MeasurementPurpose.READ_AGAIN,
                            asks(scene.best(), List.of()));
                }
            }
        }
    }

    private static String repair(Finding finding) {
        boolean renewed = finding instanceof Finding.Open
                || finding instanceof Finding.HighResistance
                || finding instanceof Finding.Intermittent
                || finding instanceof Finding.PartAtFault;
        return (renewed ? "renew" : finding.kind()) + new TreeSet<>(finding.named());
    }

    private void inScene(UnitScenes.DiagnosedScene scene) {
        if (scene.sets().size() < 2 || scene.share(scene.sets().get(0)) > 1 - 1e-4) {
            return;
        }
        List<WeighedFaults> sets =
                scene.sets().subList(0, Math.min(MAX_SETS, scene.sets().size()));
        List<Terminal> points = points(scene.scene(), sets);
        boolean contacts = scene.scene().elements().stream().anyMatch(Element::isContact);
        List<SwitchState> states = contacts
                ? design.assembly().states()
                : List.of(design.assembly().states().get(0));
        for (SwitchState state : states) {
            for (int i = 0; i < points.size(); i++) {
                for (int j = i + 1; j < points.size(); j++) {
                    Patience.check();
                    weigh(scene, sets, points.get(i), points.get(j), state);
                }
            }
        }
    }

    /** Where a probe can go in a scene: first what the likeliest explanations name. */
    private List<Terminal> points(Scene scene, List<WeighedFaults> sets) {
        Set<Terminal> points = new LinkedHashSet<>();
        for (WeighedFaults set : sets) {
            analysis.names().of(set).keySet().forEach(finding -> {
                points.addAll(finding.terminals());
                finding.conductors().forEach(id -> {
                    points.add(design.conductor(id).from());
                    points.add(design.conductor(id).to());
                });
            });
        }
        points.addAll(scene.terminals());
        Set<Terminal> joints = new HashSet<>();
        design.assembly().joints().stream().filter(each -> each.probe()).forEach(each -> joints.add(each.terminal()));
        return points.stream()
                .filter(each -> scene.holds(each) && (each.isPin() || each.isFrame() || joints.contains(each)))
                .limit(MAX_TERMINALS)
                .toList();
    }

    private void weigh(
            UnitScenes.DiagnosedScene scene, List<WeighedFaults> sets, Terminal a, Terminal b, SwitchState state) {
        int times = made.getOrDefault(new Observation.Key(Set.of(a, b), state, List.of()), 0);
        if (times >= MAX_REPEATS) {
            return;
        }
        Map<Integer, Double> classes = new HashMap<>();
        Map<Integer, WeighedFaults> speaks = new HashMap<>();
        double known = 0;
        for (WeighedFaults set : sets) {
            double share = scene.share(set);
            known += share;
            for (Map.Entry<Integer, Double> each : shown(set, a, b, state).entrySet()) {
                classes.merge(each.getKey(), share * each.getValue(), Double::sum);
                speaks.putIfAbsent(each.getKey(), set);
            }
        }
        double bits = entropy(classes.values(), known);
        if (bits > MIN_BITS) {
            Optional<Finding> asks = asks(sets.get(0), speaks.values());
            MeasurementPurpose purpose = times > 0 ? MeasurementPurpose.READ_AGAIN : MeasurementPurpose.TELLS_APART;
            add(a, b, state, bits, purpose, asks);
        }
    }

    /** The fault of the likeliest set, or else of the next that predicts something else. */
    private Optional<Finding> asks(WeighedFaults best, Collection<WeighedFaults> speakers) {
        return Stream.concat(Stream.of(best), speakers.stream())
                .flatMap(set -> analysis.names().of(set).keySet().stream())
                .findFirst();
    }

    /** What a set of faults predicts, in classes: -1 for open, else steps of a factor of two. */
    private static Map<Integer, Double> shown(WeighedFaults set, Terminal a, Terminal b, SwitchState state) {
        Variation variation = set.variation();
        Scene scene = variation.scene();
        SolvedCircuit circuit = variation.circuit(state, List.of());
        int x = scene.node(a);
        int y = scene.node(b);
        if (!circuit.joins(x, y)) {
            return Map.of(-1, 1.0);
        }
        double ohm = circuit.between(
                x, y, set.fitted().ohms(), new double[variation.edges().size()]);
        int step = (int) Math.max(0, Math.floor(Math.log(Math.max(0.5, ohm) / 0.5) / Math.log(2)));
        return circuit.way(x, y).stream().anyMatch(variation::isJumping)
                ? Map.of(-1, JUMPS_OPEN, step, 1 - JUMPS_OPEN)
                : Map.of(step, 1.0);
    }

    private static double entropy(Collection<Double> weights, double total) {
        double sum = 0;
        for (double weight : weights) {
            double share = weight / Math.max(total, 1e-12);
            sum -= share > 0 ? share * Math.log(share) / Math.log(2) : 0;
        }
        return Math.max(0, sum);
    }

    private void add(
            Terminal a,
            Terminal b,
            SwitchState state,
            double bits,
            MeasurementPurpose purpose,
            Optional<Finding> asks) {
        add(new RecommendedMeasurement(a, b, state, List.of(), bits, costs.seconds(a, b, List.of()), purpose, asks));
    }

    private void add(RecommendedMeasurement next) {
        found.merge(
                new Observation.Key(Set.of(next.black(), next.red()), next.state(), next.links()),
                next,
                (one, other) -> other.bits() > one.bits() ? other : one);
    }

    /** What nobody read and what is at fault with a small probability. */
    private void takeUnread() {
        UnreadOdds unread = UnreadOdds.of(analysis, this::isAsked);
        expectedElsewhere = unread.expected();
        for (UnreadOdds.Unread each : unread.all()) {
            if (found.size() >= UnreadOdds.MAX) {
                return;
            }
            double share = each.odds() / (1 + each.odds());
            double bits = entropy(List.of(share, 1 - share), 1);
            add(each.a(), each.b(), each.state(), bits, MeasurementPurpose.UNREAD, Optional.empty());
        }
    }

    /** Whether the scenes ask about a part, or it was read in this state. */
    private boolean isAsked(Component part, SwitchState state) {
        return inScenes.containsKey(part.a())
                || made.containsKey(new Observation.Key(Set.of(part.a(), part.b()), state, List.of()));
    }

    /** Linked ends ask many pairs at once: that any two of them are joined is about as likely as all pairs together. */
    private void unreadLinked(ProbePlacement placement) {
        Connectivity seen = analysis.connectivity();
        SceneMap nets = analysis.map();
        List<Terminal> far = placement.side(placement.red());
        double odds = 0;
        for (Terminal one : placement.side(placement.black())) {
            for (Terminal other : far) {
                boolean unread = seen.isUnread(one, other) && !nets.areTogether(one, other);
                odds += unread ? analysis.priors().joint(one, other) : 0;
            }
        }
        double joined = odds / (1 + odds);
        if (odds > 0) {
            add(new RecommendedMeasurement(
                    placement.black(),
                    placement.red(),
                    placement.state(),
                    placement.links(),
                    entropy(List.of(joined, 1 - joined), 1),
                    costs.seconds(placement.black(), placement.red(), placement.links()),
                    MeasurementPurpose.UNREAD,
                    Optional.empty()));
        }
    }
}
