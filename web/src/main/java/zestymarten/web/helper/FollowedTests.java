package zestymarten.web.helper;

import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ScheduledFuture;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.SmartLifecycle;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.concurrent.ThreadPoolTaskScheduler;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Says to whoever has a test open that something has happened on it, by server-sent events; what it is they ask for then.
 *
 * <p>Each node looks for all tests that are open through it by one statement, whoever has entered something on whichever node.
 * Nothing is looked for while no test is open. Cost of a look: one row for each test that is followed.
 */
@Component
class FollowedTests implements SmartLifecycle {
    static final int MAX = 1000;
    private static final Duration EVERY = Duration.ofMillis(400);
    /** A connection ends after so long and is made anew: whoever may not see the test any more is refused then. */
    private static final Duration CONNECTION = Duration.ofMinutes(1);

    private static final long AGAIN_MS = 2000;

    private final HelperMapper mapper;
    private final Clock clock;
    private final Map<SseEmitter, Long> followers = new ConcurrentHashMap<>();
    private Map<Long, TestState> known = Map.of();
    private final ThreadPoolTaskScheduler watch = new ThreadPoolTaskScheduler();
    private volatile @Nullable ScheduledFuture<?> polling;

    FollowedTests(HelperMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
        watch.setThreadNamePrefix("followed-");
        watch.setDaemon(true);
        watch.initialize();
    }

    /**
     * How a test stands.
     *
     * @param entries changes with every entry, with each that is taken back, and with the end
     * @param people who is on it and what they hold
     */
    record TestState(long runId, String entries, String people) {
        private Set<String> newsSince(TestState before) {
            Set<String> news = new HashSet<>();
            if (!entries.equals(before.entries)) {
                news.add("test");
            }
            if (!people.equals(before.people)) {
                news.add("people");
            }
            return news;
        }
    }

    /** Whether nobody else can follow a test through this node: they ask now and then instead. */
    boolean isFull() {
        return !isRunning() || followers.size() >= MAX;
    }

    /** A connection on which the events of a test are said: {@code test} and {@code people}, without anything in them. */
    SseEmitter follow(long runId) {
        SseEmitter follower = new SseEmitter(CONNECTION.toMillis());
        follower.onTimeout(follower::complete);
        follower.onError(any -> followers.remove(follower));
        follower.onCompletion(() -> followers.remove(follower));
        followers.put(follower, runId);
        say(follower, SseEmitter.event().reconnectTime(AGAIN_MS).comment("here"));
        return follower;
    }

    /** Looks what has happened, and says it. While the database is away nothing has. */
    synchronized void poll() {
        Set<Long> open = Set.copyOf(followers.values());
        if (open.isEmpty()) {
            known = Map.of();
            return;
        }
        Map<Long, TestState> before = known;
        try {
            Instant since = clock.instant().minus(Presence.GONE_AFTER);
            known = mapper.states(List.copyOf(open), since).stream()
                    .collect(Collectors.toMap(TestState::runId, Function.identity()));
        } catch (DataAccessException | TransactionException e) {
            return;
        }
        followers.forEach((follower, run) -> {
            TestState now = known.get(run);
            TestState then = before.get(run);
            if (now != null && then != null) {
                now.newsSince(then)
                        .forEach(news ->
                                say(follower, SseEmitter.event().name(news).data("")));
            }
        });
    }

    private void say(SseEmitter follower, SseEmitter.SseEventBuilder event) {
        try {
            follower.send(event);
        } catch (IOException | IllegalStateException e) {
            followers.remove(follower); // whoever it was has gone
        }
    }

    @Override
    public void start() {
        polling = watch.scheduleWithFixedDelay(this::poll, EVERY);
    }

    /** Before the server waits for its last requests: these would never end by themselves. */
    @Override
    public void stop() {
        ScheduledFuture<?> ended = polling;
        polling = null;
        if (ended != null) {
            ended.cancel(false);
        }
        followers.keySet().forEach(SseEmitter::complete);
    }

    @Override
    public boolean isRunning() {
        return polling != null;
    }
}
