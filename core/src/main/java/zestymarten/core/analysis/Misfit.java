package zestymarten.core.analysis;

/**
 * How badly an observation fits faults that were put into a scene.
 *
 * @param nats by how much, in natural logarithms, it is less likely than one that is explained; from 0
 * @param badContact whether only a probe that made no contact would account for it
 */
record Misfit(double nats, boolean badContact) {
    static final Misfit NONE = new Misfit(0, false);

    /** An observation with less than this is explained: three standard deviations and a half. */
    private static final double EXPLAINED = 6.1;

    Misfit {
        if (!(nats >= 0)) {
            throw new IllegalArgumentException("A misfit (" + nats + ") must not be negative.");
        }
    }

    static Misfit of(double nats) {
        return new Misfit(nats, false);
    }

    /** Whether the faults account for it: a bad contact is a chance, never an explanation. */
    boolean isExplained() {
        return nats < EXPLAINED && !badContact;
    }
}
