/**
 * The instruments on the bench: a multimeter, an insulation and withstand tester and a scanning switch, each with the errors,
 * ranges and manners of a real one, and its commands as SCPI-99 style text.
 *
 * <p>Doors: {@link zestymarten.bench.instrument.Multimeter}, {@link zestymarten.bench.instrument.InsulationTester},
 * {@link zestymarten.bench.instrument.Scanner}. Uses {@code unit} and {@code scpi}, and the core's meter profile.
 */
@NullMarked
package zestymarten.bench.instrument;

import org.jspecify.annotations.NullMarked;
