/**
 * Finding where a fault is: distances from readings at the ends, each with its interval and what it assumes, and which point
 * of a chain to probe next.
 *
 * <p>Doors: {@link zestymarten.core.locate.Distance}, {@link zestymarten.core.locate.Distances}, {@link
 * zestymarten.core.locate.Chain}.
 */
@NullMarked
@Uses({"analysis", "assembly", "judgement", "limit", "quantity"})
package zestymarten.core.locate;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
