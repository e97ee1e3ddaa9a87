package zestymarten.core.testrun;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.quantity.Median;
import zestymarten.core.quantity.Message;
import zestymarten.core.testplan.TestStep;

/**
 * Compares wires that should read alike: of one length, section, metal and class.
 *
 * <p>Method: a reading is odd that lies more than 3.5 scales above the median of its likes and beyond its own uncertainty;
 * the scale is 1.4826 times the median absolute deviation. Fewer than four likes say nothing. Cost: n log n, once. Source:
 * the modified z-score of Iglewicz and Hoaglin (1993).
 */
final class SimilarWires {
    private static final int FEWEST = 4;
    private static final double SCALES = 3.5;
    private static final double TO_SIGMA = 1.4826;

    private final Design design;
    private final Map<Kin, List<Double>> groups = new HashMap<>();

    /** What makes wires alike. */
    private record Kin(OptionalDouble length, OptionalDouble area, String metal, String strands) {}

    SimilarWires(Design design) {
        this.design = design;
    }

    /** Takes a reading into account. */
    void add(TestStep.Measurement measurement, Judgement judgement) {
        if (judgement.correctedOhm().isPresent()) {
            kin(measurement)
                    .ifPresent(kin -> groups.computeIfAbsent(kin, any -> new ArrayList<>())
                            .add(judgement.correctedOhm().getAsDouble()));
        }
    }

    /** Only a wire by itself, of a known length and section, has likes. */
    private Optional<Kin> kin(TestStep.Measurement measurement) {
        List<Conductor> route =
                measurement.isLinked() ? List.of() : design.nets().route(measurement.black(), measurement.red());
        if (route.size() != 1
                || route.get(0).lengthM().isEmpty()
                || route.get(0).areaMm2().isEmpty()) {
            return Optional.empty();
        }
        Conductor wire = route.get(0);
        return Optional.of(new Kin(
                wire.lengthM(),
                wire.areaMm2(),
                wire.metal().toString(),
                wire.strandClass().name()));
    }

    /** Why a reading that passes is odd among its likes; empty if it is not. */
    Optional<Message> deviation(TestStep.Measurement measurement, Judgement judgement) {
        List<Double> similar =
                kin(measurement).map(kin -> groups.getOrDefault(kin, List.of())).orElse(List.of());
        if (similar.size() < FEWEST || judgement.correctedOhm().isEmpty()) {
            return Optional.empty();
        }
        double ohm = judgement.correctedOhm().getAsDouble();
        double median = Median.of(similar.stream().mapToDouble(each -> each));
        double scale = TO_SIGMA * Median.of(similar.stream().mapToDouble(each -> Math.abs(each - median)));
        double minimum = Math.max(SCALES * scale, 2 * judgement.uncertaintyOhm().orElse(0));
        return ohm - median > minimum
                ? Optional.of(Message.of(
                        "alike_wires.passes_but_other_wires",
                        Message.figure(ohm, "Ω"),
                        similar.size() - 1,
                        Message.figure(median, "Ω")))
                : Optional.empty();
    }
}
