/**
 * The instruments on the bench: a multimeter and an insulation and withstand tester, each with the errors, ranges and manners
 * of a real one, and the commands of both as SCPI-99 style text.
 *
 * <p>Doors: {@link zestymarten.bench.instrument.Multimeter}, {@link zestymarten.bench.instrument.InsulationTester}. Uses
 * {@code unit} and {@code scpi}, and the core's meter profile.
 */
@NullMarked
package zestymarten.bench.instrument;

import org.jspecify.annotations.NullMarked;
