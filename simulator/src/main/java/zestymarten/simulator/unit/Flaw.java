package zestymarten.simulator.unit;

import java.util.List;
import java.util.Objects;
import java.util.function.Function;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.fault.SeededFault;

/** What is wrong with a unit on the bench: a fault of its network, or one that only shows when something is done to it. */
public sealed interface Flaw {
    /** A fault that every reading shows. */
    record Wired(SeededFault fault) implements Flaw {}

    /** A contact that reads open until it is scraped to clean metal. */
    record Oxide(Terminal contact) implements Flaw {}

    /** A contact whose resistance is another at every measurement, up to {@code maxOhm} above its own. */
    record Drifting(String conductor, double maxOhm) implements Flaw {
        public Drifting {
            mustBeAbove0(maxOhm);
        }
    }

    /** A core that is broken inside: it comes apart while the wire is bent at that zone, or at one of its connectors. */
    record LooseAt(String conductor, String place) implements Flaw {}

    /** A core that comes apart in one position of the machine. */
    record OpenIn(String conductor, String state) implements Flaw {}

    /**
     * Insulation between two terminals, or a terminal and the frame, that is not what it should be.
     *
     * @param ohm after a minute under voltage, at the ambient temperature, dry
     * @param absorption by how many times its resistance grows from one minute to ten, from 1; leakage falls by as much
     * @param wetShare what is left of its resistance where it is wet, above 0 and at most 1
     */
    record Weak(Terminal a, Terminal b, double ohm, double absorption, double wetShare) implements Flaw {
        public Weak {
            mustBeAbove0(ohm);
            if (!(absorption >= 1 && absorption <= 100 && wetShare > 0 && wetShare <= 1)) {
                throw new IllegalArgumentException(
                        "Absorption (" + absorption + ") must be from 1 to 100, and what is left when wet (" + wetShare
                                + ") above 0 and at most 1.");
            }
        }
    }

    /** Insulation between two terminals, or a terminal and the frame, that breaks down from so many volts on. */
    record Breaks(Terminal a, Terminal b, double volts) implements Flaw {
        public Breaks {
            mustBeAbove0(volts);
        }
    }

    private static void mustBeAbove0(double value) {
        if (!(value > 0 && value < Double.POSITIVE_INFINITY)) {
            throw new IllegalArgumentException("A flaw's figure (" + value + ") must be above 0 and finite.");
        }
    }

    /** One answer for each kind. */
    record Cases<T>(
            Function<Wired, T> wired,
            Function<Oxide, T> oxide,
            Function<Drifting, T> drifting,
            Function<LooseAt, T> looseAt,
            Function<OpenIn, T> openIn,
            Function<Weak, T> weak,
            Function<Breaks, T> breaks) {
        public Cases {
            List.of(wired, oxide, drifting, looseAt, openIn, weak, breaks).forEach(Objects::requireNonNull);
        }
    }

    /** Chooses the answer for this kind. */
    default <T> T fold(Cases<T> cases) {
        if (this instanceof Wired wired) {
            return cases.wired().apply(wired);
        } else if (this instanceof Oxide oxide) {
            return cases.oxide().apply(oxide);
        } else if (this instanceof Drifting drifting) {
            return cases.drifting().apply(drifting);
        } else if (this instanceof LooseAt loose) {
            return cases.looseAt().apply(loose);
        } else if (this instanceof OpenIn open) {
            return cases.openIn().apply(open);
        } else if (this instanceof Weak weak) {
            return cases.weak().apply(weak);
        } else {
            return cases.breaks().apply((Breaks) this);
        }
    }
}
