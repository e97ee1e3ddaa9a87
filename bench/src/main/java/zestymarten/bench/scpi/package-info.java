/**
 * SCPI-99 style text: how a line is taken apart, how commands are found by their long and short forms, the queue of errors,
 * and a server that speaks it over TCP. Knows no instrument.
 *
 * <p>Doors: {@link zestymarten.bench.scpi.Commands}, {@link zestymarten.bench.scpi.ScpiServer}. Uses nothing of ours.
 */
@NullMarked
package zestymarten.bench.scpi;

import org.jspecify.annotations.NullMarked;
