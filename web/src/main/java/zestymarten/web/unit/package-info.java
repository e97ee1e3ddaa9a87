/**
 * Units: the physical pieces, their state and their history.
 *
 * <p>Doors: {@link zestymarten.web.unit.Units}, {@link zestymarten.web.unit.DueDate}.
 */
@NullMarked
@Uses({"platform"})
package zestymarten.web.unit;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
