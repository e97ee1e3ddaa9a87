package zestymarten.core.circuit;

/**
 * A point that hangs on another by cable of its own.
 *
 * @param from number of the outlet that it leaves, from 1
 */
public record Spur(int from, CableStretch cable) {
    public Spur {
        if (from < 1) {
            throw new IllegalArgumentException("A spur leaves an outlet, counted from 1; read " + from + ".");
        }
    }
}
