package zestymarten.web.wiring;

import java.time.Instant;

/** The head of a revision as stored, with the name of its wiring. */
record RevisionRow(
        long id,
        long assemblyId,
        int number,
        String name,
        String kind,
        String note,
        String createdBy,
        Instant createdAt) {}
