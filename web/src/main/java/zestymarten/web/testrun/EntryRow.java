package zestymarten.web.testrun;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** An entry as stored. */
record EntryRow(
        UUID id,
        int sequence,
        String stage,
        @Nullable String question,
        @Nullable String black,
        @Nullable String red,
        @Nullable String subject,
        @Nullable String state,
        @Nullable String ties,
        int attempt,
        @Nullable String asTyped,
        @Nullable String meaning,
        @Nullable Double value,
        @Nullable Double until,
        @Nullable String unit,
        @Nullable String happenedAt,
        @Nullable String skipReason,
        @Nullable String words,
        @Nullable String repairWay,
        @Nullable String repairCause,
        @Nullable String repairPrevention,
        @Nullable String repairSpare,
        @Nullable String repairColour,
        String enteredBy,
        Instant enteredAt,
        boolean takenBack) {}
