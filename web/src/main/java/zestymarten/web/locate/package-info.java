/**
 * Where a fault is on one wire: distances typed in as they were read, drawn on the wire with their intervals.
 *
 * <p>No door. Uses {@code run} for the wire and its unit, and {@code drawing}.
 */
@NullMarked
package zestymarten.web.locate;

import org.jspecify.annotations.NullMarked;
