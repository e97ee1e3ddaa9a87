package zestymarten.core.scan;

import java.util.Comparator;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zestymarten.core.quantity.NotAccepted;

/** A point of the switch on one of its buses, written {@code A!12}. Ordered by bus, then point. */
public record ScanContact(Bus bus, int point) implements Comparable<ScanContact> {
    /** The most points that a program may name. */
    public static final int MAX_POINTS = 4000;

    private static final Pattern WRITTEN = Pattern.compile("([ABG])!([0-9]{1,4})");
    private static final Comparator<ScanContact> ORDER =
            Comparator.comparing(ScanContact::bus).thenComparingInt(ScanContact::point);

    /** What a point is connected to: either side of the meter, or the guard, which takes no part. */
    public enum Bus {
        A,
        B,
        G
    }

    public ScanContact {
        if (!(point >= 1 && point <= MAX_POINTS)) {
            throw new NotAccepted("scan_contact.point_out_of_range", point, MAX_POINTS);
        }
    }

    /** Reads what was written; empty if it is no contact. */
    static Optional<ScanContact> of(String text) {
        Matcher matcher = WRITTEN.matcher(text);
        boolean is = matcher.matches()
                && Integer.parseInt(matcher.group(2)) >= 1
                && Integer.parseInt(matcher.group(2)) <= MAX_POINTS;
        return is
                ? Optional.of(new ScanContact(Bus.valueOf(matcher.group(1)), Integer.parseInt(matcher.group(2))))
                : Optional.empty();
    }

    @Override
    public int compareTo(ScanContact other) {
        return ORDER.compare(this, other);
    }

    @Override
    public String toString() {
        return bus + "!" + point;
    }
}
