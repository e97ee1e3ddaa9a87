/**
 * A run on a scanning switch: the program of what is still to do, what it misses, a zero for every point, and its readings
 * taken into the run. Programs are kept as files by whoever uses them.
 */
@NullMarked
@Uses({"assembly", "drawing", "meter", "platform", "testrun"})
package zestymarten.web.scan;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
