package zestymarten.web.record;

import org.jspecify.annotations.Nullable;

/**
 * The last test of a unit.
 *
 * @param runId null where it has none
 * @param outcome null while it is under way
 * @param released whether the unit was released after it
 */
record LastTestRow(
        String serial, @Nullable Long runId, @Nullable String outcome, boolean released) {}
