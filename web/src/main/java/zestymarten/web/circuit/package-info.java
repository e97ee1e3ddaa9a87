/**
 * The desk of one building circuit: drawn, tested dead in order, compared point by point, and what the pattern means.
 */
@NullMarked
@Uses({"drawing", "platform", "worksheet"})
package zestymarten.web.circuit;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
