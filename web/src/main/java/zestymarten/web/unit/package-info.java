/**
 * Units: the physical pieces, their state and their history.
 *
 * <p>Door: {@link zestymarten.web.unit.Units}.
 */
@NullMarked
package zestymarten.web.unit;

import org.jspecify.annotations.NullMarked;
