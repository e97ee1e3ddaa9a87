package zestymarten.core.quantity;

/**
 * How often a random test tries. Every day a quarter of what it was written for, so that all tests together take minutes; the
 * whole with {@code ./marten test --all-trials}. The seeds are the same, so the quarter is always the first one.
 */
public final class Trials {
    /** Whether everything is tried, and tables that are calculated from all of it are compared. */
    public static final boolean ALL = Boolean.getBoolean("trials.all");

    private static final int SHARE = 4;

    private Trials() {}

    /** @return {@code all} of them or a quarter, at least one */
    public static int of(int all) {
        return ALL ? all : Math.max(1, all / SHARE);
    }
}
