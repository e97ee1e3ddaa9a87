package zestymarten.core.diagnosis;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import zestymarten.core.analysis.Design;
import zestymarten.core.fault.Fault;
import zestymarten.core.fault.FaultyUnit;
import zestymarten.core.fault.GoodUnit;
import zestymarten.core.finding.Complaint;
import zestymarten.core.finding.Priors;
import zestymarten.core.meter.Conditions;
import zestymarten.core.quantity.Understood;

/**
 * What is probably wrong with a unit, from whatever was read of it.
 *
 * <p>Method: Bayes over single faults, then over sets of up to {@value #MOST_FAULTS} built from the best. Each reading is
 * predicted by the unit's network under the fault (see {@link FaultyUnit}) and weighed by {@link Likelihood} against its
 * likelihood on a good unit; a reading is only asked of the faults that name a place it touches, all others predict it as
 * a good unit does. What could be wrong besides, with places not looked at yet, takes its share from every set. Immutable;
 * a reading more gives a new diagnosis that shares the faults and what they made of the readings before. Cost: for n nets
 * about n predictions a reading; see {@link Atoms} for how many faults there are.
 */
public final class Diagnosis {
    /** Beyond so many nets only those under suspicion are paired, and the cost of a diagnosis is seldom worth it. */
    public static final int MOST_NETS = Atoms.ALL_PAIRS;

    private static final int MOST_FAULTS = 4;
    private static final int KEPT_SETS = 6;
    private static final int KEPT_ATOMS = 20;
    private static final int KEPT_PER_PLACE = 3;
    private static final double FINISHED = 0.95;
    private static final double SURPRISING = Math.log(0.06);
    private static final double DIFFERENT = 0.5;
    private static final double SUPPORTED = 0.5;

    private final GoodUnit unit;
    private final Conditions conditions;
    private final Priors priors;
    private final Complaint complaint;
    private final Atoms atoms;
    private final Places places;
    private final List<Touched> readings;
    private final double[] logWeight;
    private final List<List<Integer>> met;
    /** The likeliest single faults, of which sets are made; all others are the background. */
    private final Set<Atom> core;

    private final double background;
    private final Map<Integer, List<Atom>> rivals;
    private final List<Candidate> sets;
    private final double heaviest;
    private final double total;

    /** Some faults together, with the logarithm of their weight against a unit with nothing wrong. */
    record Candidate(List<Atom> atoms, double logWeight) {}

    private Diagnosis(
            GoodUnit unit,
            Conditions conditions,
            Priors priors,
            Complaint complaint,
            Places places,
            Atoms atoms,
            List<Touched> readings,
            double[] logWeight,
            List<List<Integer>> met) {
        this.unit = unit;
        this.conditions = conditions;
        this.priors = priors;
        this.complaint = complaint;
        this.places = places;
        this.atoms = atoms;
        this.readings = List.copyOf(readings);
        this.logWeight = logWeight;
        this.met = met;
        core = new LinkedHashSet<>(bestAtoms());
        background = atoms.all().stream()
                .filter(each -> !core.contains(each))
                .mapToDouble(each -> Math.log1p(weight(each)))
                .sum();
        rivals = rivals();
        sets = searched();
        heaviest = sets.stream().mapToDouble(Candidate::logWeight).max().orElse(0);
        total = sets.stream().mapToDouble(this::withOthers).sum();
    }

    /**
     * The diagnosis of readings.
     *
     * @param unit a good one of the design
     * @param readings in the order in which they were taken; those superseded left out
     */
    public static Diagnosis of(
            GoodUnit unit, Conditions conditions, Priors priors, Complaint complaint, List<Touched> readings) {
        Places places = new Places(unit.design());
        Set<Integer> suspects = new HashSet<>();
        if (unit.design().nets().all().size() > Atoms.ALL_PAIRS) {
            readings.forEach(each -> suspects.addAll(suspectsOf(each, places, unit.design())));
        }
        Atoms atoms = new Atoms(unit.design(), places, priors, complaint, suspects);
        double[] logWeight =
                atoms.all().stream().mapToDouble(each -> Math.log(each.odds())).toArray();
        List<List<Integer>> met = new ArrayList<>();
        for (int i = 0; i < logWeight.length; i++) {
            met.add(List.of());
        }
        for (int i = 0; i < readings.size(); i++) {
            weigh(readings.get(i), i, unit, conditions, places, atoms, logWeight, met);
        }
        return new Diagnosis(unit, conditions, priors, complaint, places, atoms, readings, logWeight, met);
    }

