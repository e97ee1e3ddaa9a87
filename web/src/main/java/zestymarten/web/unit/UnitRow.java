package zestymarten.web.unit;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import zestymarten.core.testrun.UnitState;

/** A unit as stored, with the name of its wiring. */
public record UnitRow(
        long id,
        long assemblyId,
        String assembly,
        String serial,
        UnitState state,
        @Nullable LocalDate dueOn,
        @Nullable Double dueHours,
        @Nullable Integer dueCycles) {

    /** When it is to be tested again. */
    public DueDate due() {
        return new DueDate(dueOn, dueHours, dueCycles);
    }
}
