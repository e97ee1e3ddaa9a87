package zestymarten.core.judgement;

import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;
import zestymarten.core.limit.Limit;

/** What a good unit shows at one measurement. */
public sealed interface Expectation {

    /**
     * The two terminals are one point.
     *
     * @param needsOhms whether a tone is not enough because a current flows there
     * @param parts names of the components on the way; where there are any, the pair is judged by value and is not one point
     */
    record Joined(Limit limit, boolean needsOhms, List<String> parts) implements Expectation {
        public Joined {
            parts = List.copyOf(parts);
        }

        public Joined(Limit limit, boolean needsOhms) {
            this(limit, needsOhms, List.of());
        }

        public boolean isBridged() {
            return !parts.isEmpty();
        }
    }

    /** The two terminals have nothing to do with each other. */
    record Apart() implements Expectation {}

    /** Chooses by kind. */
    default <T> T fold(Function<Joined, T> joined, Supplier<T> apart) {
        return this instanceof Joined one ? joined.apply(one) : apart.get();
    }
}
