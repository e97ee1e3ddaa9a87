package zestymarten.core.analysis;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import zestymarten.core.assembly.Component;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.testplan.CoverageAnalysis;
import zestymarten.core.testplan.ProbePlacement;

/**
 * A kind of fault that the measurements made would not have shown.
 *
 * @param kind as findings name it
 * @param reason why, for programs
 * @param what the same in a sentence
 */
public record UntestedPairs(String kind, String reason, Message what) {
    /**
     * What readings of a unit do not show, computed by putting every fault of the wiring into it and asking whether one of
     * the measurements would have read otherwise. Cost: that of {@link CoverageAnalysis}.
     */
    public static List<UntestedPairs> of(Design design, List<AnalysisReading> readings, Analysis analysis) {
        List<UntestedPairs> all = new ArrayList<>();
        List<ProbePlacement> made = readings.stream()
                .filter(each -> !each.quantity().needsTestVoltage())
                .map(each -> new ProbePlacement(each.a(), each.b(), each.links(), each.state(), each.quantity()))
                .distinct()
                .toList();
        CoverageAnalysis coverage = CoverageAnalysis.ofMade(design.assembly(), design.nets(), made);
        for (CoverageAnalysis.PossibleFault kind : CoverageAnalysis.PossibleFault.values()) {
            CoverageAnalysis.Count count = coverage.counts().getOrDefault(kind, new CoverageAnalysis.Count(0, 0));
            if (count.seen() < count.all()) {
                all.add(new UntestedPairs(
                        kind.kind(),
                        "not_measured",
                        Message.of(
                                "untested_pairs.measurements_made_show_possible",
                                count.seen(),
                                count.all(),
                                kind.many())));
            }
        }
        diodes(design, analysis, all);
        tones(analysis, all);
        boolean insulated = readings.stream().anyMatch(each -> each.quantity().needsTestVoltage());
        if (!insulated) {
            all.add(new UntestedPairs(
                    "insulation_low", "resistance_only", Message.of("untested_pairs.insulation_was_not_tested")));
        }
        return all;
    }

    private static void diodes(Design design, Analysis analysis, List<UntestedPairs> all) {
        List<String> read = Analysis.diodes(design, analysis.judgements()).read();
        for (Component part : design.assembly().components()) {
            if (part.kind() == Component.ComponentKind.DIODE && !read.contains(part.id())) {
                all.add(new UntestedPairs(
                        "component_open", "diode", Message.of("untested_pairs.was_not_shown_ohm", part.id())));
            }
        }
    }

    private static void tones(Analysis analysis, List<UntestedPairs> all) {
        Map<Boolean, Long> heard = analysis.judgements().stream()
                .filter(each -> each.understood() instanceof MeterReading.Tone
                        || each.understood() instanceof MeterReading.Silent)
                .collect(java.util.stream.Collectors.partitioningBy(
                        each -> each.understood() instanceof MeterReading.Tone,
                        java.util.stream.Collectors.counting()));
        if (heard.getOrDefault(true, 0L) > 0) {
            all.add(new UntestedPairs(
                    "high_resistance", "tone_only", Message.of("untested_pairs.passed_on_tone_only")));
        }
        if (heard.getOrDefault(false, 0L) > 0) {
            all.add(new UntestedPairs("leak", "silent_only", Message.of("untested_pairs.no_beep_on_tone")));
        }
    }
}
