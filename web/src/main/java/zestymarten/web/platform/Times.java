package zestymarten.web.platform;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;

/** Prints moments as the workshop's clock shows them. */
public final class Times {
    private static final DateTimeFormatter MINUTE = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm");

    private Times() {}

    /** Date and time to the minute, in the zone of this machine. */
    public static String minute(Instant at) {
        return MINUTE.format(at.atZone(ZoneId.systemDefault()));
    }
}
