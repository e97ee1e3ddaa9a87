/**
 * What a conductor of metal, section and length does: the section its resistance implies, the current of a dead short, heat.
 *
 * <p>Doors: {@link zestymarten.core.conductor.Feeder}, {@link zestymarten.core.conductor.DeadShort}, {@link
 * zestymarten.core.conductor.Protection}, {@link zestymarten.core.conductor.FeederWire}.
 */
@NullMarked
@Uses({"assembly", "limit", "quantity"})
package zestymarten.core.conductor;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
