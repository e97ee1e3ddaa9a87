package zestymarten.web.run;

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
        int touch,
        @Nullable String asTyped,
        @Nullable String meaning,
        @Nullable Double value,
        @Nullable Double until,
        @Nullable String skipReason,
        String enteredBy,
        Instant enteredAt,
        boolean takenBack) {}
