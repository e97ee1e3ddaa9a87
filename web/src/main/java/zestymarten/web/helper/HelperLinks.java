package zestymarten.web.helper;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import zestymarten.core.quantity.Message;
import zestymarten.web.platform.AuditEvent;
import zestymarten.web.platform.NotFound;
import zestymarten.web.platform.Secret;
import zestymarten.web.platform.Words;
import zestymarten.web.testrun.RunSnapshot;
import zestymarten.web.testrun.TestRuns;

/**
 * Links by which somebody without an account sees what to hold at the far end of one test. A link is good until it is revoked
 * or the test ends, shows nothing else, and saves nothing but that somebody is there.
 */
@Service
class HelperLinks {
    private final HelperMapper mapper;
    private final TestRuns runs;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    HelperLinks(HelperMapper mapper, TestRuns runs, ApplicationEventPublisher events, Clock clock) {
        this.mapper = mapper;
        this.runs = runs;
        this.events = events;
        this.clock = clock;
    }

    /** A link that is still good. */
    record HelperLinkLine(long id, String by, Instant at) {}

    @Transactional(readOnly = true)
    public List<HelperLinkLine> of(long runId) {
        return mapper.links(runId);
    }

    /** Makes a link for a test and answers its secret, which is not shown again. */
    @Transactional
    public String make(RunSnapshot run, String by) {
        String secret = Secret.fresh();
        mapper.insert(run.id(), Secret.digest(secret), by, clock.instant());
        events.publishEvent(new AuditEvent(
                AuditEvent.AuditKind.HELPER_LINK_MADE, run.serial(), Words.say("helper_links.test", run.id())));
        return secret;
    }

    /** Makes a link good for nothing. */
    @Transactional
    public void revoke(RunSnapshot run, long link) {
        if (mapper.revoke(run.id(), link, clock.instant()) == 0) {
            throw new NotFound(Message.of("helper_links.that_link_not_one"));
        }
        events.publishEvent(new AuditEvent(
                AuditEvent.AuditKind.HELPER_LINK_REVOKED, run.serial(), Words.say("helper_links.test", run.id())));
    }

    /** The test that a secret is good for; empty once it is good for none. */
    @Transactional(readOnly = true)
    public Optional<RunSnapshot> run(String secret) {
        return runId(secret).map(runs::find);
    }

    /** The number of that test. */
    @Transactional(readOnly = true)
    public Optional<Long> runId(String secret) {
        return Optional.ofNullable(mapper.runOf(Secret.digest(secret)));
    }
}
