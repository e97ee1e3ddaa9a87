package zestymarten.core.network;

import zestymarten.core.assembly.Terminal;

/** What a fault does to one edge of a network. Resistances in ohms, from 0 for an added edge, above 0 for one that was there. */
public sealed interface Change {
    Terminal a();

    Terminal b();

    /** A path that was not there. */
    record Added(Terminal a, Terminal b, double ohm) implements Change {
        public Added {
            requireFinite(ohm);
        }
    }

    /** An edge is gone; where several lie side by side, the one of that resistance. */
    record Removed(Terminal a, Terminal b, double ohm) implements Change {
        public Removed {
            requireAboveZero(ohm);
        }
    }

    /** An edge has another resistance than it had. */
    record Altered(Terminal a, Terminal b, double was, double is) implements Change {
        public Altered {
            requireAboveZero(was);
            requireAboveZero(is);
        }
    }

    private static void requireFinite(double ohm) {
        if (!(ohm >= 0 && ohm < Double.POSITIVE_INFINITY)) {
            throw new IllegalArgumentException("An edge's resistance (" + ohm + " ohm) must be finite, from 0.");
        }
    }

    private static void requireAboveZero(double ohm) {
        requireFinite(ohm);
        if (ohm == 0) {
            throw new IllegalArgumentException(
                    "An edge of 0 ohm merges its ends and cannot be taken out again: give it some resistance first.");
        }
    }
}
