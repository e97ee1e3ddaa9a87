package zestymarten.core.testrun;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zestymarten.core.finding.Symptoms;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.TestStep;

/** How functions behave, in the words in which a run keeps it. */
public final class RecordedSymptoms {
    /** It does what it should. */
    public static final String WORKS = "works";

    private static final Map<String, Symptoms.Behaviour> BY_WORD = Map.of(
            WORKS,
            Symptoms.Behaviour.WORKS,
            "dead",
            Symptoms.Behaviour.DEAD,
            "sometimes",
            Symptoms.Behaviour.SOMETIMES,
            "stays on",
            Symptoms.Behaviour.STAYS_ON);

    private RecordedSymptoms() {}

    /** The words that there are, the one that says nothing first. */
    public static List<String> words() {
        return List.of("not tried", WORKS, "dead", "sometimes", "stays on");
    }

    static boolean isWord(String word) {
        return words().contains(word);
    }

    /** The complaint as the entries of a run tell it, the last word on each function. */
    static Symptoms complaint(RunLog standing) {
        Map<String, Symptoms.Behaviour> functions = new HashMap<>();
        for (Entry entry : standing.manual()) {
            boolean told = entry.step() instanceof TestStep.ManualStep act
                    && act.action() == ManualAction.COMPLAINT
                    && entry.content() instanceof Entry.Content.Done;
            if (told) {
                String function = ((TestStep.ManualStep) entry.step()).subject();
                Optional.ofNullable(BY_WORD.get(((Entry.Content.Done) entry.content()).words()))
                        .ifPresentOrElse(
                                behaviour -> functions.put(function, behaviour), () -> functions.remove(function));
            }
        }
        return new Symptoms(functions);
    }
}
