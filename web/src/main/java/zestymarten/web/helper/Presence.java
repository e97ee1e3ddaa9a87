package zestymarten.web.helper;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import zestymarten.web.platform.Words;

/** Who is on a test right now and which step they have before them. In the database, so that every node knows it. */
@Service
class Presence {
    static final Duration GONE_AFTER = Duration.ofSeconds(12);
    /** How whoever follows a link is kept: they have no name here. */
    static final String HELPER = "@helper";

    private static final int LONGEST = 120;

    private final HelperMapper mapper;
    private final Clock clock;

    Presence(HelperMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /**
     * Somebody else on the test.
     *
     * @param step the step before them, or what they say that they hold; may be empty
     */
    record Other(String who, String step) {
        /** Who it is, in words. */
        public String name() {
            return who.equals(HELPER) ? Words.say("presence.helper") : who;
        }

        /** Whether they have the same step before them. */
        public boolean isAt(String other) {
            return !step.isEmpty() && step.equals(other);
        }
    }

    /** Says that somebody is there, and answers who else is. */
    @Transactional
    public List<Other> here(long runId, String who, String step) {
        Instant now = clock.instant();
        mapper.here(runId, who, step.length() > LONGEST ? step.substring(0, LONGEST) : step, now);
        return mapper.others(runId, who, now.minus(GONE_AFTER));
    }
}
