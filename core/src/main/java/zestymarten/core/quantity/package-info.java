/**
 * Quantities with their units, how they are printed, and the language in which a technician types what a meter shows.
 *
 * <p>In here: {@link zestymarten.core.quantity.Ohms} and its like, {@link zestymarten.core.quantity.Problem}, and the door to
 * reading text, {@link zestymarten.core.quantity.ReadingParser} with its results {@link
 * zestymarten.core.quantity.MeterReading}. Not in here: what a reading means for a wire; see {@code judgement}.
 */
@NullMarked
@Uses({})
package zestymarten.core.quantity;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
