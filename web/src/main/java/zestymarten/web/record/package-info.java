/**
 * Records: the certificate as a page, as PDF and as CSV; the list of past runs.
 */
@NullMarked
@Uses({"assembly", "drawing", "platform", "testrun", "unit", "worksheet"})
package zestymarten.web.record;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
