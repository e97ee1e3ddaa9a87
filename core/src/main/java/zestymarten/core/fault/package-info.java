/**
 * Faults of the wiring, the unit that has them, and what a meter shows on it: the design's own network, changed.
 *
 * <p>Doors: {@link zestymarten.core.fault.SeededFault}, {@link zestymarten.core.fault.FaultyUnit} for what is exactly there,
 * {@link zestymarten.core.fault.Probe} for what a meter with leads makes of it. Chance is passed in.
 */
@NullMarked
@Uses({"analysis", "assembly", "limit", "meter", "network", "quantity"})
package zestymarten.core.fault;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
