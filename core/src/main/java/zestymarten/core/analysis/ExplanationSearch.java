package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.PriorityQueue;
import java.util.Set;
import zestymarten.core.quantity.Patience;

/**
 * The sets of faults that explain what was read in a scene, the likeliest first.
 *
 * <p>Method: best first from the given starts. Of each set the observation is taken that it explains least, those first
 * that a good unit would not give, and every fault that might explain it is added (conflict-directed search). A set is left alone once one more fault would make it less
 * likely than a hundredth of the best explanation. Cost: at most {@value #MAX_GROWN} sets are grown. Order: of equally
 * likely sets the one that was found first. Source: the scheme is that of de Kleer and Williams, 1987.
 */
final class ExplanationSearch {
    private static final int MAX_GROWN = 120;
    private static final int MAX_FAULTS = 6;
    private static final int MAX_WEIGHED = 4000;
    private static final double LIGHTEST_FAULT = 3.5;

    /** A hundredth of the best. */
    static final double WORTH_TELLING = Math.log(100);

    private final ObservationModel model;
    private final Scene scene;
    private final PriorityQueue<WeighedFaults> open = new PriorityQueue<>(
            Comparator.comparingDouble(WeighedFaults::logWeight).reversed());
    private final Set<Set<Effect>> seen = new HashSet<>();
    private final List<WeighedFaults> all = new ArrayList<>();
    private double best = Double.NEGATIVE_INFINITY;

    private ExplanationSearch(ObservationModel model, Scene scene) {
        this.model = model;
        this.scene = scene;
    }

    /**
     * The sets worth telling.
     *
     * @param starts sets to begin with; no fault at all is always among them
     */
    static List<WeighedFaults> of(ObservationModel model, Scene scene, List<List<Effect>> starts) {
        ExplanationSearch search = new ExplanationSearch(model, scene);
        search.weigh(List.of());
        starts.forEach(search::weigh);
        search.grow();
        return search.worthTelling();
    }

    private void weigh(List<Effect> effects) {
        Patience.check();
        if (effects.size() <= MAX_FAULTS + starts && all.size() < MAX_WEIGHED && seen.add(Set.copyOf(effects))) {
            WeighedFaults weighed = model.weighed(scene, effects);
            all.add(weighed);
            open.add(weighed);
            if (weighed.explainsAll()) {
                best = Math.max(best, weighed.logWeight());
            }
        }
    }

    private int starts;

    private void grow() {
        starts = all.stream().mapToInt(each -> each.effects().size()).max().orElse(0);
        for (int grown = 0; grown < MAX_GROWN && !open.isEmpty(); ) {
            WeighedFaults next = open.remove();
            boolean worth = next.logPrior() - LIGHTEST_FAULT > best - WORTH_TELLING;
            if (!next.explainsAll() && worth) {
                grown++;
                grow(next);
            }
        }
    }

    /** Adds what might explain the first of the unexplained observations for which there is anything. */
    private void grow(WeighedFaults next) {
        for (int place : next.unexplained()) {
            List<List<Effect>> proposals =
                    Proposals.of(next, scene.observations().get(place));
            proposals.stream().filter(this::isWorthWeighing).forEach(this::weigh);
            if (!proposals.isEmpty()) {
                return;
            }
        }
    }

    /** Whether faults may come near the best: however well they explain what was read, they are no likelier than before it. */
    private boolean isWorthWeighing(List<Effect> effects) {
        return model.logPrior(effects) > best - WORTH_TELLING;
    }

    /** Those that explain everything, or all where none does. */
    private List<WeighedFaults> worthTelling() {
        double maximum =
                all.stream().mapToDouble(WeighedFaults::logWeight).max().orElse(0);
        return all.stream()
                .filter(each -> each.logWeight() > maximum - 2 * WORTH_TELLING)
                .sorted(Comparator.comparingDouble(WeighedFaults::logWeight).reversed())
                .toList();
    }
}
