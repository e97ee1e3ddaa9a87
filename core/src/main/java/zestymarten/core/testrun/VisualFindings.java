package zestymarten.core.testrun;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Connector;
import zestymarten.core.assembly.Subject;
import zestymarten.core.finding.Finding;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;

/**
 * What is seen by eye, and what it makes of what is beside it.
 *
 * <p>Rule: a connector that was hot enough to melt or burn condemns what it was plugged into: that is looked at after it was
 * seen, even where it is no part of the wiring. Cost: the connectors times their mates.
 */
final class VisualFindings {
    private final Assembly assembly;
    private final RunLog log;

    VisualFindings(Assembly assembly, RunLog log) {
        this.assembly = assembly;
        this.log = log;
    }

    /** The defects that were seen and not repaired since, by the step that saw them. */
    Map<TestStep.ManualStep, Finding.Defect> defects() {
        Map<TestStep.ManualStep, Finding.Defect> defects = new LinkedHashMap<>();
        for (TestStep step : log.steps(Stage.INSPECTION)) {
            if (step instanceof TestStep.ManualStep manual && manual.action() == ManualAction.INSPECT) {
                log.last(manual).flatMap(VisualFindings::defect).ifPresent(defect -> defects.put(manual, defect));
            }
        }
        return defects;
    }

    private static Optional<Finding.Defect> defect(Entry entry) {
        return entry.content() instanceof Entry.Content.Done done
                ? Finding.Defect.chosen(done.words())
                : Optional.empty();
    }

    /** Whether it was seen to have been hot enough to melt or burn. */
    private static boolean isHot(Entry entry) {
        return defect(entry).filter(Finding.Defect::isHot).isPresent();
    }

    private boolean wasHot(String connector) {
        return log.last(new TestStep.ManualStep(ManualAction.INSPECT, connector))
                .filter(VisualFindings::isHot)
                .isPresent();
    }

    /** What molten connectors were plugged into and is no part of the wiring: to be looked at too. */
    Stream<TestStep> matesOutside() {
        return assembly.connectors().stream()
                .map(Connector::id)
                .filter(each -> wasHot(each) && mates(each).isEmpty())
                .map(each -> new TestStep.ManualStep(ManualAction.INSPECT, new Subject.MateOf(each)));
    }

    /** Whether the mate of a connector was found molten after it was looked at itself, and found well. */
    boolean isCondemnedAfter(String connector, Entry last) {
        return !isHot(last)
                && mates(connector).stream()
                        .filter(this::wasHot)
                        .flatMap(mate -> log.last(new TestStep.ManualStep(ManualAction.INSPECT, mate)).stream())
                        .anyMatch(hot -> hot.sequence() > last.sequence());
    }

    private List<String> mates(String id) {
        List<String> mates = new ArrayList<>();
        for (Connector each : assembly.connectors()) {
            boolean ours = each.id().equals(id);
            each.reach().matesWith().ifPresent(mate -> {
                if (ours && assembly.connector(mate).isPresent()) {
                    mates.add(mate);
                } else if (mate.equals(id)) {
                    mates.add(each.id());
                }
            });
        }
        return mates;
    }
}
