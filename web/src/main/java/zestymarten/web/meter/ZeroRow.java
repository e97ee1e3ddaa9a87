package zestymarten.web.meter;

import java.time.Instant;

/** What the joined leads of a meter read at a moment, in ohms. */
record ZeroRow(long runId, double ohm, Instant at) {}
