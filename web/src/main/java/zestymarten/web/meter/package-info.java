/**
 * The workshop's meters: their ranges and accuracy, their calibration, and what their leads added over time.
 *
 * <p>Doors: {@link zestymarten.web.meter.Meters}, {@link zestymarten.web.meter.MeterRow}, {@link
 * zestymarten.web.meter.Instruments}.
 */
@NullMarked
@Uses({"drawing", "platform"})
package zestymarten.web.meter;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
