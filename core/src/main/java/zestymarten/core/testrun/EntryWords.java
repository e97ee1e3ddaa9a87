package zestymarten.core.testrun;

import java.util.Optional;
import zestymarten.core.finding.Finding;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.Celsius;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.Ohms;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Purpose;
import zestymarten.core.testplan.TestStep;

/** What entries say in words, and which words a manual step can be entered with. */
final class EntryWords {
    private EntryWords() {}

    /** What an entry says, in words: the reading as understood on this meter, what was done, or why it was left out. */
    static Message of(Entry entry, TestConditions conditions) {
        if (entry.content() instanceof Entry.Content.Skip skip) {
            return Message.of("test_run.skipped", skip.reason());
        }
        if (entry.content() instanceof Entry.Content.Done done) {
            if (entry.step() instanceof TestStep.ManualStep manual
                    && manual.action().answer() == ManualAction.AnswerKind.CELSIUS) {
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
        boolean inOhms = !(entry.step() instanceof TestStep.Measurement measurement) || measurement.isInOhms();
        Message text = reading.meaning() instanceof MeterReading.OverRange && inOhms
                ? Message.of("test_run.more_than", Ohms.of(conditions.meter().topOhm()))
                : reading.meaning().message();
        return reading.where().isEmpty() ? text : Message.of("test_run.words", text, reading.where());
    }

    private static Message plainly(TestStep.ManualStep manual, String words) {
        Message said = Message.verbatim(words);
        return switch (manual.action()) {
            case SYMPTOM, FUNCTION -> words.isEmpty() ? Message.of("test_run.done") : RecordedSymptoms.words(words);
            case INSPECT -> seen(words);
            case REPLUGGED, SUBSTITUTED ->
                words.isEmpty()
                        ? Message.of("test_run.nothing_has_changed_by")
                        : Message.of("test_run.plainly", RecordedSymptoms.words(words));
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

    /** What was seen, with the note behind it. */
    private static Message seen(String words) {
        if (words.isEmpty()) {
            return Message.of("test_run.nothing_found");
        }
        int colon = words.indexOf(':');
        String note = colon < 0 ? "" : words.substring(colon + 1).strip();
        return Finding.Defect.chosen(words)
                .map(defect -> note.isEmpty() ? Message.of(defect) : Message.of("test_run.seen", defect, note))
                .orElseGet(() -> Message.verbatim(words));
    }

    /** What is expected instead of words that cannot be entered for a manual step; empty where they can. */
    static Optional<Message> expected(TestStep.ManualStep manual, String words) {
        boolean function = manual.action() == ManualAction.SYMPTOM || manual.action() == ManualAction.FUNCTION;
        if (function && !RecordedSymptoms.isCode(words)) {
            return Optional.of(Message.of("test_run.one", RecordedSymptoms.anyOf()));
        }
        boolean purposeful = Purpose.of(words)
                .filter(each ->
                        (each == Purpose.RETEST) != Purpose.subject(words).isEmpty())
                .isPresent();
        if (manual.action() == ManualAction.PURPOSE && !purposeful) {
            return Optional.of(Message.of("test_run.one_everything_find_fault"));
        }
        boolean tried = manual.action() == ManualAction.REPLUGGED || manual.action() == ManualAction.SUBSTITUTED;
        if (tried && !words.isEmpty() && !RecordedSymptoms.isCode(words)) {
            return Optional.of(Message.of("test_run.nothing_if_as_before", RecordedSymptoms.anyOf()));
        }
        if (manual.action() == ManualAction.SUBSTITUTE && !PartTrials.isPrice(words)) {
            return Optional.of(Message.of("test_run.minutes_that_change_takes", PartTrials.MAX_MINUTES));
        }
        boolean warmth = manual.action().answer() == ManualAction.AnswerKind.CELSIUS && !words.isEmpty();
        return warmth && Celsius.of(words).isEmpty() ? Optional.of(Celsius.EXPECTED) : Optional.empty();
    }
}
