package zestymarten.web.record;

import java.time.Instant;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** What was decided on a unit after a run, as stored. */
record ReleaseRow(
        long runId,
        String decision,
        @Nullable LocalDate dueOn,
        @Nullable Double dueHours,
        @Nullable Integer dueCycles,
        String note,
        String decidedBy,
        Instant decidedAt) {}
