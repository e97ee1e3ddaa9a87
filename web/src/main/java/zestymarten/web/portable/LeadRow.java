package zestymarten.web.portable;

import org.jspecify.annotations.Nullable;

/**
 * A lead of a day with its last outcome.
 *
 * @param outcome null while it is not done
 */
record LeadRow(
        int position,
        String tag,
        @Nullable String outcome,
        @Nullable String says,
        @Nullable Long sheetId,
        @Nullable Long unitId) {
    boolean isDone() {
        return outcome != null;
    }
}
