/**
 * The HTTP interface under /api/v1: translates between the open formats and the rooms.
 */
@NullMarked
@Uses({"assembly", "platform", "testrun", "unit"})
package zestymarten.web.api;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
