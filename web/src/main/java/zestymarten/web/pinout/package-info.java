/**
 * Reading an unknown wiring off a good unit, measurement by measurement, until it becomes an assembly of its own.
 *
 * <p>No door: nothing else uses it.
 */
@NullMarked
@Uses({"assembly", "platform"})
package zestymarten.web.pinout;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
