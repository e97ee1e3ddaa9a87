package zestymarten.web.record;

import java.util.List;
import java.util.Optional;
import org.springframework.boot.context.event.ApplicationStartedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;
import zestymarten.web.platform.Preferences;
import zestymarten.web.testrun.RunEnded;
import zestymarten.web.testrun.RunSnapshot;
import zestymarten.web.testrun.TestRuns;

/** The records of ended tests, kept when the test ends and read as they were kept. */
@Service
class SealedRecords {
    private static final int AT_A_TIME = 50;

    private final RecordMapper mapper;
    private final RecordViews views;
    private final TestRuns runs;
    private final JsonMapper json;

    SealedRecords(RecordMapper mapper, RecordViews views, TestRuns runs, JsonMapper json) {
        this.mapper = mapper;
        this.views = views;
        this.runs = runs;
        this.json = json.rebuild()
                .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                .build();
    }

    /** What the record of a test says: as it was kept, or of one under way as it stands now. */
    @Transactional(readOnly = true)
    public RecordView view(RunSnapshot run) {
        String kept = run.isUnderWay() ? null : mapper.document(run.id());
        return views.view(run, kept == null ? views.result(run) : json.readValue(kept, RecordResult.class));
    }

    /** The seal of an ended test, and whether its data are still those that were sealed; none for one under way. */
    @Transactional(readOnly = true)
    public Optional<Seal> seal(RunSnapshot run) {
        return Optional.ofNullable(mapper.seal(run.id())).map(hash -> new Seal(hash, mapper.verify(run.id())));
    }

    /** Part of the transaction that ends the test: without its record it does not end. */
    @EventListener
    @Transactional(propagation = Propagation.MANDATORY)
    public void on(RunEnded ended) {
        keep(ended.run());
    }

    /** Keeps the records of tests that ended before records were kept. */
    @EventListener(ApplicationStartedEvent.class)
    public void keepEarlier() {
        List<Long> missing = mapper.unsealed(AT_A_TIME);
        while (!missing.isEmpty()) {
            runs.all(missing).forEach(this::keep);
            missing = mapper.unsealed(AT_A_TIME);
        }
    }

    private void keep(RunSnapshot run) {
        RecordResult result = Preferences.usually(() -> views.result(run));
        mapper.insert(run.id(), result.rules(), json.writeValueAsString(result));
    }
}
