/**
 * One thing checked by itself, without an assembly: what to measure, what is expected, what the readings say.
 *
 * <p>Doors: {@link zestymarten.core.check.CheckedItem} and its kinds, {@link zestymarten.core.check.Check}. No prose:
 * questions and conclusions are codes with arguments.
 */
@NullMarked
@Uses({"assembly", "judgement", "limit", "meter", "quantity"})
package zestymarten.core.check;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
