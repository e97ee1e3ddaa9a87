package zestymarten.core.conductor;

import java.util.Arrays;
import java.util.OptionalDouble;
import java.util.function.Function;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;

/** What cuts a current off that is too large. */
public sealed interface Protection permits Breaker, FuseLink {
    /** What it does at a current in amperes, 0 or above, in words that follow its name. */
    Message does(double amperes);

    /** Whether it surely cuts that current off within the conventional time. */
    boolean cutsOff(double amperes);

    /** Seconds after which it has surely cut that current off, at the longest; empty where it may never. */
    OptionalDouble longestSeconds(double amperes);

    /** Whether it surely does so within minutes. */
    boolean cutsOffSoon(double amperes);

    double ratedA();

    /** Such as {@code C10} or {@code 16 A gG}. */
    String name();

    /**
     * The device of a kind.
     *
     * @param kind {@code B}, {@code C} or {@code D} for a breaker, {@code gG} for a fuse
     * @throws IllegalArgumentException for any other, or where there is none of so many amperes
     */
    static Protection of(String kind, double ratedA) {
        return kind.equals("gG")
                ? new FuseLink(ratedA)
                : new Breaker(
                        Arrays.stream(Breaker.Curve.values())
                                .filter(each -> each.name().equals(kind))
                                .findFirst()
                                .orElseThrow(() -> new NotAccepted("protection.kind", kind)),
                        ratedA);
    }

    /** Chooses by kind. */
    default <T> T fold(Function<Breaker, T> breaker, Function<FuseLink, T> fuse) {
        return this instanceof Breaker one ? breaker.apply(one) : fuse.apply((FuseLink) this);
    }
}
