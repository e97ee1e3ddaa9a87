package zestymarten.core.circuit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.DoubleFunction;

/** Every pattern at every place of a circuit with its fit to the readings, its prior included. */
final class Hypotheses {
    /** Sections that cables of buildings have, in mm². */
    private static final List<Double> USUAL_MM2 = List.of(1.0, 1.5, 2.5, 4.0, 6.0, 10.0, 16.0, 25.0);

    private static final int MAX_FITTED = 60;
    /** The last value of a family that is looked for, in ohms or metres. */
    private static final double MAX = 60;

    private final Circuit circuit;
    private final CircuitPrediction predicted;
    private final CircuitReadings readings;
    private final Trial trial;
    private final List<PatternFit> all = new ArrayList<>();

    Hypotheses(Circuit circuit, CircuitPrediction predicted, CircuitReadings readings) {
        this.circuit = circuit;
        this.predicted = predicted;
        this.readings = readings;
        trial = new Trial(predicted, readings);
    }

    List<PatternFit> all() {
        add(new Pattern.Good(), 0);
        cable();
        points();
        if (circuit.ring()) {
            add(new Pattern.WrongWay(EndLink.LINE_NEUTRAL), RecognisedPattern.prior(1, false));
            add(new Pattern.WrongWay(EndLink.LINE_PROTECTIVE), RecognisedPattern.prior(1, false));
            add(new Pattern.WrongWayTwice(), RecognisedPattern.prior(2, false));
            if (mayBeShortened()) {
                pairs(Pattern.Interconnected::new, 0.5, MAX);
            }
            if (mayBeBridged()) {
                pairs(Pattern.ParallelEarth::new, 0.02, 5);
            }
        }
        otherProtective();
        best(1.12, 4, RecognisedPattern.prior(1, true), Pattern.Longer::new);
        best(0.25, 0.88, RecognisedPattern.prior(2, true), Pattern.Longer::new);
        return all;
    }

    /** The usual sections beside the one drawn; only where all of it is drawn of one cable. */
    private void otherProtective() {
        if (!circuit.isOfOneCable()) {
            return;
        }
        double drawn = circuit.protectiveMm2();
        List<Double> others = USUAL_MM2.stream()
                .filter(each -> Math.abs(Math.log(each / drawn)) > 0.2 && each >= drawn / 5 && each <= drawn * 5)
                .toList();
        others.forEach(
                each -> add(new Pattern.OtherProtective(each), RecognisedPattern.prior(2 * others.size(), true)));
    }

    private void cable() {
        for (int i = 0; i < circuit.stretches().size(); i++) {
            add(
                    new Pattern.CableCut(i),
                    RecognisedPattern.prior(6 * circuit.stretches().size(), false));
        }
        List<ConductorRole> roles = circuit.roles();
        int places = roles.size() * circuit.stretches().size();
        for (ConductorRole role : roles) {
            for (int i = 0; i < circuit.stretches().size(); i++) {
                int stretch = i;
                add(new Pattern.ConductorBroken(role, i), RecognisedPattern.prior(places, false));
                best(0.04, MAX, RecognisedPattern.prior(places, true), ohm -> new Pattern.Loose(role, stretch, ohm));
            }
        }
    }

    private void points() {
        int places = circuit.points().size();
        for (String point : circuit.points()) {
            best(1.5, MAX, RecognisedPattern.prior(places, true), metres -> new Pattern.OnSpur(point, metres));
            List<ConductorRole> roles = circuit.roles();
            int pairs = roles.size() * (roles.size() - 1) / 2;
            for (int b = 0; b < roles.size(); b++) {
                for (int a = 0; a < b; a++) {
                    add(
                            new Pattern.Swapped(point, roles.get(a), roles.get(b)),
                            RecognisedPattern.prior(pairs * places, false));
                }
            }
            for (ConductorRole role : roles) {
                add(new Pattern.Missing(point, role), RecognisedPattern.prior(roles.size() * places, false));
            }
        }
    }

    /** A way across a ring lowers every conductor from end to end: where one was read and is not low, there is none to be seen. */
    private boolean mayBeShortened() {
        return circuit.roles().stream()
                .map(Spot::ends)
                .filter(spot -> readings.ohm(spot).isPresent())
                .allMatch(this::isLow);
    }

    /** Metal beside the ring lowers the protective conductor alone. */
    private boolean mayBeBridged() {
        Spot ends = Spot.ends(ConductorRole.PROTECTIVE);
        return readings.ohm(ends).isPresent() && isLow(ends);
    }

    private boolean isLow(Spot spot) {
        double good = predicted.good(spot).orElseThrow();
        return readings.ohm(spot).orElseThrow() < good - Trial.doubt(good, circuit.lengths());
    }

    /** A family of patterns between two points with a value. */
    private interface Between {
        Pattern of(int from, int to, double value);
    }

    /**
     * There are as many as pairs of points: the length is looked for of those that fit best with a short one, and only where
     * the readings say so at all.
     */
    private void pairs(Between between, double minimum, double maximum) {
        int outlets = circuit.outlets();
        int pairs = Math.max(1, (outlets - 1) * (outlets - 2) / 2);
        double prior = RecognisedPattern.prior(pairs, true);
        double promising = all.stream().mapToDouble(PatternFit::log).max().orElse(0);
        double rough = Math.sqrt(minimum * maximum);
        record Rough(int from, int to, double log) {}
        List<Rough> promised = new ArrayList<>();
        for (int i = 1; i <= outlets; i++) {
            for (int j = i + 2; j <= outlets; j++) {
                double log = trial.fit(between.of(i, j, rough)).log();
                if (log > promising - 60) {
                    promised.add(new Rough(i, j, log));
                }
            }
        }
        promised.stream()
                .sorted(Comparator.comparingDouble(Rough::log).reversed())
                .limit(MAX_FITTED)
                .forEach(each -> best(minimum, maximum, prior, value -> between.of(each.from(), each.to(), value)));
    }

    private void add(Pattern pattern, double prior) {
        all.add(trial.fit(pattern).weighed(prior));
    }

    private void best(double from, double to, double prior, DoubleFunction<Pattern> pattern) {
        all.add(trial.best(from, to, pattern).weighed(prior));
    }
}
