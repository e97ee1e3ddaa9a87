package zestymarten.core.fault;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.TreeSet;
import zestymarten.core.analysis.Analysis;
import zestymarten.core.analysis.AnalysisReading;
import zestymarten.core.analysis.Design;
import zestymarten.core.analysis.Observation;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Finding;
import zestymarten.core.finding.Partition;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.network.Net;

/**
 * Tests a unit completely, as a patient technician would: every net end to end, an open one twice; every part in each
 * state; then each piece against all later ones linked together, and one by one where that reads a path.
 */
public final class Bench {
    /** More than this is no bad joint but may be a path through a part: both ends are pieces of their own. */
    private static final double BAD_JOINT = 46;

    private final Design design;
    private final TestConditions conditions;
    private final Probe probe;
    private final List<AnalysisReading> readings = new ArrayList<>();
    private final List<Partition.JoinedPair> joined = new ArrayList<>();

    private Bench(Design design, TestConditions conditions, Probe probe) {
        this.design = design;
        this.conditions = conditions;
        this.probe = probe;
    }

    /** Every reading of a complete test. */
    public static List<AnalysisReading> readings(Design design, TestConditions conditions, Probe probe) {
        Bench bench = new Bench(design, conditions, probe);
        bench.ends();
        bench.parts();
        bench.pieces();
        return List.copyOf(bench.readings);
    }

    /** Every pair of probe points, read once, in the first state and with free ends. */
    public static List<AnalysisReading> everyPair(Design design, TestConditions conditions, Probe probe) {
        Bench bench = new Bench(design, conditions, probe);
        List<Terminal> points = design.assembly().terminals().stream()
                .filter(each -> each.isPin() || each.isFrame())
                .toList();
        for (int i = 0; i < points.size(); i++) {
            for (int j = i + 1; j < points.size(); j++) {
                bench.measurement(points.get(i), points.get(j), bench.rest(), List.of(), 0);
            }
        }
        return List.copyOf(bench.readings);
    }

    /** What findings name, as {@link RandomHarness#found} tells it. */
    public static List<String> found(Analysis analysis) {
        return analysis.findings().stream()
                .map(each -> found(each.finding()))
                .sorted()
                .toList();
    }

    static String found(Finding finding) {
        Collection<String> names =
                finding instanceof Finding.PartAtFault part ? List.of(part.component()) : finding.conductors();
        return finding.kind() + " " + new TreeSet<>(names);
    }

    private SwitchState rest() {
        return design.assembly().states().get(0);
    }

    private boolean measurement(Terminal a, Terminal b, SwitchState state, List<List<Terminal>> links, double below) {
        String typed = probe.shows(a, b, state, links);
        readings.add(new AnalysisReading(a, b, typed, state, links, OptionalDouble.empty()));
        return !typed.equals("OL")
                && Double.parseDouble(typed) - conditions.leadsOhm().orElse(0) < below;
    }

    private void ends() {
        for (Net net : design.nets().all()) {
            for (Terminal far : net.ends().subList(1, net.ends().size())) {
                twice(net.ends().get(0), far);
            }
        }
        design.assembly().bonded().forEach(each -> twice(each, Terminal.FRAME));
    }

    private void twice(Terminal a, Terminal b) {
        boolean through = measurement(a, b, rest(), List.of(), BAD_JOINT);
        if (!through) {
            through = measurement(a, b, rest(), List.of(), BAD_JOINT);
            readings.add(readings.remove(readings.size() - 1).since(Observation.Since.PROBED_ANEW));
        }
        if (through) {
            joined.add(new Partition.JoinedPair(a, b));
        }
    }

    private void parts() {
        for (SwitchState state : design.assembly().states()) {
            for (Component part : design.assembly().components()) {
                if (!measurement(part.a(), part.b(), state, List.of(), BAD_JOINT)) {
                    measurement(part.a(), part.b(), state, List.of(), BAD_JOINT);
                }
            }
        }
    }

    private void pieces() {
        Partition groups = Partition.of(design.assembly().terminals(), joined);
        Map<Integer, Terminal> pieces = new LinkedHashMap<>();
        for (Terminal each : design.assembly().terminals()) {
            if (each.isPin() || each.isFrame()) {
                pieces.putIfAbsent(groups.group(each), each);
            }
        }
        List<Terminal> left = new ArrayList<>(pieces.values());
        while (left.size() > 1) {
            Terminal one = left.remove(0);
            if (measurement(
                    one,
                    left.get(0),
                    rest(),
                    left.size() < 2 ? List.of() : List.of(List.copyOf(left)),
                    conditions.joinedBelowOhm())) {
                left.forEach(other -> measurement(one, other, rest(), List.of(), conditions.joinedBelowOhm()));
            }
        }
    }
}
