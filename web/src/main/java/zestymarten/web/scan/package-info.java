/**
 * A run on a scanning switch: the program of what is still to do, what it misses, a zero for every point, and its readings taken
 * into the run. Programs are kept as files by whoever uses them.
 *
 * <p>Uses {@code run} for the run and what is entered in it, {@code meter} to talk to the instrument, {@code drawing}.
 */
@NullMarked
package zestymarten.web.scan;

import org.jspecify.annotations.NullMarked;
