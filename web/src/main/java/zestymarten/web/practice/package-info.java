/**
 * The practice room: units with hidden faults, probed freely, scored and replayed. What is done in a session is stored, and
 * everything else follows from it by {@code bench.practice}.
 */
@NullMarked
@Uses({"assembly", "drawing", "platform"})
package zestymarten.web.practice;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
