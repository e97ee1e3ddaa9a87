/**
 * Where a fault is on one wire: distances typed in as they were read, drawn on the wire with their intervals.
 *
 * <p>No door.
 */
@NullMarked
@Uses({"drawing", "platform", "testrun"})
package zestymarten.web.locate;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
