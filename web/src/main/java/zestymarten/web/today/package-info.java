/**
 * The first page: what to do next.
 */
@NullMarked
@Uses({"assembly", "testrun", "unit"})
package zestymarten.web.today;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
