package zestymarten.core.testrun;

import java.util.Optional;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.Celsius;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.Ohms;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Purpose;
import zestymarten.core.testplan.TestStep;

/** What entries say in words, and which words a deed can be entered with. */
final class EntryWords {
    private EntryWords() {}

    /** What an entry says, in words: the reading as understood on this meter, what was done, or why it was left out. */
    static Message of(Entry entry, TestConditions conditions) {
        if (entry.content() instanceof Entry.Content.Skip skip) {
            return Message.of("test_run.skipped", skip.reason());
        }
        if (entry.content() instanceof Entry.Content.Done done) {
            if (entry.step() instanceof TestStep.ManualStep act
                    && act.action().answer() == ManualAction.AnswerKind.CELSIUS) {
                return Message.of(
                        "reading.value", Message.figure(Celsius.of(done.words()).orElse(conditions.ambientC()), "°C"));
            }
            return plainly((TestStep.ManualStep) entry.step(), done.words());
        }
        if (entry.content() instanceof Entry.Content.Repair repair) {
            return Message.of(
                    "test_run.repaired",
                    repair.way(),
                    repair.spare(),
                    repair.colour().isEmpty() ? Message.NONE : Message.of("test_run.now", repair.colour()));
        }
        Entry.Content.Reading reading = (Entry.Content.Reading) entry.content();
        boolean inOhms = !(entry.step() instanceof TestStep.Measurement touch) || touch.isInOhms();
        Message text = reading.meaning() instanceof MeterReading.OverRange && inOhms
                ? Message.of("test_run.more_than", Ohms.of(conditions.meter().topOhm()))
                : reading.meaning().message();
        return reading.where().isEmpty() ? text : Message.of("test_run.words", text, reading.where());
    }

    private static Message plainly(TestStep.ManualStep act, String words) {
        Message said = Message.verbatim(words);
        return switch (act.action()) {
            case LOOKED -> words.isEmpty() ? Message.of("test_run.nothing_found") : said;
            case REPLUGGED, SUBSTITUTED ->
                words.isEmpty() ? Message.of("test_run.nothing_has_changed_by") : Message.of("test_run.plainly", words);
            case PURPOSE -> {
                Message purpose = Purpose.of(words).map(Purpose::words).orElse(said);
                yield Purpose.subject(words).isEmpty()
                        ? purpose
                        : Message.of("test_run.purpose", purpose, Purpose.subject(words));
            }
            case SUBSTITUTE -> Message.of("test_run.planned_about_min", words);
            default -> words.isEmpty() ? Message.of("test_run.done") : said;
        };
    }

    /** What is expected instead of words that cannot be entered for a deed; empty where they can. */
    static Optional<Message> expected(TestStep.ManualStep act, String words) {
        boolean function = act.action() == ManualAction.COMPLAINT || act.action() == ManualAction.FUNCTION;
        if (function && !RecordedSymptoms.isWord(words)) {
            return Optional.of(Message.of("test_run.one", String.join(", ", RecordedSymptoms.words())));
        }
        boolean purposeful = Purpose.of(words)
                .filter(each ->
                        (each == Purpose.RETEST) != Purpose.subject(words).isEmpty())
                .isPresent();
        if (act.action() == ManualAction.PURPOSE && !purposeful) {
            return Optional.of(Message.of("test_run.one_everything_find_fault"));
        }
        boolean tried = act.action() == ManualAction.REPLUGGED || act.action() == ManualAction.SUBSTITUTED;
        if (tried && !words.isEmpty() && !RecordedSymptoms.isWord(words)) {
            return Optional.of(
                    Message.of("test_run.nothing_if_as_before", String.join(", ", RecordedSymptoms.words())));
        }
        if (act.action() == ManualAction.SUBSTITUTE && !PartTrials.isPrice(words)) {
            return Optional.of(Message.of("test_run.minutes_that_change_takes", PartTrials.MOST_MINUTES));
        }
        boolean warmth = act.action().answer() == ManualAction.AnswerKind.CELSIUS && !words.isEmpty();
        return warmth && Celsius.of(words).isEmpty() ? Optional.of(Celsius.EXPECTED) : Optional.empty();
    }
}
