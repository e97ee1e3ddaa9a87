package zestymarten.web.scan;

import java.util.List;
import java.util.Optional;

/** Who follows a scan from outside of it. */
@FunctionalInterface
interface ScanWatch {
    /** Nobody follows it, and it goes on to its end. */
    ScanWatch NOBODY = reads -> Optional.empty();

    /**
     * Hears what was read so far, after each measurement and about once a second while the scan waits; says who has asked for
     * its end, empty if it goes on.
     */
    Optional<String> stoppedBy(List<ScanReading> reads);
}
