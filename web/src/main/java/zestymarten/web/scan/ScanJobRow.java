package zestymarten.web.scan;

import org.jspecify.annotations.Nullable;

/**
 * A scan as stored.
 *
 * @param stopBy who has asked for its end; null if nobody has
 * @param count the measurements made so far
 */
record ScanJobRow(
        long id,
        String startedBy,
        boolean underWay,
        @Nullable String stopBy,
        String stopped,
        int count) {}
