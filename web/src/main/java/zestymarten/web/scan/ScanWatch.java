package zestymarten.web.scan;

import java.util.List;
import java.util.Optional;
import zestymarten.core.quantity.Message;

/** Who follows a scan from outside of it. */
@FunctionalInterface
interface ScanWatch {
    /** Nobody follows it, and it goes on to its end. */
    ScanWatch NOBODY = reads -> Optional.empty();

    /**
     * Hears what was read so far, after each measurement and about once a second while the scan waits; says why it has to end,
     * empty if it goes on.
     */
    Optional<Message> endOf(List<ScanReading> reads);
}
