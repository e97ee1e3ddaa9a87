/**
 * Units: the physical pieces, their state and their history.
 *
 * <p>Doors: {@link zestymarten.web.unit.Units}, {@link zestymarten.web.unit.DueDate}.
 */
@NullMarked
package zestymarten.web.unit;

import org.jspecify.annotations.NullMarked;
