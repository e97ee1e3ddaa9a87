/**
 * Alike leads of different lengths without a specification: the line they lie on, and the one that does not.
 *
 * <p>Doors: {@link zestymarten.core.comparison.LeadComparison}, {@link zestymarten.core.comparison.LeadList}, {@link
 * zestymarten.core.comparison.LeadLine}.
 */
@NullMarked
@Uses({"quantity"})
package zestymarten.core.comparison;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
