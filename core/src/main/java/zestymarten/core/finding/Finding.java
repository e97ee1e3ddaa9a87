package zestymarten.core.finding;

import java.util.List;
import java.util.Optional;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.quantity.Ohms;

/** A fault named in the wiring's own terms. A closed family: a new kind must be told and drawn everywhere. */
public sealed interface Finding {
    /** Names of the conductors at fault, in design order. */
    List<String> conductors();

    /** The terminals that it is about. */
    List<Terminal> terminals();

    /** A conductor has no way through from one terminal to the other. */
    record Open(String conductor, Terminal from, Terminal to) implements Finding {
        @Override
        public List<String> conductors() {
            return List.of(conductor);
        }

        @Override
        public List<Terminal> terminals() {
            return List.of(from, to);
        }
    }

    /** A way through with more ohms than it may have. */
    record HighResistance(List<String> conductors, Terminal from, Terminal to, Ohms ohm, Ohms limit)
            implements Finding {
        public HighResistance {
            conductors = List.copyOf(conductors);
        }

        @Override
        public List<Terminal> terminals() {
            return List.of(from, to);
        }
    }

    /** A way through with fewer ohms than the least that was given for it. */
    record LowResistance(List<String> conductors, Terminal from, Terminal to, Ohms ohm, Ohms limit) implements Finding {
        public LowResistance {
            conductors = List.copyOf(conductors);
        }

        @Override
        public List<Terminal> terminals() {
            return List.of(from, to);
        }
    }

    /** A reading that jumped. */
    record Intermittent(List<String> conductors, Terminal from, Terminal to) implements Finding {
        public Intermittent {
            conductors = List.copyOf(conductors);
        }

        @Override
        public List<Terminal> terminals() {
            return List.of(from, to);
        }
    }

    /** Two points that should be apart have a finite resistance that is no short. */
    record Leak(List<String> conductors, Terminal from, Terminal to, Ohms ohm) implements Finding {
        public Leak {
            conductors = List.copyOf(conductors);
        }

        @Override
        public List<Terminal> terminals() {
            return List.of(from, to);
        }
    }

    /**
     * Pieces that should be apart are one point.
     *
     * @param pieces how each is called: "W2", "the J1 side of W4", "the empty cavity J2.6"
     */
    record Shorted(List<String> conductors, List<Terminal> terminals, List<String> pieces) implements Finding {
        public Shorted {
            conductors = List.copyOf(conductors);
            terminals = List.copyOf(terminals);
            pieces = List.copyOf(pieces);
        }
    }

    /** Pieces that should be clear of the frame are joined to it. */
    record FrameShort(List<String> conductors, List<Terminal> terminals, List<String> pieces) implements Finding {
        public FrameShort {
            conductors = List.copyOf(conductors);
            terminals = List.copyOf(terminals);
            pieces = List.copyOf(pieces);
        }
    }

    /**
     * A way to a cavity that should be empty, where no wire can have moved to it.
     *
     * @param conductors the one that it leads from; none between empty cavities
     */
    record Extra(List<String> conductors, List<Terminal> terminals, List<String> pieces) implements Finding {
        public Extra {
            conductors = List.copyOf(conductors);
            terminals = List.copyOf(terminals);
            pieces = List.copyOf(pieces);
        }
    }

    /** Insulation below its limit at a test voltage, in volts DC. */
    record InsulationLow(List<String> conductors, Terminal from, Terminal to, Ohms ohm, Ohms limit, double testV)
            implements Finding {
        public InsulationLow {
            conductors = List.copyOf(conductors);
        }

        @Override
        public List<Terminal> terminals() {
            return List.of(from, to);
        }
    }

    /** Insulation that did not withstand its test voltage, in volts. */
    record Withstand(List<String> conductors, Terminal from, Terminal to, double testV, String reason)
            implements Finding {
        public Withstand {
            conductors = List.copyOf(conductors);
        }

        @Override
        public List<Terminal> terminals() {
            return List.of(from, to);
        }
    }

    /** A contact that read open as it was found and joined when it was touched again: dirt, oxide or paint. */
    record ContactSurface(List<String> conductors, Terminal from, Terminal to) implements Finding {
        public ContactSurface {
            conductors = List.copyOf(conductors);
        }

        @Override
        public List<Terminal> terminals() {
            return List.of(from, to);
        }
    }

    /**
     * Conductors whose far ends have changed places among themselves.
     *
     * @param terminals where the far end of each conductor now is, in the order of the conductors
     */
    record Crossed(List<String> conductors, List<Terminal> terminals) implements Finding {
        public Crossed {
            conductors = List.copyOf(conductors);
            terminals = List.copyOf(terminals);
        }
    }

    /** A conductor whose far end is in the wrong cavity, without another in exchange. */
    record Misplaced(String conductor, Terminal designed, Terminal cavity) implements Finding {
        @Override
        public List<String> conductors() {
            return List.of(conductor);
        }

