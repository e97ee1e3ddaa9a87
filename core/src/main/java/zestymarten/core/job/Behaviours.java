package zestymarten.core.job;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zestymarten.core.finding.Complaint;
import zestymarten.core.plan.Deed;
import zestymarten.core.plan.Step;

/** How functions behave, in the words in which a run keeps it. */
public final class Behaviours {
    /** It does what it should. */
    public static final String WORKS = "works";

    private static final Map<String, Complaint.Behaviour> BY_WORD = Map.of(
            WORKS,
            Complaint.Behaviour.WORKS,
            "dead",
            Complaint.Behaviour.DEAD,
            "sometimes",
            Complaint.Behaviour.SOMETIMES,
            "stays on",
            Complaint.Behaviour.STAYS_ON);

    private Behaviours() {}

    /** The words that there are, the one that says nothing first. */
    public static List<String> words() {
        return List.of("not tried", WORKS, "dead", "sometimes", "stays on");
    }

    static boolean isWord(String word) {
        return words().contains(word);
    }

    /** The complaint as the entries of a run tell it, the last word on each function. */
    static Complaint complaint(Standing standing) {
        Map<String, Complaint.Behaviour> functions = new HashMap<>();
        for (Entry entry : standing.manual()) {
            boolean told = entry.step() instanceof Step.Act act
                    && act.deed() == Deed.COMPLAINT
                    && entry.content() instanceof Entry.Content.Done;
            if (told) {
                String function = ((Step.Act) entry.step()).subject();
                Optional.ofNullable(BY_WORD.get(((Entry.Content.Done) entry.content()).words()))
                        .ifPresentOrElse(
                                behaviour -> functions.put(function, behaviour), () -> functions.remove(function));
            }
        }
        return new Complaint(functions);
    }
}
