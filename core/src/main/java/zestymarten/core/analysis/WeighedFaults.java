package zestymarten.core.analysis;

import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Faults put into a scene, and how well they explain what was read there.
 *
 * @param logPrior natural logarithm of how likely the faults were before anything was read, against a unit with none
 * @param misfits by observation
 * @param fitted the edges' resistance that comes nearest to the figures
 */
record WeighedFaults(
        List<Effect> effects,
        Variation variation,
        double logPrior,
        List<Misfit> misfits,
        NetworkFit.FittedNetwork fitted) {
    WeighedFaults {
        effects = List.copyOf(effects);
        misfits = List.copyOf(misfits);
    }

    /** The same where a bad contact is so many natural logarithms likelier than it was taken to be. */
    double cautiousWeight(double likelier) {
        return logWeight()
                + likelier * misfits.stream().filter(Misfit::badContact).count();
    }

    double logWeight() {
        return logPrior - misfits.stream().mapToDouble(Misfit::nats).sum();
    }

    /** The places of the observations that are not explained: those that a good unit would not give first, then the least. */
    List<Integer> unexplained() {
        List<Observation> seen = variation.scene().observations();
        return IntStream.range(0, misfits.size())
                .filter(i -> !misfits.get(i).isExplained())
                .boxed()
                .sorted(Comparator.<Integer, Boolean>comparing(i -> !seen.get(i).isUnexpected())
                        .thenComparing(i -> -misfits.get(i).nats()))
                .toList();
    }

    /** Whether every observation is explained that a good unit would not give: what is left is one probe without contact. */
    boolean explainsFaults() {
        List<Observation> seen = variation.scene().observations();
        return IntStream.range(0, misfits.size())
                .noneMatch(i -> !misfits.get(i).isExplained() && seen.get(i).isUnexpected());
    }

    boolean explainsAll() {
        return misfits.stream().allMatch(Misfit::isExplained);
    }
}
