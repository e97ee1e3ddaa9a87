package zestymarten.web.scan;

import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.core.task.SimpleAsyncTaskExecutor;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;
import zestymarten.core.quantity.Message;
import zestymarten.core.scan.ScanProgram;
import zestymarten.web.meter.StandIns;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Words;

/**
 * Scans that go on by themselves, one at a time for each test: a voltage is held for minutes, for which no page waits. How far
 * each is stands in the database, so that any node shows it; a scan of which nothing was heard for half a minute is lost with
 * its node.
 */
@Service
class ScanJobs implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(ScanJobs.class);
    private static final Duration LOST_AFTER = Duration.ofSeconds(30);
    private static final Duration FOLLOWED_EVERY = Duration.ofMillis(400);
    private static final long STOPPED_WITHIN_MS = 8000;
    /** Measurements that a page lists while a scan is under way, and after it. */
    private static final int LATEST = 20;

    private static final int MAX_LISTED = 400;
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final Scans scans;
    private final ScanJobMapper mapper;
    private final Clock clock;
    private final SimpleAsyncTaskExecutor threads = new SimpleAsyncTaskExecutor("scan-");

    ScanJobs(Scans scans, ScanJobMapper mapper, Clock clock) {
        this.scans = scans;
        this.mapper = mapper;
        this.clock = clock;
        threads.setDaemon(true);
        threads.setTaskTerminationTimeout(STOPPED_WITHIN_MS);
    }

    /** A scan that is interrupted switches its voltage off before it ends. */
    @Override
    public void destroy() {
        threads.close();
    }

    /**
     * A scan of a test.
     *
     * @param count the measurements made so far
     * @param reads the last of them while it is under way, the last first; then those outside their limits first
     * @param stopped why it ended before its end; empty where it did not, or is under way
     * @param stopping who has asked for its end, while it is under way
     */
    record ScanJob(
            boolean underWay,
            String startedBy,
            int count,
            List<NumberedReading> reads,
            String stopped,
            Optional<String> stopping) {
        ScanJob {
            reads = List.copyOf(reads);
        }
    }

    /** A measurement with its number, from 1. */
    record NumberedReading(int line, ScanReading reading) {}

    /**
     * Starts a scan; its parameters are those of {@link Scans#scan}.
     *
     * @throws Refusal if nothing may be measured yet, or a scan of the test, or on the tester, is under way
     */
    void start(
            long runId,
            Optional<ScanProgram> program,
            ScanNulls zeros,
            String address,
            double dwellS,
            boolean secured,
            String by) {
        scans.mustBeAllowed(runId);
        endLost();
        String tester = StandIns.NAMES.contains(address) ? null : address;
        Long id = mapper.insert(runId, tester, by, clock.instant());
        if (id == null) {
            throw new Refusal("", Message.of("scan_jobs.under_way"));
        }
        JobScanWatch following = new JobScanWatch(id);
        threads.execute(() -> {
            String stopped = stopped(() -> scans.scan(runId, program, zeros, address, dwellS, secured, by, following)
                    .stopped());
            following.save();
            mapper.end(id, stopped, clock.instant());
        });
    }

    /** Carries a scan out; why it ended before its end. What nobody foresaw is logged, and never ends a scan without a word. */
    private static String stopped(Supplier<String> scan) {
        try {
            return scan.get();
        } catch (Refusal refused) {
            return Words.say(refused.problems().get(0).what());
        } catch (RuntimeException e) {
            LOG.error("A scan ended by a fault of the program", e);
            return Words.say("scan_jobs.something_broke");
        }
    }

    /** The last scan of a test, under way or ended. */
    Optional<ScanJob> last(long runId) {
        endLost();
        return Optional.ofNullable(mapper.last(runId))
                .map(row -> new ScanJob(
                        row.underWay(),
                        row.startedBy(),
                        row.count(),
                        (row.underWay() ? mapper.latest(row.id(), LATEST) : mapper.worst(row.id(), MAX_LISTED))
                                .stream()
                                        .map(each -> new NumberedReading(
                                                each.line(), JSON.readValue(each.reading(), ScanReading.class)))
                                        .toList(),
                        row.stopped(),
                        Optional.ofNullable(row.stopBy())));
    }

    /** Asks a scan that is under way to end: within about a second it switches off, discharges and stops. */
    void stop(long runId, String by) {
        mapper.stop(runId, by);
    }

    private void endLost() {
        mapper.endLost(clock.instant().minus(LOST_AFTER), Words.say("scan_jobs.lost"));
    }

    /** Saves how far a scan is, and hears whether it has to end. Used by the thread of its scan alone. */
    private final class JobScanWatch implements ScanWatch {
        private final long id;
        private List<ScanReading> reads = List.of();
        private int saved;
        private long next;

        JobScanWatch(long id) {
            this.id = id;
        }

        @Override
        public Optional<Message> endOf(List<ScanReading> soFar) {
            reads = soFar;
            long now = System.nanoTime();
            if (now < next) {
                return Optional.empty();
            }
            next = now + FOLLOWED_EVERY.toNanos();
            try {
                save();
                String by = mapper.follow(id, clock.instant());
                return by == null
                        ? Optional.of(Message.of("scan_jobs.given_up"))
                        : by.isEmpty() ? Optional.empty() : Optional.of(Message.of("scan_jobs.stopped_by", by));
            } catch (DataAccessException e) {
                LOG.error("A scan ends because the database is away", e);
                return Optional.of(Message.of("scan_jobs.database_away"));
            }
        }

        /** What was read since the last time. */
        void save() {
            List<ScanReading> more = reads.subList(saved, reads.size());
            if (!more.isEmpty()) {
                mapper.add(id, saved, JSON.writeValueAsString(more));
                saved = reads.size();
            }
        }
    }
}
