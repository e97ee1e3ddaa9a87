package zestymarten.core.testrun;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import zestymarten.core.assembly.Access;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.TestStep;

/**
 * What was tied, opened or unplugged in a run and has to be put back before it ends.
 *
 * <p>Method: every entry that opens adds its subject, every entry that closes takes it off; in the order of the entries.
 */
final class OpenItems {
    private static final String FAR_ENDS = "the links at the far end";

    private static final String MOVING_PART = "the moving part, to where it usually stands";

    private final Assembly assembly;
    private final Map<String, Boolean> out = new LinkedHashMap<>();

    OpenItems(Assembly assembly, RunLog standing) {
        this.assembly = assembly;
        for (Entry entry : standing.manual()) {
            boolean done = !(entry.content() instanceof Entry.Content.Skip);
            if (done && entry.step() instanceof TestStep.ManualStep act) {
                note(act);
            }
        }
    }

    private void note(TestStep.ManualStep act) {
        switch (act.action()) {
            case TIED -> out.put(FAR_ENDS, true);
            case FREED -> out.put(FAR_ENDS, false);
            case MOVED_TO -> out.put(MOVING_PART, !act.subject().isEmpty());
            case ACCESS -> out.put(dismantled(act.subject()), true);
            case SUBSTITUTED -> out.put("the stand-in for " + act.subject(), true);
            case UNPLUGGED, OPENED -> out.put(act.subject(), true);
            case PUT_BACK -> out.put(act.subject(), false);
            default -> {
                // leaves nothing open
            }
        }
    }

    private String dismantled(String connector) {
        Access.Harm harm =
                assembly.connector(connector).map(each -> each.reach().harm()).orElse(Access.Harm.NONE);
        return switch (harm) {
            case NONE, OPEN -> "the cover of " + connector;
            case PIERCE -> "the pierced insulation at " + connector + ", to be sealed";
            case CUT -> "the cut at " + connector + ", to be made good";
        };
    }

    /** Whether something is still out. */
    boolean isOut(String subject) {
        return out.getOrDefault(subject, false);
    }

    /** What is still out, in the order in which it came out. */
    List<String> items() {
        return out.entrySet().stream()
                .filter(Map.Entry::getValue)
                .map(Map.Entry::getKey)
                .toList();
    }

    /** The steps that put things back, done or not, but for the tie, which is freed on the way. */
    List<TestStep> toPutBack() {
        List<TestStep> steps = new ArrayList<>();
        out.keySet().stream()
                .filter(each -> !each.equals(FAR_ENDS))
                .forEach(each -> steps.add(new TestStep.ManualStep(ManualAction.PUT_BACK, each)));
        return steps;
    }
}