    /** The same with one reading more. */
    public Diagnosis plus(Touched reading) {
        List<Touched> more = new ArrayList<>(readings);
        more.add(reading);
        if (unit.design().nets().all().size() > Atoms.ALL_PAIRS) {
            return of(unit, conditions, priors, complaint, more);
        }
        double[] weights = logWeight.clone();
        List<List<Integer>> touched = new ArrayList<>(met);
        weigh(reading, readings.size(), unit, conditions, places, atoms, weights, touched);
        return new Diagnosis(unit, conditions, priors, complaint, places, atoms, more, weights, touched);
    }

    /** Places of a reading that is not what the design expects. */
    private static List<Integer> suspectsOf(Touched reading, Places places, Design design) {
        boolean joined = design.path(reading.a(), reading.b(), reading.state(), reading.ties())
                .fold(way -> true, () -> false);
        boolean open =
                reading.meaning() instanceof Understood.OverRange || reading.meaning() instanceof Understood.Silent;
        return joined == open ? List.of(places.of(reading.a()), places.of(reading.b())) : List.of();
    }

    private static void weigh(
            Touched reading,
            int number,
            GoodUnit unit,
            Conditions conditions,
            Places places,
            Atoms atoms,
            double[] logWeight,
            List<List<Integer>> met) {
        OptionalDouble good =
                FaultyUnit.of(unit, List.of()).ohms(reading.a(), reading.b(), reading.state(), reading.ties());
        double base = Likelihood.log(reading.meaning(), conditions, good, Atom.Shape.EXACT);
        Meeting meeting = new Meeting(unit.design(), places, atoms);
        for (Atom atom : meeting.atoms(reading.a(), reading.b(), reading.state(), reading.ties(), good.isPresent())) {
            logWeight[atom.number()] += logLikelihood(unit, conditions, reading, good, List.of(atom)) - base;
            List<Integer> more = new ArrayList<>(met.get(atom.number()));
            more.add(number);
            met.set(atom.number(), more);
        }
    }

    private static double logLikelihood(
            GoodUnit unit, Conditions conditions, Touched reading, OptionalDouble good, List<Atom> set) {
        List<Fault> faults = set.stream().map(Atom::fault).toList();
        OptionalDouble ohms =
                FaultyUnit.of(unit, faults).ohms(reading.a(), reading.b(), reading.state(), reading.ties());
        return Likelihood.log(reading.meaning(), conditions, ohms, shape(unit, reading, set, ohms, good));
    }

    /** The shape of the atom through which the reading goes, if one of them is not exact. */
    static Atom.Shape shape(GoodUnit unit, Touched reading, List<Atom> set, OptionalDouble ohms, OptionalDouble good) {
        if (ohms.isPresent()) {
            for (Atom atom : set) {
                if (atom.shape() != Atom.Shape.EXACT && goesThrough(unit, reading, set, atom, ohms, good)) {
                    return atom.shape();
                }
            }
        }
        return Atom.Shape.EXACT;
    }

    /** Whether the reading would be another without the fault, or with its wire open. */
    private static boolean goesThrough(
            GoodUnit unit, Touched reading, List<Atom> set, Atom atom, OptionalDouble ohms, OptionalDouble good) {
        List<Fault> others = new ArrayList<>(
                set.stream().filter(each -> !each.equals(atom)).map(Atom::fault).toList());
        if (atom.fault() instanceof Fault.Intermittent broken) {
            others.add(new Fault.Open(broken.conductor()));
        }
        OptionalDouble without = others.isEmpty()
                ? good
                : FaultyUnit.of(unit, others).ohms(reading.a(), reading.b(), reading.state(), reading.ties());
        return without.isEmpty() || Math.abs(without.getAsDouble() - ohms.orElse(0)) > DIFFERENT;
    }

