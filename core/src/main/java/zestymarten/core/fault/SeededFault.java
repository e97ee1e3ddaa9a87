package zestymarten.core.fault;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import zestymarten.core.assembly.Terminal;

/** One thing that is put wrong in a made-up unit. What a unit under test is found to have is a {@code Finding}. */
public sealed interface SeededFault {

    /** A conductor is broken. */
    record Open(String conductor) implements SeededFault {}

    /** A conductor or one of its terminations has more ohms than it should: {@code ohm} of them, above 0. */
    record High(String conductor, double ohm) implements SeededFault {
        public High {
            requireOhm(ohm > 0, ohm);
        }
    }

    /** A broken core whose ends still touch: as good when they do, open when they do not. */
    record Intermittent(String conductor) implements SeededFault {}

    /** Two terminals that should be apart are joined through such a resistance; the frame may be one of them. */
    record Shorted(Terminal a, Terminal b, double ohm) implements SeededFault {
        public Shorted {
            requireOhm(ohm >= 0, ohm);
        }
    }

    /** Far ends sit in other cavities than their own: two that changed places, a cycle, a whole connector, or a single one. */
    record Moved(Map<String, Terminal> cavities) implements SeededFault {
        public Moved {
            cavities = Map.copyOf(cavities);
        }
    }

    /** A pin that should be bonded to the frame is not. */
    record Unbonded(Terminal terminal) implements SeededFault {}

    /** A component has no path. */
    record PartOpen(String component) implements SeededFault {}

    /** A component is bypassed. */
    record PartShort(String component) implements SeededFault {}

    /** A component has so many times its value, above 0 and not 1. */
    record PartValue(String component, double times) implements SeededFault {
        public PartValue {
            requireOhm(times > 0, times);
        }
    }

    /** A contact stays closed, or stays open, whatever the state. */
    record PartStuck(String component, boolean closed) implements SeededFault {}

    private static void requireOhm(boolean holds, double ohm) {
        if (!holds || Double.isInfinite(ohm)) {
            throw new IllegalArgumentException("A fault's figure (" + ohm + ") must be finite and not below 0.");
        }
    }

    /** One answer for each kind. */
    record FaultCases<T>(
            Function<Open, T> open,
            Function<High, T> high,
            Function<Intermittent, T> intermittent,
            Function<Shorted, T> shorted,
            Function<Moved, T> moved,
            Function<Unbonded, T> unbonded,
            Function<PartOpen, T> partOpen,
            Function<PartShort, T> partShort,
            Function<PartValue, T> partValue,
            Function<PartStuck, T> partStuck) {
        public FaultCases {
            List.of(open, high, intermittent, shorted, moved, unbonded, partOpen, partShort, partValue, partStuck)
                    .forEach(Objects::requireNonNull);
        }
    }

    /** Chooses the answer for this kind. */
    default <T> T fold(FaultCases<T> cases) {
        if (this instanceof Open open) {
            return cases.open().apply(open);
        } else if (this instanceof High high) {
            return cases.high().apply(high);
        } else if (this instanceof Intermittent intermittent) {
            return cases.intermittent().apply(intermittent);
        } else if (this instanceof Shorted shorted) {
            return cases.shorted().apply(shorted);
        } else if (this instanceof Moved moved) {
            return cases.moved().apply(moved);
        } else if (this instanceof Unbonded unbonded) {
            return cases.unbonded().apply(unbonded);
        } else if (this instanceof PartOpen open) {
            return cases.partOpen().apply(open);
        } else if (this instanceof PartShort shorted) {
            return cases.partShort().apply(shorted);
        } else if (this instanceof PartValue value) {
            return cases.partValue().apply(value);
        } else {
            return cases.partStuck().apply((PartStuck) this);
        }
    }
}
