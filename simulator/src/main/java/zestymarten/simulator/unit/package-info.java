/**
 * The unit on the bench: the core's network with faults in it, and what no network shows: contacts that drift or are oxidised,
 * cores that come apart when they are bent, insulation that takes its charge, is wet or breaks down.
 *
 * <p>Doors: {@link zestymarten.simulator.unit.Workbench}, {@link zestymarten.simulator.unit.Flaw}.
 */
@NullMarked
@Uses({})
package zestymarten.simulator.unit;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
