/**
 * The desk of one building circuit: drawn, tested dead in order, compared point by point, and what the pattern means.
 *
 * <p>Uses {@code drawing}, {@code desk}, {@code platform}.
 */
@NullMarked
package zestymarten.web.circuit;

import org.jspecify.annotations.NullMarked;
