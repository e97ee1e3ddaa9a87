package zestymarten.core.circuit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * What a pattern of readings means.
 *
 * <p>Method: every pattern at every place is predicted by the network and compared with the readings, those with a value at its
 * best value; the posterior over all of them with the priors below. Patterns that differ only in the stretch are named together.
 * The next reading is the one that most probably parts two of those left. Cost: patterns times readings, for 20 outlets about
 * 100 000 predictions. Order: most probable first. Holds for: one fault at a time; several are said to be unexplained.
 *
 * @param matches the patterns with at least a twentieth of the best one's probability, the best first; empty without readings
 * @param unexplained the readings that the best does not explain, in their order
 * @param next the reading that would tell most between those left; empty where none would, or nothing is left to tell
 */
public record RecognisedPattern(List<PatternMatch> matches, List<Spot> unexplained, Optional<Spot> next) {
    private static final double MIN = 0.05;
    private static final double FAULT = -5;
    private static final double VALUE = -1;
    /** Readings further apart than so many standard errors tell two patterns apart. */
    private static final double APART = 3;

    public RecognisedPattern {
        matches = List.copyOf(matches);
        unexplained = List.copyOf(unexplained);
    }

    /**
     * A pattern with its probability.
     *
     * @param pattern the most probable of those named together
     * @param probability of all of them
     * @param factor by which the lengths are off
     * @param stretches those in which it may be, in their order; one or none where it names no stretch
     */
    public record PatternMatch(Pattern pattern, double probability, double factor, List<Integer> stretches) {
        public PatternMatch {
            stretches = List.copyOf(stretches);
        }
    }

    /** What the readings mean. */
    public static RecognisedPattern of(Circuit drawn, CircuitReadings readings) {
        Circuit circuit = Lengths.sized(drawn, readings);
        if (readings.isEmpty()) {
            return new RecognisedPattern(List.of(), List.of(), Optional.empty());
        }
        CircuitPrediction predicted = new CircuitPrediction(circuit);
        List<PatternFit> fits = new ArrayList<>(new Hypotheses(circuit, predicted, readings).all());
        fits.sort(Comparator.comparingDouble(PatternFit::log).reversed());
        PatternFit best = fits.get(0);
        double sum = fits.stream()
                .mapToDouble(each -> Math.exp(each.log() - best.log()))
                .sum();
        List<PatternFit> left = fits.stream()
                .filter(each -> each.log() - best.log() > Math.log(MIN))
                .toList();
        List<Spot> unexplained = new Trial(predicted, readings).unexplained(best.pattern());
        return new RecognisedPattern(
                together(left, best.log(), sum), unexplained, next(circuit, predicted, readings, left, best.log()));
    }

    /** Whether one fault explains it, but for one bad measurement at most. */
    public boolean isExplained() {
        return unexplained.size() < 2;
    }

    private static List<PatternMatch> together(List<PatternFit> left, double maximum, double sum) {
        Map<String, List<PatternFit>> groups = new LinkedHashMap<>();
        left.forEach(each -> groups.computeIfAbsent(group(each.pattern()), any -> new ArrayList<>())
                .add(each));
        return groups.values().stream()
                .map(group -> new PatternMatch(
                        group.get(0).pattern(),
                        group.stream()
                                .mapToDouble(each -> Math.exp(each.log() - maximum) / sum)
                                .sum(),
                        group.get(0).factor(),
                        group.stream()
                                .map(each -> stretch(each.pattern()))
                                .filter(OptionalInt::isPresent)
                                .map(OptionalInt::getAsInt)
                                .sorted()
                                .toList()))
                .sorted(Comparator.comparingDouble(PatternMatch::probability).reversed())
                .toList();
    }

    private static OptionalInt stretch(Pattern pattern) {
        if (pattern instanceof Pattern.ConductorBroken broken) {
            return OptionalInt.of(broken.stretch());
        }
        if (pattern instanceof Pattern.CableCut cut) {
            return OptionalInt.of(cut.stretch());
        }
        return pattern instanceof Pattern.Loose loose ? OptionalInt.of(loose.stretch()) : OptionalInt.empty();
    }

    private static String group(Pattern pattern) {
        if (pattern instanceof Pattern.ConductorBroken broken) {
            return "broken " + broken.role();
        }
        if (pattern instanceof Pattern.CableCut) {
            return "cut";
        }
        return pattern instanceof Pattern.Loose loose ? "loose " + loose.role() : pattern.toString();
    }

    public Optional<PatternMatch> best() {
        return matches.stream().findFirst();
    }

    /** The reading not taken yet that most probably parts two of those left. */
    private static Optional<Spot> next(
            Circuit circuit,
            CircuitPrediction predicted,
            CircuitReadings readings,
            List<PatternFit> left,
            double maximum) {
        if (left.size() < 2) {
            return Optional.empty();
        }
        List<Spot> spots = spots(circuit).stream()
                .filter(each -> !readings.has(each))
                .distinct()
                .toList();
        CircuitPrediction.Many many = predicted.at(spots);
        List<double[]> ohms = left.stream().map(each -> many.of(each.pattern())).toList();
        double[] weights = left.stream()
                .mapToDouble(each -> Math.exp(each.log() - maximum))
                .toArray();
        Optional<Spot> best = Optional.empty();
        double parted = 1e-3;
        for (int spot = 0; spot < spots.size(); spot++) {
            double parts = parts(ohms, weights, spot, circuit.lengths());
            if (parts > parted * 1.001) {
                parted = parts;
                best = Optional.of(spots.get(spot));
            }
        }
        return best;
    }

    private static double parts(List<double[]> ohms, double[] weights, int spot, Lengths lengths) {
        double parts = 0;
        for (int i = 0; i < weights.length; i++) {
            for (int j = 0; j < i; j++) {
                if (Trial.apart(ohms.get(i)[spot], ohms.get(j)[spot], lengths) > APART) {
                    parts += weights[i] * weights[j];
                }
            }
        }
        return parts;
    }

    /** Everything that can be read, the usual ones first. */
    private static List<Spot> spots(Circuit circuit) {
        List<Spot> spots = new ArrayList<>(steps(circuit));
        for (String point : circuit.points()) {
            if (circuit.ring()) {
                spots.add(Spot.at(EndLink.LINE_NEUTRAL_AT_A, point));
                spots.add(Spot.at(EndLink.LINE_PROTECTIVE_AT_A, point));
            }
            List<ConductorRole> roles = circuit.roles();
            for (EndLink linked : circuit.linkedInTurn()) {
                for (int b = 1; b < roles.size(); b++) {
                    for (int a = 0; a < b; a++) {
                        spots.add(Spot.between(linked, point, roles.get(a), roles.get(b)));
                    }
                }
            }
        }
        return spots;
    }

    /** The readings of the dead tests in their order: the ends, then every point with either pair linked. */
    public static List<Spot> steps(Circuit circuit) {
        List<Spot> spots = new ArrayList<>();
        if (circuit.ring()) {
            spots.add(Spot.ends(ConductorRole.PROTECTIVE));
            spots.add(Spot.ends(ConductorRole.LINE));
            spots.add(Spot.ends(ConductorRole.NEUTRAL));
        }
        circuit.linkedInTurn().forEach(linked -> circuit.points().forEach(point -> spots.add(Spot.at(linked, point))));
        return spots;
    }

    /** Prior of one of so many places of a kind of fault; with a value fitted, a little less. */
    static double prior(int places, boolean fitted) {
        return FAULT - Math.log(Math.max(1, places)) + (fitted ? VALUE : 0);
    }
}
