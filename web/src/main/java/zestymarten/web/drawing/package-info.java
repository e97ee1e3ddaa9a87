/**
 * Geometry of faces, strands, bands and measurement fields as plain numbers and paths; templates only print it.
 */
@NullMarked
@Uses({"platform"})
package zestymarten.web.drawing;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
