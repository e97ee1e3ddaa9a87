package zestymarten.web.unit;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** A unit in a list, with its last finished run if it has one. */
public record UnitLine(
        long id,
        long assemblyId,
        String assembly,
        String serial,
        String state,
        @Nullable LocalDate dueOn,
        @Nullable Long lastRun,
        @Nullable String lastOutcome,
        @Nullable String lastFindings) {}
