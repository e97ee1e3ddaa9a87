package zestymarten.core.quantity;

import java.util.stream.DoubleStream;

/** The middle of some values; of an even number the mean of the two in the middle. Cost: n log n. */
public final class Median {
    private Median() {}

    /**
     * The median of values in any order.
     *
     * @throws IllegalArgumentException if there are none
     */
    public static double of(DoubleStream values) {
        double[] sorted = values.sorted().toArray();
        if (sorted.length == 0) {
            throw new IllegalArgumentException("Of no values there is no median.");
        }
        int middle = sorted.length / 2;
        return sorted.length % 2 == 1 ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2;
    }
}
