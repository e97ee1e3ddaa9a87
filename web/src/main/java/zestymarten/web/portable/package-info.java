/**
 * Test day: a batch of leads by tag, one loop each, and leads coupled in a row.
 */
@NullMarked
@Uses({"assembly", "drawing", "meter", "platform", "unit", "worksheet"})
package zestymarten.web.portable;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