    /** The sets worth a look: none, each of the likeliest single faults, and what grows from the best ones. */
    private List<Candidate> searched() {
        List<Candidate> found = new ArrayList<>();
        found.add(new Candidate(List.of(), Math.log(faultless())));
        List<Candidate> level = core.stream()
                .map(each -> new Candidate(List.of(each), logWeight[each.number()]))
                .toList();
        found.addAll(level);
        atoms.all().stream()
                .filter(each -> !core.contains(each) && isSupported(each))
                .forEach(each -> found.add(new Candidate(List.of(each), logWeight[each.number()])));
        Set<BitSet> seen = new HashSet<>();
        for (int size = 2; size <= MOST_FAULTS; size++) {
            List<Candidate> grown = new ArrayList<>();
            for (Candidate set : level.subList(0, Math.min(KEPT_SETS, level.size()))) {
                for (Atom atom : core) {
                    if (fits(atom, set) && seen.add(numbers(set, atom))) {
                        grown.add(grown(set, atom));
                    }
                }
            }
            grown.sort(Comparator.comparingDouble(Candidate::logWeight).reversed());
            found.addAll(grown);
            level = grown;
        }
        return List.copyOf(found);
    }

    /** Whether what was read speaks for a fault rather than against it. */
    private boolean isSupported(Atom atom) {
        return logWeight[atom.number()] > Math.log(atom.odds()) + SUPPORTED;
    }

    private double faultless() {
        return Math.max(1e-9, complaint.isOfSomething() ? priors.faultless() * 0.05 : priors.faultless());
    }

    private static BitSet numbers(Candidate set, Atom more) {
        BitSet numbers = new BitSet();
        set.atoms().forEach(each -> numbers.set(each.number()));
        numbers.set(more.number());
        return numbers;
    }

    /** Two faults of one conductor or part exclude one another, but for shorts, which any wire may have as well. */
    private static boolean fits(Atom atom, Candidate set) {
        return set.atoms().stream()
                .allMatch(each -> !each.equals(atom)
                        && (isShort(each)
                                || isShort(atom)
                                || each.names().stream().noneMatch(atom.names()::contains)));
    }

    private static boolean isShort(Atom atom) {
        return atom.fault() instanceof Fault.Shorted;
    }

    /** A set with one fault more: their weights multiply, but for the readings that meet both. */
    private Candidate grown(Candidate set, Atom atom) {
        List<Atom> all = new ArrayList<>(set.atoms());
        all.add(atom);
        long twice = atom.nets().stream()
                .filter(place -> atoms.isFailing(place)
                        && set.atoms().stream().anyMatch(each -> each.nets().contains(place)))
                .count();
        double sum = set.logWeight() + logWeight[atom.number()] - twice * Math.log(Atoms.EXPLAINS);
        Set<Integer> both = new TreeSet<>();
        for (Atom each : set.atoms()) {
            both.addAll(met.get(each.number()));
        }
        both.retainAll(met.get(atom.number()));
        for (int number : both) {
            Touched reading = readings.get(number);
            OptionalDouble good = good(reading);
            sum += logLikelihood(unit, conditions, reading, good, all)
                    - logLikelihood(unit, conditions, reading, good, set.atoms())
                    - logLikelihood(unit, conditions, reading, good, List.of(atom))
                    + Likelihood.log(reading.meaning(), conditions, good, Atom.Shape.EXACT);
        }
        return new Candidate(all, sum);
    }

    private OptionalDouble good(Touched reading) {
        return FaultyUnit.of(unit, List.of()).ohms(reading.a(), reading.b(), reading.state(), reading.ties());
    }

