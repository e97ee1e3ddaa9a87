package zestymarten.web.record;

import java.time.Instant;

/** Who signed for a run, as stored. */
record SignOffRow(long runId, String note, String signedBy, Instant signedAt) {}
