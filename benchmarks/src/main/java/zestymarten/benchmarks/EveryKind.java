package zestymarten.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.TreeSet;
import zestymarten.core.analysis.Analysis;
import zestymarten.core.analysis.Analysis.AnalysisState;
import zestymarten.core.analysis.Design;
import zestymarten.core.analysis.RandomUnit;
import zestymarten.core.finding.Finding;

/** Units of every kind of net with 0 to 4 faults, every pair read well: whether the verdict and the names are right. */
final class EveryKind {
    private static final int MAX_FAULTS = 4;

    /** What became of the units of one family. */
    private int units;

    private int passed;
    private int failed;
    private int exact;
    private int among;
    private int innocent;

    private EveryKind() {}

    /** The section of the study, as lines; {@code each} units a family. */
    static List<String> lines(int each) {
        List<String> lines = new ArrayList<>(List.of(
                "| nets | units | faulty units that passed | good units without a pass | faults named exactly | true ones at least among the alternatives | something innocent named |",
                "|---|---|---|---|---|---|---|"));
        EveryKind all = new EveryKind();
        for (RandomUnit.Family family : RandomUnit.Family.values()) {
            EveryKind one = new EveryKind();
            Random random = new Random(41L + family.ordinal());
            for (int i = 0; i < each; i++) {
                RandomUnit unit = RandomUnit.of(random, family);
                boolean plug = (family == RandomUnit.Family.PLAIN || family == RandomUnit.Family.LENGTHS) && i % 4 == 0;
                one.take(plug ? unit.patterned() : unit.broken(i % (MAX_FAULTS + 1)), family + " " + i);
            }
            lines.add(one.row(family.name().toLowerCase(Locale.ROOT).replace('_', ' ')));
            all.add(one);
        }
        lines.add(all.row("all"));
        return lines;
    }

    private void take(RandomUnit unit, String which) {
        Analysis analysis = Analysis.of(Design.of(unit.assembly(), 20), RandomUnit.CONDITIONS, unit.everyPair());
        List<String> truth = unit.truth();
        List<String> names = new ArrayList<>();
        List<String> all = new ArrayList<>();
        analysis.findings().forEach(found -> {
            names.add(name(found.finding()));
            all.add(name(found.finding()));
            found.alternatives().forEach(other -> all.add(name(other)));
        });
        names.sort(null);
        units++;
        boolean isGood = truth.isEmpty();
        passed += !isGood && analysis.state() != AnalysisState.FAIL ? 1 : 0;
        failed += isGood && analysis.state() != AnalysisState.PASS ? 1 : 0;
        exact += names.equals(truth) ? 1 : 0;
        boolean has = all.containsAll(truth) && names.size() <= truth.size();
        among += has ? 1 : 0;
        innocent += names.size() > truth.size() ? 1 : 0;
        if (!has || isGood != (analysis.state() == AnalysisState.PASS)) {
            System.err.println(
                    which + ": true " + truth + ", said " + names + " of " + all + ", " + analysis.state());
        }
    }

    private static String name(Finding finding) {
        return finding.kind() + " " + new TreeSet<>(finding.named());
    }

    private void add(EveryKind other) {
        units += other.units;
        passed += other.passed;
        failed += other.failed;
        exact += other.exact;
        among += other.among;
        innocent += other.innocent;
    }

    private String row(String nets) {
        return "| %s | %d | %d | %d | %s | %s | %d |"
                .formatted(nets, units, passed, failed, share(exact), share(among), innocent);
    }

    private String share(int count) {
        return String.format(Locale.ROOT, "%.2f %%", 100.0 * count / units);
    }
}
