/**
 * Final circuits of a building, radial and ring: what dead tests should read, what a pattern of readings means, and whether a
 * fault at the end would be cut off.
 *
 * <p>Door: {@link zestymarten.core.circuit.Circuit}, {@link zestymarten.core.circuit.Spot}, {@link
 * zestymarten.core.circuit.RecognisedPattern}, {@link zestymarten.core.circuit.EarthFault}, {@link
 * zestymarten.core.circuit.CircuitReport}. There is no formula of a ring in here: every figure is an effective resistance of the
 * network.
 */
@NullMarked
@Uses({"assembly", "conductor", "limit", "network", "quantity"})
package zestymarten.core.circuit;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
