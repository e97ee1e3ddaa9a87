package zestymarten.web.record;

import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.testrun.History;
import zestymarten.web.platform.Times;
import zestymarten.web.testrun.RunSnapshot;

/**
 * What the wires of a unit read from test to test, as ready text.
 *
 * @param tests when they were ended, the oldest first
 * @param wires those that have risen first
 * @param leftOut how many more there are
 */
record HistoryView(List<String> tests, List<WireHistoryView> wires, int leftOut) {
    private static final int SHOWN = 30;

    /** A wire with a figure for each test, empty where it was not read in ohms. */
    record WireHistoryView(String wire, List<String> figures, boolean risen, String said) {}

    static HistoryView of(List<RunSnapshot> tests) {
        History history = History.of(tests.stream().map(RunSnapshot::job).toList());
        List<WireHistoryView> wires = history.wires().stream()
                .sorted(Comparator.comparing(each -> !each.risen()))
                .limit(SHOWN)
                .map(HistoryView::view)
                .toList();
        return new HistoryView(
                tests.stream()
                        .map(each -> Times.minute(
                                each.ended().map(RunSnapshot.RunEnd::at).orElse(each.startedAt())))
                        .toList(),
                wires,
                history.wires().size() - wires.size());
    }

    private static WireHistoryView view(History.WireHistory wire) {
        return new WireHistoryView(
                wire.id(),
                wire.ohms().stream().map(HistoryView::text).toList(),
                wire.risen(),
                wire.risen() ? "risen above its usual " + text(OptionalDouble.of(wire.usualOhm())) : "steady");
    }

    private static String text(OptionalDouble ohm) {
        return ohm.isPresent() ? EngineeringFormat.text(ohm.getAsDouble(), "Ω") : "";
    }
}
