package zestymarten.web.testrun;

import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.Purpose;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.Entry;
import zestymarten.core.testrun.RunFinding;
import zestymarten.core.testrun.StepState;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.platform.Conflict;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Words;

/**
 * The entries of tests: what was read, done, left out or put right, one after the other, and taken back. Each is kept once, whoever
 * sends it how often; a test is held while one is kept.
 */
@Service
public class RunEntries {
    private static final int LONGEST_REASON = 200;
    private static final int LONGEST_WORDS = 500;
    private static final int LONGEST_COLOUR = 40;

    private final RunMapper mapper;
    private final TestRuns runs;
    private final DerivedJobs derived;
    private final Clock clock;

    RunEntries(RunMapper mapper, TestRuns runs, DerivedJobs derived, Clock clock) {
        this.mapper = mapper;
        this.runs = runs;
        this.derived = derived;
        this.clock = clock;
    }

    /** The same entries by another clock, for callers that hold a transaction and tell of the past. */
    public RunEntries withClock(Clock other) {
        return new RunEntries(mapper, runs, derived, other);
    }

    /**
     * What was sent for a step.
     *
     * @param id made by the sender; sending it again changes nothing
     * @param attempt which entry of the step the sender believes it to be
     * @param typed the reading, the words or the reason
     * @param meaning which of the offered meanings was chosen, where there was a question
     * @param where along the wire it happened; empty where that was not asked
     */
    public record SentEntry(UUID id, TestStep step, int attempt, String typed, OptionalInt meaning, String where) {
        public SentEntry(UUID id, TestStep step, int attempt, String typed, OptionalInt meaning) {
            this(id, step, attempt, typed, meaning, "");
        }
    }

    /** What became of it: kept, or a question to answer first. */
    public sealed interface EntryAnswer {
        record EntryKept(RunSnapshot run, Entry entry) implements EntryAnswer {}

        record MeaningQuestion(MeterReading.Ambiguous ambiguous) implements EntryAnswer {}
    }

    /**
     * Keeps a reading, or asks what it means.
     *
     * @throws Refusal if it is no reading
     * @throws Conflict if the step was recorded meanwhile, or is not part of the run any more
     */
    @Transactional
    public EntryAnswer enter(long runId, SentEntry sent, String by) {
        return once(runId, sent, run -> {
            if (takesWords(sent.step())) {
                mustBeAccepted((TestStep.ManualStep) sent.step(), sent.typed().strip());
                return keep(run, sent, new Entry.Content.Done(words(sent.typed(), LONGEST_WORDS)), by);
            }
            MeterReading understood = run.test().understand(sent.step(), sent.typed());
            if (understood instanceof MeterReading.Refused refused) {
                throw new Refusal("", refused.message());
            }
            if (understood instanceof MeterReading.Ambiguous ambiguous) {
                int choice = sent.meaning().orElse(-1);
                if (choice < 0 || choice >= ambiguous.candidates().size()) {
                    return new EntryAnswer.MeaningQuestion(ambiguous);
                }
                understood = ambiguous.candidates().get(choice);
            }
            Judgement judged = run.test().judge(sent.step(), understood);
            String where = judged.verdict() == Judgement.Verdict.FAIL ? sent.where() : "";
            return keep(run, sent, new Entry.Content.Reading(sent.typed().strip(), understood, where), by);
        });
    }

    private static boolean takesWords(TestStep step) {
        return step.fold(
                probes -> false, measurement -> false, manual -> manual.action().isByWords());
    }

    private static void mustBeAccepted(TestStep.ManualStep manual, String words) {
        TestRun.expected(manual, words).ifPresent(expected -> {
            throw new Refusal("", Message.of("test_runs.not_accepted_expected", words, expected));
        });
    }

    private static String words(String typed, int longest) {
        String words = typed.strip();
        if (words.length() > longest) {
            throw new Refusal("", Message.of("test_runs.that_characters_long_use", words.length(), longest));
        }
        return words;
    }

    /**
     * A repair with the readings of what remains of a broken wire: kept together, or nothing of it. Where a splice was meant
     * and a length turns out to be at fault too, the readings are kept and the splice was not made.
     *
     * @param remains the readings, in their order
     * @return whether the repair is kept
     * @throws Refusal if one of them or the repair is not possible; nothing is kept then
     */
    @Transactional
    public boolean repair(long runId, List<SentEntry> remains, SentEntry sent, Entry.Content.Repair repair, String by) {
        for (SentEntry each : remains) {
            if (enter(runId, each, by) instanceof EntryAnswer.MeaningQuestion question) {
                throw new Refusal("length_ohm", question.ambiguous().question());
            }
        }
        if (repair.way() == Entry.Way.SPLICE && !remains.isEmpty()) {
            TestRun test = runs.find(runId).test();
            if (remains.stream().anyMatch(each -> test.state(each.step()) == StepState.FAIL)) {
                return false;
            }
        }
        repair(runId, sent, repair, by);
        return true;
    }

    /** Keeps how something was put right, so that what it concerned is asked for again. */
    @Transactional
    public EntryAnswer repair(long runId, SentEntry sent, Entry.Content.Repair repair, String by) {
        words(repair.cause(), LONGEST_WORDS);
        words(repair.prevention(), LONGEST_WORDS);
        words(repair.colour(), LONGEST_COLOUR);
        return once(runId, sent, run -> {
            run.test().objection((TestStep.ManualStep) sent.step(), repair).ifPresent(objection -> {
                throw new Refusal("", objection);
            });
            return keep(run, sent, repair, by);
        });
    }

