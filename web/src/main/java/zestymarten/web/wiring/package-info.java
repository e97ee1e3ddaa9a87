/**
 * Wirings and their immutable revisions: taken in from a paste, a file or the quick form, shown, given out.
 *
 * <p>Doors: {@link zestymarten.web.wiring.Wirings}, {@link zestymarten.web.wiring.WireSheet}.
 */
@NullMarked
package zestymarten.web.wiring;

import org.jspecify.annotations.NullMarked;
