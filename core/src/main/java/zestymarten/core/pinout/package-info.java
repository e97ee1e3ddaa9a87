/**
 * Which pin leads to which, read off a good unit of which nothing is written down.
 *
 * <p>Door: {@link zestymarten.core.pinout.ReadOff}. Not in here: what is wrong with a unit; a good one is taken for granted.
 */
@NullMarked
@Uses({"assembly", "quantity"})
package zestymarten.core.pinout;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
