package zestymarten.web.testrun;

import java.util.UUID;

/**
 * An entry as stored, with the run that it belongs to.
 *
 * @param id of the entry: what tells one row from the next, or the mapping would take all rows of a run for one
 */
record RunEntryRow(UUID id, long runId, EntryRow entry) {}
