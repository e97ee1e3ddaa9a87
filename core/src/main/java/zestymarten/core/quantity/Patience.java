package zestymarten.core.quantity;

import java.util.function.BooleanSupplier;
import java.util.function.Supplier;

/**
 * Whether anybody still waits for a long computation. Whoever asks for one says when it is over; the loops that can take
 * long ask at every turn, and stop with {@link TookTooLong}. Nothing that they had done so far is kept. Bound to the
 * thread; where nobody said anything, patience has no end.
 */
public final class Patience {
    private static final ThreadLocal<BooleanSupplier> OVER = ThreadLocal.withInitial(() -> () -> false);

    private Patience() {}

    /**
     * Does something while somebody waits for it.
     *
     * @param over whether nobody waits any more; asked often, so it must be quick
     * @return what came of it
     * @throws TookTooLong if it was over before it was done
     */
    public static <T> T within(BooleanSupplier over, Supplier<T> work) {
        BooleanSupplier before = OVER.get();
        OVER.set(over);
        try {
            return work.get();
        } finally {
            OVER.set(before);
        }
    }

    /**
     * Goes on if somebody still waits.
     *
     * @throws TookTooLong if nobody does
     */
    public static void check() {
        if (OVER.get().getAsBoolean()) {
            throw new TookTooLong();
        }
    }

    /** A computation was given up because nobody waited for it any more. */
    public static final class TookTooLong extends RuntimeException {
        private static final long serialVersionUID = 1;

        TookTooLong() {
            super("The computation was given up: it took too long.", null, false, false);
        }
    }
}
