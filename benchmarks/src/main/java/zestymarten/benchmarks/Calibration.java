package zestymarten.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import zestymarten.core.analysis.ExplainedFinding;
import zestymarten.core.analysis.MeasurementCosts;
import zestymarten.core.analysis.Observation;
import zestymarten.core.analysis.Recommendation;
import zestymarten.core.analysis.UnitAnalysis;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.fault.Probe;
import zestymarten.core.fault.RandomHarness;
import zestymarten.core.fault.SeededFault;
import zestymarten.core.finding.Finding;
import zestymarten.core.finding.Priors;
import zestymarten.core.finding.Symptoms;
import zestymarten.core.meter.TestConditions;

/** How often what is said with a probability is true: findings of half-finished diagnoses, in tenths of what was said. */
final class Calibration {
    private static final int UNITS = 24_000;
    private static final int TENTHS = 10;
    /** Faults of each kind that a unit has on average, as the analysis is given it. */
    private static final double EACH_KIND = 0.25;

    private final double[] said = new double[TENTHS];
    private final int[] all = new int[TENTHS];
    private final int[] right = new int[TENTHS];

    private Calibration() {}

    /** The section of the study, as lines. */
    static List<String> lines(double badContact) {
        Calibration calibration = new Calibration();
        for (int i = 0; i < UNITS; i++) {
            Random random = new Random(3000L + i);
            int wires = 4 + random.nextInt(6);
            double share = EACH_KIND / wires;
            calibration.take(RandomHarness.cable(random, wires).strike(share), share, random, badContact);
        }
        return calibration.table();
    }

    /** Follows the chosen measurements for a while and notes what is said then. */
    private void take(RandomHarness cable, double share, Random random, double badContact) {
        TestConditions conditions = Cables.conditions(0.01);
        Probe probe = new Probe(cable.unit(), conditions, random, badContact);
        int wires = cable.assembly().conductors().size();
        Priors priors = new Priors(share, share, share, share, share, share, 0.001, 0.015, 3, 1, badContact);
        List<Observation> made = new ArrayList<>();
        int maximum = 1 + random.nextInt(3 * wires);
        UnitAnalysis analysis = UnitAnalysis.of(cable.design(), conditions, priors, Symptoms.NONE, made);
        Recommendation next = analysis.next(MeasurementCosts.bench(cable.assembly(), false), 1);
        while (made.size() < maximum && !next.measurements().isEmpty()) {
            made.add(DiagnosisRun.observed(
                    cable,
                    conditions,
                    made.size(),
                    DiagnosisRun.placement(next.measurements().get(0)),
                    probe));
            analysis = UnitAnalysis.of(cable.design(), conditions, priors, Symptoms.NONE, made);
            next = analysis.next(MeasurementCosts.bench(cable.assembly(), false), 1);
        }
        for (ExplainedFinding each : analysis.findings()) {
            note(each.probability(), isTrue(each.finding(), cable));
        }
    }

    /** Whether a unit has the fault, in that cavity; of what hangs together those wires count that were measured so far. */
    static boolean isTrue(Finding finding, RandomHarness cable) {
        if (finding instanceof Finding.Misplaced misplaced) {
            Map<String, Terminal> there =
                    Map.of(misplaced.move().conductor(), misplaced.move().cavity());
            return cable.faults().contains(new SeededFault.Moved(there));
        }
        Set<String> names = new TreeSet<>(finding.conductors());
        boolean joined = finding instanceof Finding.Shorted || finding instanceof Finding.FrameShort;
        return cable.truth().stream()
                .filter(each -> each.startsWith(finding.kind() + " ")
                        || (finding instanceof Finding.Shorted && each.startsWith("frame_short ")))
                .map(each -> Set.of(
                        each.substring(each.indexOf('[') + 1, each.length() - 1).split(", ")))
                .anyMatch(each -> joined ? each.containsAll(names) : each.equals(names));
    }

    private void note(double probability, boolean isTrue) {
        int tenth = Math.min(TENTHS - 1, (int) (probability * TENTHS));
        said[tenth] += probability;
        all[tenth]++;
        right[tenth] += isTrue ? 1 : 0;
    }

    private List<String> table() {
        List<String> lines = new ArrayList<>(List.of("| findings | said on average | true |", "|---|---|---|"));
        for (int i = 0; i < TENTHS; i++) {
            if (all[i] > 0) {
                lines.add(String.format(
                        Locale.ROOT,
                        "| %d | %.0f %% | %.0f %% |",
                        all[i],
                        100 * said[i] / all[i],
                        100.0 * right[i] / all[i]));
            }
        }
        return lines;
    }
}
