package zestymarten.web.record;

import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import zestymarten.core.job.History;
import zestymarten.core.quantity.Engineering;
import zestymarten.web.platform.Times;
import zestymarten.web.run.Run;

/**
 * What the wires of a unit read from test to test, as ready text.
 *
 * @param tests when they were ended, the oldest first
 * @param wires those that have risen first
 * @param leftOut how many more there are
 */
record HistoryView(List<String> tests, List<WireView> wires, int leftOut) {
    private static final int SHOWN = 30;

    /** A wire with a figure for each test, empty where it was not read in ohms. */
    record WireView(String wire, List<String> figures, boolean risen, String said) {}

    static HistoryView of(List<Run> tests) {
        History history = History.of(tests.stream().map(Run::job).toList());
        List<WireView> wires = history.wires().stream()
                .sorted(Comparator.comparing(each -> !each.risen()))
                .limit(SHOWN)
                .map(HistoryView::view)
                .toList();
        return new HistoryView(
                tests.stream()
                        .map(each -> Times.minute(each.ended().map(Run.End::at).orElse(each.startedAt())))
                        .toList(),
                wires,
                history.wires().size() - wires.size());
    }

    private static WireView view(History.Wire wire) {
        return new WireView(
                wire.id(),
                wire.ohms().stream().map(HistoryView::text).toList(),
                wire.risen(),
                wire.risen() ? "risen above its usual " + text(OptionalDouble.of(wire.usualOhm())) : "steady");
    }

    private static String text(OptionalDouble ohm) {
        return ohm.isPresent() ? Engineering.text(ohm.getAsDouble(), "Ω") : "";
    }
}
