package zestymarten.web.assembly;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * The head of a revision as stored, with the name of its wiring.
 *
 * @param parts what it has besides wires, in the open format; absent where there are only wires
 */
record RevisionRow(
        long id,
        long assemblyId,
        int number,
        String name,
        String kind,
        String note,
        @Nullable String parts,
        String createdBy,
        Instant createdAt) {}
