package zestymarten.core.testrun;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import zestymarten.core.assembly.Access;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Subject;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.TestStep;

/**
 * What was linked, opened or unplugged in a run and has to be put back before it ends.
 *
 * <p>Method: every entry that opens adds its subject, every entry that closes takes it off; in the order of the entries.
 */
final class OpenItems {
    private final Assembly assembly;
    private final Map<Subject, Boolean> out = new LinkedHashMap<>();

    OpenItems(Assembly assembly, RunLog log) {
        this.assembly = assembly;
        for (Entry entry : log.manual()) {
            boolean done = !(entry.content() instanceof Entry.Content.Skip);
            if (done && entry.step() instanceof TestStep.ManualStep manual) {
                note(manual);
            }
        }
    }

    private void note(TestStep.ManualStep manual) {
        switch (manual.action()) {
            case LINK_FAR_ENDS -> out.put(Subject.Sole.FAR_END_LINKS, true);
            case UNLINK_FAR_ENDS -> out.put(Subject.Sole.FAR_END_LINKS, false);
            case MOVED_TO -> out.put(Subject.Sole.MOVING_PART, !manual.subject().isNothing());
            case ACCESS -> out.put(wayTo(manual.subject().code()), true);
            case SUBSTITUTED -> out.put(new Subject.StandInFor(manual.subject().code()), true);
            case UNPLUGGED, OPENED -> out.put(manual.subject(), true);
            case RESTORE -> out.put(manual.subject(), false);
            default -> {
                // leaves nothing open
            }
        }
    }

    private Subject wayTo(String connector) {
        return new Subject.WayTo(
                connector,
                assembly.connector(connector).map(each -> each.reach().harm()).orElse(Access.Harm.NONE));
    }

    /** Whether something is still out. */
    boolean isOut(Subject subject) {
        return out.getOrDefault(subject, false);
    }

    /** What is still out, in the order in which it came out. */
    List<Subject> items() {
        return out.entrySet().stream()
                .filter(Map.Entry::getValue)
                .map(Map.Entry::getKey)
                .toList();
    }

    /** The steps that put things back, done or not, but for the link, which is freed on the way. */
    List<TestStep> toPutBack() {
        List<TestStep> steps = new ArrayList<>();
        out.keySet().stream()
                .filter(each -> each != Subject.Sole.FAR_END_LINKS)
                .forEach(each -> steps.add(new TestStep.ManualStep(ManualAction.RESTORE, each)));
        return steps;
    }
}