        @Override
        public List<Terminal> terminals() {
            return List.of(cavity);
        }
    }

    /** A connector whose positions are reversed: the first used with the last, and so on. */
    record Mirrored(List<String> conductors, List<Terminal> terminals) implements Finding {
        public Mirrored {
            conductors = List.copyOf(conductors);
            terminals = List.copyOf(terminals);
        }
    }

    /**
     * A connector whose wires all sit the same number of cavities beside their own.
     *
     * @param by cavities towards the end of the face, negative towards its beginning
     */
    record Shifted(List<String> conductors, List<Terminal> terminals, int by) implements Finding {
        public Shifted {
            conductors = List.copyOf(conductors);
            terminals = List.copyOf(terminals);
        }
    }

    /** What can be wrong with a component. */
    enum PartFault {
        OPEN("component_open", "is open"),
        SHORT("component_short", "is bypassed"),
        VALUE("component_value", "has a wrong value"),
        STATE("component_state", "is not in the state in which it should be");

        private final String code;
        private final String words;

        PartFault(String code, String words) {
            this.code = code;
            this.words = words;
        }

        String code() {
            return code;
        }

        String words() {
            return words;
        }
    }

    /** A component that does not read as it should. */
    record PartAtFault(PartFault fault, String component, Terminal a, Terminal b, String reason) implements Finding {
        @Override
        public List<String> conductors() {
            return List.of();
        }

        @Override
        public List<Terminal> terminals() {
            return List.of(a, b);
        }
    }

    /** What would be mended: the conductors, or the component. */
    default List<String> named() {
        return this instanceof PartAtFault part ? List.of(part.component()) : conductors();
    }

    /** The resistance that was read where the finding is, if it is one of a figure. */
    default Optional<Ohms> ohms() {
        if (this instanceof HighResistance high) {
            return Optional.of(high.ohm());
        } else if (this instanceof LowResistance low) {
            return Optional.of(low.ohm());
        } else if (this instanceof InsulationLow low) {
            return Optional.of(low.ohm());
        }
        return this instanceof Leak leak ? Optional.of(leak.ohm()) : Optional.empty();
    }

    /** Whether its terminals are where the far ends of its conductors now are. */
    default boolean moves() {
        return this instanceof Crossed
                || this instanceof Misplaced
                || this instanceof Mirrored
                || this instanceof Shifted;
    }

    /** Whether it follows from where ways through are missing, so that another fault may explain partial evidence too. */
    default boolean isInferred() {
        return this instanceof Open || moves();
    }

    /** One answer for each kind. */
    interface Cases<T> {
        T open(Open open);

        T highResistance(HighResistance high);

        T lowResistance(LowResistance low);

        T intermittent(Intermittent intermittent);

        T leak(Leak leak);

        T shorted(Shorted shorted);

        T frameShort(FrameShort frameShort);

        T crossed(Crossed crossed);

        T misplaced(Misplaced misplaced);

        T mirrored(Mirrored mirrored);

        T shifted(Shifted shifted);

        T partAtFault(PartAtFault part);

        T extra(Extra extra);

        T insulationLow(InsulationLow low);

        T withstand(Withstand withstand);

        T contactSurface(ContactSurface surface);
    }

    /** Chooses the answer for this kind. */
    default <T> T fold(Cases<T> cases) {
        if (this instanceof Open open) {
            return cases.open(open);
        } else if (this instanceof HighResistance high) {
            return cases.highResistance(high);
        } else if (this instanceof LowResistance low) {
            return cases.lowResistance(low);
        } else if (this instanceof Intermittent intermittent) {
            return cases.intermittent(intermittent);
        } else if (this instanceof Leak leak) {
            return cases.leak(leak);
        } else if (this instanceof Shorted shorted) {
            return cases.shorted(shorted);
        } else if (this instanceof FrameShort frameShort) {
            return cases.frameShort(frameShort);
        } else if (this instanceof Crossed crossed) {
            return cases.crossed(crossed);
        } else if (this instanceof Misplaced misplaced) {
            return cases.misplaced(misplaced);
        } else if (this instanceof Mirrored mirrored) {
            return cases.mirrored(mirrored);
        } else if (this instanceof Shifted shifted) {
            return cases.shifted(shifted);
        } else if (this instanceof Extra extra) {
            return cases.extra(extra);
        } else if (this instanceof InsulationLow low) {
            return cases.insulationLow(low);
        } else if (this instanceof Withstand withstand) {
            return cases.withstand(withstand);
        } else if (this instanceof ContactSurface surface) {
            return cases.contactSurface(surface);
        } else {
            return cases.partAtFault((PartAtFault) this);
        }
    }

    /** The kind as written in files: {@code open}, {@code frame_short}. */
    default String kind() {
        return fold(Told.KIND);
    }

    /** The finding in one sentence. */
    default String text() {
        return fold(Told.SENTENCE);
    }
}
