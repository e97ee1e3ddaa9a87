package zestymarten.core.conductor;

import java.util.function.Function;

/** What cuts a current off that is too large. */
public sealed interface Protection permits Breaker, Fuse {
    /** What it does at a current in amperes, 0 or above, in words that follow its name. */
    String does(double amperes);

    /** Whether it surely cuts that current off within the conventional time. */
    boolean cutsOff(double amperes);

    /** Whether it surely does so within minutes. */
    boolean cutsOffSoon(double amperes);

    double ratedA();

    /** Such as {@code C10} or {@code 16 A gG}. */
    String name();

    /** Chooses by kind. */
    default <T> T fold(Function<Breaker, T> breaker, Function<Fuse, T> fuse) {
        return this instanceof Breaker one ? breaker.apply(one) : fuse.apply((Fuse) this);
    }
}
