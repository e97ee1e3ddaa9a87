package zestymarten.core.analysis;

import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Faults put into a scene, and how well they explain what was read there.
 *
 * @param logPrior natural logarithm of how likely the faults were before anything was read, against a unit with none
 * @param penalties by observation: by how much, in natural logarithms, it is less likely than one that is explained; from 0
 * @param fitted the edges' ohms that come nearest to the figures
 */
record Weighed(
        List<Effect> effects, Variation variation, double logPrior, List<Double> penalties, NetworkFit.Fitted fitted) {
    /** An observation with less than this is explained: three standard deviations and a half. */
    static final double EXPLAINED = 6.1;

    Weighed {
        effects = List.copyOf(effects);
        penalties = List.copyOf(penalties);
    }

    double logWeight() {
        return logPrior - penalties.stream().mapToDouble(each -> each).sum();
    }

    /** The places of the observations that are not explained: those that a good unit would not give first, then the least. */
    List<Integer> unexplained() {
        List<Observation> seen = variation.scene().observations();
        return IntStream.range(0, penalties.size())
                .filter(i -> penalties.get(i) >= EXPLAINED)
                .boxed()
                .sorted(Comparator.<Integer, Boolean>comparing(i -> !seen.get(i).isUnexpected())
                        .thenComparing(i -> -penalties.get(i)))
                .toList();
    }

    /** Whether every observation is explained that a good unit would not give: what is left is one probe without contact. */
    boolean explainsFaults() {
        List<Observation> seen = variation.scene().observations();
        return IntStream.range(0, penalties.size())
                .noneMatch(i -> penalties.get(i) >= EXPLAINED && seen.get(i).isUnexpected());
    }

    boolean explainsAll() {
        return penalties.stream().noneMatch(each -> each >= EXPLAINED);
    }
}
