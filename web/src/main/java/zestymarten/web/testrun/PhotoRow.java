package zestymarten.web.testrun;

import java.time.Instant;
import java.util.UUID;

/** A photograph of a run, without its content. */
record PhotoRow(UUID id, String note, String type, String takenBy, Instant takenAt) {}
