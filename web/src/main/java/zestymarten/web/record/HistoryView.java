package zestymarten.web.record;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import zestymarten.core.analysis.Design;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.testrun.History;
import zestymarten.web.drawing.TrendDrawing;
import zestymarten.web.platform.Times;
import zestymarten.web.platform.Words;
import zestymarten.web.testrun.RunSnapshot;

/**
 * What the wires of a unit read from test to test, as ready text.
 *
 * @param tests when they were ended, the oldest first
 * @param wires those that have risen first
 * @param charts of the wires that have risen, then of those that are nearest to their limit
 * @param leftOut how many more there are
 */
record HistoryView(List<String> tests, List<WireHistoryView> wires, List<Chart> charts, int leftOut) {
    private static final int SHOWN = 30;
    private static final int DRAWN = 6;
    private static final double REFERENCE_C = 20;

    /** A wire with a figure for each test, empty where it was not read in ohms. */
    record WireHistoryView(String wire, List<String> figures, boolean risen, String said) {}

    /** A wire over the tests against its limit at 20 °C. */
    record Chart(String wire, boolean risen, String said, TrendDrawing drawing) {}

    static HistoryView of(List<RunSnapshot> tests) {
        History history = History.of(tests.stream().map(RunSnapshot::test).toList());
        List<WireHistoryView> wires = history.wires().stream()
                .sorted(Comparator.comparing(each -> !each.risen()))
                .limit(SHOWN)
                .map(HistoryView::view)
                .toList();
        return new HistoryView(
                tests.stream().map(each -> Times.minute(ended(each))).toList(),
                wires,
                charts(history, tests),
                history.wires().size() - wires.size());
    }

    private static List<Chart> charts(History history, List<RunSnapshot> tests) {
        if (tests.isEmpty()) {
            return List.of();
        }
        Design design = tests.get(tests.size() - 1).test().design().at(REFERENCE_C);
        Map<String, Double> limits = new HashMap<>();
        design.assembly()
                .conductors()
                .forEach(wire ->
                        limits.put(wire.id(), design.limits().of(wire).high().value()));
        return history.wires().stream()
                .sorted(Comparator.comparing((History.WireHistory each) -> !each.risen())
                        .thenComparing(each -> -last(each) / limits.getOrDefault(each.id(), Double.MAX_VALUE)))
                .limit(DRAWN)
                .map(each -> chart(each, tests, limits))
                .toList();
    }

    private static double last(History.WireHistory wire) {
        return wire.ohms().stream()
                .flatMapToDouble(OptionalDouble::stream)
                .reduce((first, later) -> later)
                .orElse(0);
    }

    private static Chart chart(History.WireHistory wire, List<RunSnapshot> tests, Map<String, Double> limits) {
        List<TrendDrawing.TrendValue> values = new ArrayList<>();
        for (int i = 0; i < tests.size(); i++) {
            OptionalDouble ohm = wire.ohms().get(i);
            if (ohm.isPresent()) {
                Instant at = ended(tests.get(i));
                values.add(new TrendDrawing.TrendValue(
                        at.toEpochMilli(), ohm.getAsDouble(), Times.minute(at) + ": " + text(ohm)));
            }
        }
        Double limit = limits.get(wire.id());
        return new Chart(
                wire.id(),
                wire.risen(),
                view(wire).said(),
                TrendDrawing.against(limit == null ? OptionalDouble.empty() : OptionalDouble.of(limit), values, "Ω"));
    }

    private static Instant ended(RunSnapshot test) {
        return test.ended().map(RunSnapshot.RunEnd::at).orElse(test.startedAt());
    }

    private static WireHistoryView view(History.WireHistory wire) {
        return new WireHistoryView(
                wire.id(),
                wire.ohms().stream().map(HistoryView::text).toList(),
                wire.risen(),
                wire.risen()
                        ? Words.say("history_view.risen_above_usual", text(OptionalDouble.of(wire.usualOhm())))
                        : Words.say("history_view.steady"));
    }

    private static String text(OptionalDouble ohm) {
        return ohm.isPresent() ? Words.figure(EngineeringFormat.column(ohm.getAsDouble(), "Ω"), ohm.getAsDouble()) : "";
    }
}
