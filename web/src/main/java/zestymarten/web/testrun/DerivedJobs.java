package zestymarten.web.testrun;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import zestymarten.core.testrun.TestRun;

/**
 * Tests as derived from their entries, so that a posted reading loads and derives nothing twice. A test is found again only
 * by the pulse that its entries have in the database; entries are never changed, so that one pulse is one state. What a
 * transaction has derived is kept when it has committed.
 */
@Component
class DerivedJobs {
    private static final long MAX_ENTRIES = 200_000;
    private static final int MIN_WEIGHT = 50;

    private final Cache<Long, DerivedTest> jobs = Caffeine.newBuilder()
            .maximumWeight(MAX_ENTRIES)
            .weigher((Long id, DerivedTest derived) ->
                    MIN_WEIGHT + derived.test().entries().size())
            .expireAfterAccess(Duration.ofMinutes(30))
            .build();

    private record DerivedTest(String pulse, TestRun test) {}

    /** The test as it stands at a pulse; empty where this node has not derived it. */
    Optional<TestRun> get(long runId, @Nullable String pulse) {
        return Optional.ofNullable(jobs.getIfPresent(runId))
                .filter(each -> each.pulse().equals(pulse))
                .map(DerivedTest::test);
    }

    void put(long runId, String pulse, TestRun test) {
        boolean writes = TransactionSynchronizationManager.isSynchronizationActive()
                && !TransactionSynchronizationManager.isCurrentTransactionReadOnly();
        if (!writes) {
            jobs.put(runId, new DerivedTest(pulse, test));
            return;
        }
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                jobs.put(runId, new DerivedTest(pulse, test));
            }
        });
    }
}
