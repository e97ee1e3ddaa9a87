/**
 * Geometry of faces, strands, bands and touch fields as plain numbers and paths; templates only print it.
 *
 * <p>Uses the core and nothing of the web.
 */
@NullMarked
package zestymarten.web.drawing;

import org.jspecify.annotations.NullMarked;
