package zestymarten.web.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalInt;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.Entry;
import zestymarten.web.Site;
import zestymarten.web.Workshop;
import zestymarten.web.platform.Conflict;

/**
 * Two phones without network that saw the same test, and somebody at the bench: whatever they send, in whatever order, with
 * answers lost on the way, is saved once, under its own step, or refused and still on its phone.
 */
@ExtendWith(Workshop.class)
class QueuesTest {
    private static final int RUNS = 20;
    private static final int EACH = 50;

    private final Site site;
    private final SplittableRandom random = new SplittableRandom(19);

    QueuesTest(Site site) {
        this.site = site;
    }

    /** What was saved by the model: which entry has which place of which step. */
    private record Place(TestStep step, int attempt) {}

    @Test
    void aThousandInterleavingsOfTwoQueuesLoseNothingAndSaveNothingTwice() {
        TestRuns runs = site.bean(TestRuns.class);
        long wiring = site.wiring(
                site.fresh("Queues"), "wire,from,to,max_ohm\nW1,J1.1,J2.1,0.5\nW2,J1.2,J2.2,0.5\nW3,J1.3,J2.3,0.5\n");
        for (int i = 0; i < RUNS; i++) {
            long run = site.run(wiring, "Q-" + i);
            List<TestStep> steps = runs.find(run)
                    .test()
                    .steps()
                    .filter(each -> each instanceof TestStep.Measurement)
                    .toList();
            Map<Place, UUID> saved = new HashMap<>();
            Map<UUID, RunEntries.SentEntry> sent = new HashMap<>();
            for (int trial = 0; trial < EACH; trial++) {
                trial(runs, run, steps, saved, sent);
            }
            everythingIsWhereTheModelHasIt(runs, run, saved, sent);
        }
    }

    private void trial(
            TestRuns runs,
            long run,
            List<TestStep> steps,
            Map<Place, UUID> saved,
            Map<UUID, RunEntries.SentEntry> all) {
        List<Deque<RunEntries.SentEntry>> queues =
                List.of(queue(runs, run, steps), queue(runs, run, steps), queue(runs, run, steps));
        while (queues.stream().anyMatch(each -> !each.isEmpty())) {
            Deque<RunEntries.SentEntry> queue = queues.get(random.nextInt(queues.size()));
            if (queue.isEmpty()) {
                continue;
            }
            RunEntries.SentEntry first = queue.peek();
            all.put(first.id(), first);
            Place place = new Place(first.step(), first.attempt());
            boolean free = saved.getOrDefault(place, first.id()).equals(first.id());
            boolean kept = send(run, first);
            assertThat(kept)
                    .as("%s, entry %d".formatted(first.step(), first.attempt()))
                    .isEqualTo(free);
            if (kept) {
                saved.put(place, first.id());
            }
            boolean answerIsLost = random.nextInt(4) == 0;
            if (!answerIsLost) {
                queue.remove(); // saved, or shown on the phone as refused
            }
        }
    }

    /** What a phone has typed since it saw the test: one reading for each of some of its steps. */
    private Deque<RunEntries.SentEntry> queue(TestRuns runs, long run, List<TestStep> steps) {
        Deque<RunEntries.SentEntry> queue = new ArrayDeque<>();
        List<TestStep> some = new ArrayList<>(steps);
        for (int i = 0; i < 2; i++) {
            TestStep step = some.remove(random.nextInt(some.size()));
            boolean ends = step.stage() == Stage.CONTINUITY; // nothing that would bring other steps
            String typed = (ends ? List.of("0.3", "0.41", "0.9") : List.of("OL", ">20M", "n")).get(random.nextInt(3));
            int attempt = runs.find(run).test().nextAttempt(step);
            queue.add(new RunEntries.SentEntry(UUID.randomUUID(), step, attempt, typed, OptionalInt.empty()));
        }
        return queue;
    }

    private boolean send(long run, RunEntries.SentEntry sent) {
        try {
            return site.bean(RunEntries.class).enter(run, sent, "bench") instanceof RunEntries.EntryAnswer.EntryKept;
        } catch (Conflict refused) {
            return false;
        }
    }

    private static void everythingIsWhereTheModelHasIt(
            TestRuns runs, long run, Map<Place, UUID> saved, Map<UUID, RunEntries.SentEntry> sent) {
        List<Entry> entries = runs.find(run).test().entries();
        Set<UUID> ids = new HashSet<>();
        for (Entry entry : entries) {
            assertThat(ids.add(entry.id())).as("twice").isTrue();
            RunEntries.SentEntry own = Objects.requireNonNull(sent.get(entry.id()));
            assertThat(entry.step()).isEqualTo(own.step());
            assertThat(((Entry.Content.Reading) entry.content()).asTyped()).isEqualTo(own.typed());
        }
        assertThat(ids).containsExactlyInAnyOrderElementsOf(saved.values());
    }
}
