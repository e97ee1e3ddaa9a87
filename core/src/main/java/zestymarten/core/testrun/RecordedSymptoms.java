package zestymarten.core.testrun;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zestymarten.core.finding.Symptoms;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MessageArgument;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.TestStep;

/** How functions behave, by the codes in which a test keeps it. */
public final class RecordedSymptoms {
    /** It does what it should. */
    public static final String WORKS = "works";

    private static final String NOT_TRIED = "not tried";

    private static final Map<String, Symptoms.Behaviour> BY_CODE = Map.of(
            WORKS,
            Symptoms.Behaviour.WORKS,
            "dead",
            Symptoms.Behaviour.DEAD,
            "sometimes",
            Symptoms.Behaviour.SOMETIMES,
            "stays on",
            Symptoms.Behaviour.STAYS_ON);

    private RecordedSymptoms() {}

    /** The codes that there are, the one that says nothing first. */
    public static List<String> codes() {
        return List.of(NOT_TRIED, WORKS, "dead", "sometimes", "stays on");
    }

    static boolean isCode(String code) {
        return codes().contains(code);
    }

    /** What a person is to read for a code; anything else stays as it is. */
    public static Message words(String code) {
        return code.equals(NOT_TRIED)
                ? Message.of("recorded_symptoms.not_tried")
                : Optional.ofNullable(BY_CODE.get(code)).map(Message::of).orElseGet(() -> Message.verbatim(code));
    }

    static MessageArgument anyOf() {
        return Message.list(
                MessageArgument.Listing.Link.COMMA,
                codes().stream().map(RecordedSymptoms::words).toList());
    }

    /** The symptoms as the entries of a run give them, the last word on each function. */
    static Symptoms of(RunLog log) {
        Map<String, Symptoms.Behaviour> functions = new HashMap<>();
        for (Entry entry : log.manual()) {
            boolean recorded = entry.step() instanceof TestStep.ManualStep manual
                    && manual.action() == ManualAction.SYMPTOM
                    && entry.content() instanceof Entry.Content.Done;
            if (recorded) {
                String function = ((TestStep.ManualStep) entry.step()).subject().code();
                Optional.ofNullable(BY_CODE.get(((Entry.Content.Done) entry.content()).words()))
                        .ifPresentOrElse(
                                behaviour -> functions.put(function, behaviour), () -> functions.remove(function));
            }
        }
        return new Symptoms(functions);
    }
}
