package zestymarten.web.platform;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;

/** Prints moments as the workshop's clock shows them. */
public final class Times {
    private static final DateTimeFormatter MINUTE = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm");

    private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm xxx");

    private static final DateTimeFormatter SECOND = DateTimeFormatter.ofPattern("HH:mm:ss");

    private Times() {}

    /** Time of day to the second, in the zone of this machine. */
    public static String second(Instant at) {
        return SECOND.format(at.atZone(ZoneId.systemDefault()));
    }

    /** Date and time to the minute, in the zone of this machine. */
    public static String minute(Instant at) {
        return MINUTE.format(at.atZone(ZoneId.systemDefault()));
    }

    /** The same with its offset, for what is read elsewhere or later: the hour that comes twice is distinguished. */
    public static String stamp(Instant at) {
        return STAMP.format(at.atZone(ZoneId.systemDefault()));
    }
}
