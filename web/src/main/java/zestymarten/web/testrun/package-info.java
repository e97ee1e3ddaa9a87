/**
 * Runs: the guided test of one unit, entry by entry.
 *
 * <p>Door: {@link zestymarten.web.testrun.TestRuns}.
 */
@NullMarked
@Uses({"assembly", "drawing", "meter", "platform", "unit"})
package zestymarten.web.testrun;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
