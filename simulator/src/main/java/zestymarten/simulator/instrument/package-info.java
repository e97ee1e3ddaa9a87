/**
 * The instruments on the bench: a multimeter, an insulation and withstand tester and a scanning switch, each with the errors,
 * ranges and manners of a real one, and its commands as SCPI-99 style text.
 *
 * <p>Doors: {@link zestymarten.simulator.instrument.Multimeter}, {@link zestymarten.simulator.instrument.InsulationTester},
 * {@link zestymarten.simulator.instrument.Scanner}.
 */
@NullMarked
@Uses({"scpi", "unit"})
package zestymarten.simulator.instrument;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
