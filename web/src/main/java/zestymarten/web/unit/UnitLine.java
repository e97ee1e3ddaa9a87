package zestymarten.web.unit;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import zestymarten.core.testrun.UnitState;

/** A unit in a list, with its last finished run if it has one. */
public record UnitLine(
        long id,
        long assemblyId,
        String assembly,
        String serial,
        UnitState state,
        @Nullable LocalDate dueOn,
        @Nullable Long lastRun,
        @Nullable String lastOutcome,
        @Nullable String lastFindings) {}
