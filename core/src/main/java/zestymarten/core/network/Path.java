package zestymarten.core.network;

import java.util.function.Function;
import java.util.function.Supplier;
import zestymarten.core.quantity.Ohms;

/** What an ideal ohmmeter reads between two terminals of a good unit. */
public sealed interface Path {

    /** There is a path, of at least {@code low}, at most {@code high}, {@code nominal} to be expected. */
    record Ohmic(Ohms low, Ohms nominal, Ohms high) implements Path {
        public Ohmic {
            if (low.compareTo(high) > 0) {
                throw new IllegalArgumentException(
                        "Low bound (" + low.text() + ") must not be above the high bound (" + high.text() + ").");
            }
        }
    }

    /** There is no path. */
    record Open() implements Path {}

    /** Chooses by kind. */
    default <T> T fold(Function<Ohmic, T> ohmic, Supplier<T> open) {
        return this instanceof Ohmic way ? ohmic.apply(way) : open.get();
    }
}