    /** The likeliest single faults, a few at most for each place so that one wire does not crowd out the others. */
    private List<Atom> bestAtoms() {
        Map<Integer, Integer> taken = new HashMap<>();
        List<Atom> best = new ArrayList<>();
        List<Atom> ordered = atoms.all().stream()
                .filter(each -> logWeight[each.number()] > -4)
                .sorted(Comparator.comparingDouble((Atom each) -> logWeight[each.number()])
                        .reversed())
                .toList();
        for (Atom atom : ordered) {
            boolean room = atom.nets().stream().allMatch(each -> taken.getOrDefault(each, 0) < KEPT_PER_PLACE);
            if (room && best.size() < KEPT_ATOMS) {
                best.add(atom);
                atom.nets().forEach(each -> taken.merge(each, 1, Integer::sum));
            }
        }
        return best;
    }

    /**
     * Logarithm of the sum of the weights of whatever may be wrong besides a set, nothing included: the faults outside the
     * core, at places that the set does not name, each for itself.
     */
    private double logBesides(Candidate set) {
        Set<Integer> named = new HashSet<>();
        set.atoms().forEach(each -> named.addAll(each.nets()));
        Set<Atom> excluded = new HashSet<>();
        double others = background;
        for (int place : named) {
            for (Atom atom : atoms.at(place)) {
                if (!core.contains(atom) && excluded.add(atom)) {
                    others -= Math.log1p(weight(atom));
                }
            }
        }
        return Math.max(0, others);
    }

    /** Weight of a fault beside others, which explain what speaks for it: at most what it had before anything was read. */
    private double weight(Atom atom) {
        return Math.min(atom.odds(), Math.exp(Math.min(0, logWeight[atom.number()])));
    }

    /** Weight of a set with whatever else may be wrong, relative to the heaviest set. */
    private double withOthers(Candidate set) {
        double besides = logBesides(set);
        double exactly = Math.exp(set.logWeight() - heaviest);
        if (set.atoms().isEmpty()) {
            return exactly + Math.expm1(besides) * Math.exp(-heaviest);
        }
        double instead = 1;
        if (set.atoms().size() > 1) {
            for (Atom atom : set.atoms()) {
                instead += instead(atom, set);
            }
        }
        return exactly * Math.exp(besides) * instead;
    }

    /** How heavy, beside one fault of a set, the faults are together that could stand in its place and have no set of their own. */
    private double instead(Atom atom, Candidate set) {
        return rivals.getOrDefault(atom.number(), List.of()).stream()
                .filter(rival -> set.atoms().stream().allMatch(each -> each.equals(atom) || each.isApartFrom(rival)))
                .mapToDouble(rival -> Math.exp(Math.min(0, logWeight[rival.number()] - logWeight[atom.number()])))
                .sum();
    }

    /** For each fault of the core, the supported faults outside it that name one of its places. */
    private Map<Integer, List<Atom>> rivals() {
        Map<Integer, List<Atom>> rivals = new HashMap<>();
        for (Atom atom : core) {
            Set<Atom> others = new LinkedHashSet<>();
            atom.nets().forEach(place -> others.addAll(atoms.at(place)));
            others.removeIf(each -> core.contains(each) || !isSupported(each));
            rivals.put(atom.number(), List.copyOf(others));
        }
        return rivals;
    }

    /** The sets of faults that may be what is wrong, the likeliest first. */
    public List<Suspect> suspects(int most) {
        return sets.stream()
                .sorted(Comparator.comparingDouble(Candidate::logWeight).reversed())
                .limit(most)
                .map(this::suspect)
                .toList();
    }

    private Suspect suspect(Candidate set) {
        List<Fault> faults = set.atoms().stream().map(Atom::fault).toList();
        List<String> names = set.atoms().stream()
                .flatMap(each -> each.names().stream())
                .distinct()
                .toList();
        return new Suspect(faults, names, probability(set), Told.of(set.atoms(), unit.design()));
    }

