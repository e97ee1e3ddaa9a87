/**
 * The meter: its profile, what its leads add, and how sure a corrected reading is.
 *
 * <p>Doors: {@link zestymarten.core.meter.MeterProfile}, {@link zestymarten.core.meter.LeadPolicy}, {@link
 * zestymarten.core.meter.TestConditions}.
 */
@NullMarked
@Uses({"quantity"})
package zestymarten.core.meter;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
