/**
 * SCPI-99 style text: how a line is taken apart, how commands are found by their long and short forms, the queue of errors,
 * and a server that speaks it over TCP. Knows no instrument.
 *
 * <p>Doors: {@link zestymarten.simulator.scpi.Commands}, {@link zestymarten.simulator.scpi.ScpiServer}.
 */
@NullMarked
@Uses({})
package zestymarten.simulator.scpi;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
