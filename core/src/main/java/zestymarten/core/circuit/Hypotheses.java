package zestymarten.core.circuit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.DoubleFunction;

/** Every pattern at every place of a circuit with its fit to the readings, its prior included. */
final class Hypotheses {
    private static final double ROUGH_M = 4;
    private static final int MOST_FITTED = 60;
    /** The last value of a family that is looked for, in ohms or metres. */
    private static final double MOST = 60;

    private final Circuit circuit;
    private final Predicted predicted;
    private final Readings readings;
    private final Trial trial;
    private final List<Fit> all = new ArrayList<>();

    Hypotheses(Circuit circuit, Predicted predicted, Readings readings) {
        this.circuit = circuit;
        this.predicted = predicted;
        this.readings = readings;
        trial = new Trial(predicted, readings);
    }

    List<Fit> all() {
        add(new Pattern.Good(), 0);
        cable();
        points();
        if (circuit.ring()) {
            add(new Pattern.WrongWay(Linked.LINE_NEUTRAL), Recognised.prior(1, false));
            add(new Pattern.WrongWay(Linked.LINE_PROTECTIVE), Recognised.prior(1, false));
            if (mayBeShortened()) {
                interconnections();
            }
        }
        best(1.12, 4, Recognised.prior(1, true), Pattern.Longer::new);
        best(0.25, 0.88, Recognised.prior(2, true), Pattern.Longer::new);
        return all;
    }

    private void cable() {
        int places = 3 * circuit.stretches().size();
        for (Role role : Role.values()) {
            for (int i = 0; i < circuit.stretches().size(); i++) {
                int stretch = i;
                add(new Pattern.Broken(role, i), Recognised.prior(places, false));
                best(0.04, MOST, Recognised.prior(places, true), ohm -> new Pattern.Loose(role, stretch, ohm));
            }
        }
    }

    private void points() {
        int places = circuit.points().size();
        for (String point : circuit.points()) {
            best(1.5, MOST, Recognised.prior(places, true), metres -> new Pattern.OnSpur(point, metres));
            add(new Pattern.Swapped(point, Role.LINE, Role.NEUTRAL), Recognised.prior(3 * places, false));
            add(new Pattern.Swapped(point, Role.LINE, Role.PROTECTIVE), Recognised.prior(3 * places, false));
            add(new Pattern.Swapped(point, Role.NEUTRAL, Role.PROTECTIVE), Recognised.prior(3 * places, false));
            for (Role role : Role.values()) {
                add(new Pattern.Missing(point, role), Recognised.prior(3 * places, false));
            }
        }
    }

    /** A way across a ring lowers every conductor from end to end: where one was read and is not low, there is none to be seen. */
    private boolean mayBeShortened() {
        return Arrays.stream(Role.values())
                .map(Spot::ends)
                .filter(spot -> readings.ohm(spot).isPresent())
                .allMatch(spot -> readings.ohm(spot).getAsDouble()
                        < predicted.good(spot).orElseThrow()
                                - Trial.doubt(predicted.good(spot).orElseThrow()));
    }

    /**
     * There are as many as pairs of points: the length is looked for of those that fit best with a short one, and only where
     * the readings say so at all.
     */
    private void interconnections() {
        int outlets = circuit.outlets();
        int pairs = Math.max(1, (outlets - 1) * (outlets - 2) / 2);
        double prior = Recognised.prior(pairs, true);
        double promising = all.stream().mapToDouble(Fit::log).max().orElse(0);
        record Rough(int from, int to, double log) {}
        List<Rough> rough = new ArrayList<>();
        for (int i = 1; i <= outlets; i++) {
            for (int j = i + 2; j <= outlets; j++) {
                double log =
                        trial.fit(new Pattern.Interconnected(i, j, ROUGH_M)).log();
                if (log > promising - 60) {
                    rough.add(new Rough(i, j, log));
                }
            }
        }
        rough.stream()
                .sorted(Comparator.comparingDouble(Rough::log).reversed())
                .limit(MOST_FITTED)
                .forEach(each ->
                        best(0.5, MOST, prior, metres -> new Pattern.Interconnected(each.from(), each.to(), metres)));
    }

    private void add(Pattern pattern, double prior) {
        all.add(trial.fit(pattern).weighed(prior));
    }

    private void best(double from, double to, double prior, DoubleFunction<Pattern> pattern) {
        all.add(trial.best(from, to, pattern).weighed(prior));
    }
}
