/**
 * Search over everything that has a page of its own: assemblies, units, records, meters.
 */
@NullMarked
@Uses({"assembly", "meter", "platform", "testrun", "unit"})
package zestymarten.web.search;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
