package zestymarten.web.scan;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A scan as stored.
 *
 * @param reads {@link ScanReading}s as a JSON array
 */
record ScanJobRow(
        long id,
        String startedBy,
        Instant aliveAt,
        @Nullable String stopBy,
        @Nullable Instant endedAt,
        String stopped,
        String reads) {}