    /** Leaves a step out, with the reason. */
    @Transactional
    public EntryAnswer skip(long runId, SentEntry sent, String by) {
        return once(runId, sent, run -> {
            String reason = sent.typed().strip();
            if (reason.isEmpty() || reason.length() > LONGEST_REASON) {
                throw new Refusal("", Message.of("test_runs.say_few_words_why"));
            }
            return keep(run, sent, new Entry.Content.Skip(reason), by);
        });
    }

    /** Holds the run; what was sent before is found, a step that is not free is refused, all else is done. */
    private EntryAnswer once(long runId, SentEntry sent, Function<RunSnapshot, EntryAnswer> entering) {
        RunSnapshot run = runs.hold(runId);
        Optional<Entry> before = already(run, sent.id());
        if (before.isPresent()) {
            mustBeTheSame(before.get(), sent);
            return new EntryAnswer.EntryKept(run, before.get());
        }
        mustBeFree(run, sent.step(), sent.attempt());
        return entering.apply(run);
    }

    /** Sending again changes nothing; sending something else under the same identifier is a mistake of the sender. */
    private static void mustBeTheSame(Entry before, SentEntry sent) {
        Entry.Content content = before.content();
        String kept = content instanceof Entry.Content.Reading reading
                ? reading.asTyped()
                : content instanceof Entry.Content.Done done
                        ? done.words()
                        : content instanceof Entry.Content.Skip skip
                                ? skip.reason()
                                : sent.typed().strip();
        if (!before.step().equals(sent.step()) || !kept.equals(sent.typed().strip())) {
            throw new Conflict(Message.of("test_runs.something_else_was_saved", kept, before.sequence()));
        }
    }

    private Optional<Entry> already(RunSnapshot run, UUID id) {
        Optional<Entry> here = run.test().entry(id);
        if (here.isEmpty() && mapper.runOfEntry(id) != null) {
            throw new Conflict(Message.of("test_runs.that_reading_belongs_another"));
        }
        return here;
    }

    private static void mustBeFree(RunSnapshot run, TestStep step, int attempt) {
        if (!run.isUnderWay()) {
            throw new Conflict(Message.of("test_runs.this_test_was_ended"));
        }
        if (!run.test().isPlanned(step)) {
            throw new Conflict(Message.of("test_runs.this_step_not_part"));
        }
        if (!run.test().isAllowed(step)) {
            throw new Conflict(Message.of("test_runs.not_proved_dead_yet"));
        }
        if (run.test().nextAttempt(step) != attempt) {
            List<Entry> before = run.test().entriesOf(step);
            String who = before.isEmpty()
                    ? Words.say("test_runs.someone")
                    : before.get(before.size() - 1).by();
            throw new Conflict(Message.of("test_runs.this_step_was_recorded", who));
        }
    }

    private EntryAnswer keep(RunSnapshot run, SentEntry sent, Entry.Content content, String by) {
        Entry entry = new Entry(
                sent.id(),
                run.test().entries().size() + 1,
                sent.step(),
                sent.attempt(),
                content,
                false,
                by,
                clock.instant().truncatedTo(ChronoUnit.MILLIS));
        mapper.insertEntry(run.id(), run.revision().id(), EntryRows.row(entry));
        TestRun test = run.test().plus(entry);
        derived.put(run.id(), TestRuns.pulse(test, run.ended()), test);
        RunSnapshot after = new RunSnapshot(
                run.id(),
                run.unitId(),
                run.serial(),
                run.revision(),
                test,
                run.startedBy(),
                run.startedAt(),
                TestRuns.pulse(test, run.ended()),
                run.ended());
        return new EntryAnswer.EntryKept(after, entry);
    }

    /** Takes back the last entry that stands, which must be the one named, so that nobody takes back another's by chance. */
    @Transactional
    public RunSnapshot takeBack(long runId, UUID entryId, String by) {
        RunSnapshot run = runs.hold(runId);
        Entry last = run.test().last().orElseThrow(() -> new Conflict(Message.of("test_runs.there_nothing_take_back")));
        if (!run.isUnderWay()) {
            throw new Conflict(Message.of("test_runs.this_test_was_ended_2"));
        }
        boolean done = run.test().entry(entryId).filter(Entry::takenBack).isPresent();
        if (done) {
            return run;
        }
        if (!last.id().equals(entryId)) {
            throw new Conflict(Message.of("test_runs.another_reading_was_entered"));
        }
        mapper.insertTakenBack(entryId, by, clock.instant());
        return runs.find(runId);
    }

    /** Starts a test for a purpose, which a test that is under way on that unit takes over. */
    @Transactional
    public long start(
            long assemblyId,
            String serial,
            TestConditions conditions,
            TestOptions approach,
            Purpose purpose,
            String by) {
        long id = runs.start(assemblyId, serial, conditions, approach, by);
        TestRun test = runs.find(id).test();
        if (test.purpose() != purpose) {
            TestStep step = new TestStep.ManualStep(ManualAction.PURPOSE, "");
            String said = purpose == Purpose.RETEST ? retest(runs.find(id)) : purpose.code();
            enter(id, new SentEntry(UUID.randomUUID(), step, test.nextAttempt(step), said, OptionalInt.empty()), by);
        }
        return id;
    }

    /** A retest of what the last test of the unit has found. */
    private String retest(RunSnapshot run) {
        String found = runs.lastOf(run.unitId(), 1).stream()
                .flatMap(last -> last.test().findings().stream())
                .map(RunFinding::finding)
                .flatMap(finding -> finding.named().stream())
                .distinct()
                .collect(Collectors.joining(" "));
        if (found.isEmpty()) {
            throw new Refusal("purpose", Message.of("test_runs.last_test_has_found", run.serial()));
        }
        return Purpose.RETEST.code() + " " + found;
    }
}
