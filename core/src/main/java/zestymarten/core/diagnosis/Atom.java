package zestymarten.core.diagnosis;

import java.util.List;
import org.jspecify.annotations.Nullable;
import zestymarten.core.fault.Fault;

/**
 * One fault that a unit may have. Equality is that of the number: atoms are only compared within one diagnosis, and often.
 *
 * @param number its place among all of them
 * @param nets numbers of the nets and cavities that it names, see {@link Places}
 * @param names the conductors or the part that would be mended
 * @param odds expected number of this fault before anything was read
 * @param shape what its figure looks like where a reading goes through it
 */
record Atom(int number, Fault fault, List<Integer> nets, List<String> names, double odds, Shape shape) {
    Atom {
        nets = List.copyOf(nets);
        names = List.copyOf(names);
    }

    /** What is known of the ohms that a fault makes. */
    enum Shape {
        /** They follow from the wiring. */
        EXACT,
        /** Anything from the limit up. */
        WIDE,
        /** Now there, now not. */
        JUMPY
    }

    @Override
    public boolean equals(@Nullable Object other) {
        return other instanceof Atom atom && atom.number == number;
    }

    @Override
    public int hashCode() {
        return number;
    }

    boolean isApartFrom(Atom other) {
        return nets.stream().noneMatch(other.nets::contains);
    }
}
