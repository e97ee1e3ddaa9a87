/**
 * The electrical network of an assembly: effective resistance between any two terminals with exact bounds, and nets.
 *
 * <p>Doors: {@link zestymarten.core.network.Network}, {@link zestymarten.core.network.Nets}, {@link
 * zestymarten.core.network.Path}. Knows nothing of limits or readings.
 */
@NullMarked
@Uses({"assembly", "quantity"})
package zestymarten.core.network;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
