package zestymarten.core.judge;

import java.util.function.Function;
import java.util.function.Supplier;
import zestymarten.core.limit.Limit;

/** What a good unit shows at one touch. */
public sealed interface Expectation {

    /**
     * The two terminals are one point.
     *
     * @param needsOhms whether a tone is not enough because a current flows there
     */
    record Joined(Limit limit, boolean needsOhms) implements Expectation {}

    /** The two terminals have nothing to do with each other. */
    record Apart() implements Expectation {}

    /** Chooses by kind. */
    default <T> T fold(Function<Joined, T> joined, Supplier<T> apart) {
        return this instanceof Joined one ? joined.apply(one) : apart.get();
    }
}
