package zestymarten.web.testrun;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A run in a list. */
public record RunLine(
        long id,
        long unitId,
        String assembly,
        String serial,
        String startedBy,
        Instant startedAt,
        int entries,
        @Nullable String outcome,
        @Nullable String findings,
        @Nullable Instant endedAt) {}
