/**
 * The desk of alike leads without a specification: which of them is odd. Nothing is kept.
 *
 * <p>Uses {@code drawing}.
 */
@NullMarked
package zestymarten.web.comparison;

import org.jspecify.annotations.NullMarked;
