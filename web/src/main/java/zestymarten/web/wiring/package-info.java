/**
 * Wirings and their immutable revisions: taken in from a paste, a file or the quick form, shown, given out.
 *
 * <p>Door: {@link zestymarten.web.wiring.Wirings}.
 */
@NullMarked
package zestymarten.web.wiring;

import org.jspecify.annotations.NullMarked;
