/**
 * The meter: its profile, what its leads add, and how sure a corrected reading is.
 *
 * <p>Doors: {@link zestymarten.core.meter.MeterProfile}, {@link zestymarten.core.meter.LeadPolicy},
 * {@link zestymarten.core.meter.TestConditions}. Uses {@code quantity}.
 */
@NullMarked
package zestymarten.core.meter;

import org.jspecify.annotations.NullMarked;