    /** Probability of just these faults and no others. */
    private double probability(Candidate set) {
        return Math.exp(set.logWeight() - heaviest) / total;
    }

    /** Probability that a fault which would be mended at these conductors or parts is there, alone or with others. */
    public double probabilityOf(Set<String> names) {
        double probability = sets.stream()
                .filter(set -> set.atoms().stream().anyMatch(each -> names.equals(Set.copyOf(each.names()))))
                .mapToDouble(set -> withOthers(set) / total)
                .sum();
        for (Atom atom : atoms.all()) {
            if (names.equals(Set.copyOf(atom.names())) && !core.contains(atom)) {
                double room = sets.stream()
                        .filter(set -> set.atoms().stream().allMatch(each -> each.isApartFrom(atom)))
                        .mapToDouble(set -> withOthers(set) / total)
                        .sum();
                probability += room * chance(atom);
            }
        }
        return Math.min(1, probability);
    }

    /** Whether what would be mended is as good as certain, so that more touches would not change the repair. */
    public boolean isFinished() {
        return certainty() >= FINISHED;
    }

    /** Probability of the likeliest repair: faults that are mended in the same way count together. */
    public double certainty() {
        Map<Set<String>, Double> repairs = new HashMap<>();
        for (Candidate set : sets) {
            repairs.merge(repair(set), probability(set), Double::sum);
        }
        return repairs.values().stream().max(Double::compare).orElse(0.0);
    }

    /** What would be done: an open or high wire is renewed either way; a short and a move are each a thing of their own. */
    private static Set<String> repair(Candidate set) {
        Set<String> repair = new TreeSet<>();
        for (Atom atom : set.atoms()) {
            String how = isShort(atom) ? "part " : atom.fault() instanceof Fault.Moved ? "move " : "renew ";
            repair.add(how + new TreeSet<>(atom.names()) + (isShort(atom) ? atom.nets() : ""));
        }
        return repair;
    }

    /** Readings that the likeliest explanation does not explain: a touch without contact, or on a wrong pin. */
    public List<Touched> contradictions() {
        Candidate best = sets.stream()
                .max(Comparator.comparingDouble(Candidate::logWeight))
                .orElseThrow();
        return readings.stream().filter(reading -> isSurprising(reading, best)).toList();
    }

    private boolean isSurprising(Touched reading, Candidate best) {
        OptionalDouble good = good(reading);
        double usual = Math.max(
                Likelihood.log(reading.meaning(), conditions, good, Atom.Shape.EXACT),
                Likelihood.log(reading.meaning(), conditions, OptionalDouble.empty(), Atom.Shape.EXACT));
        double under = logLikelihood(unit, conditions, reading, good, best.atoms());
        double self = reading.meaning() instanceof Understood.Value value
                ? Likelihood.log(
                        value,
                        conditions,
                        OptionalDouble.of(Math.max(
                                0, value.value() - conditions.leadsOhm().orElse(0))),
                        Atom.Shape.EXACT)
                : usual;
        return under < Math.max(usual, self) + SURPRISING;
    }

    /** The touches that tell most for their time, the best first; none that tells nothing. */
    public List<NextTouch> next(Costs costs, int most) {
        return new Chooser(this).best(costs, most);
    }

    GoodUnit unit() {
        return unit;
    }

    Conditions conditions() {
        return conditions;
    }

    Meeting meeting() {
        return new Meeting(unit.design(), places, atoms);
    }

    Atoms atoms() {
        return atoms;
    }

    Places places() {
        return places;
    }

    List<Touched> readings() {
        return readings;
    }

    Set<Atom> core() {
        return core;
    }

    /** The sets with their probabilities, whatever else may be wrong included. */
    Map<Candidate, Double> posterior() {
        Map<Candidate, Double> all = new LinkedHashMap<>();
        sets.forEach(set -> all.put(set, withOthers(set) / total));
        return all;
    }

    /** Chance that a fault outside the core is there. */
    double chance(Atom atom) {
        double weight = weight(atom);
        return weight / (1 + weight);
    }
}
