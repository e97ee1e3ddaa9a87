/**
 * Two people on one test: who is on it, and the far end by a link of its own.
 *
 * <p>Uses {@code run}, {@code platform}.
 */
@NullMarked
package zestymarten.web.helper;

import org.jspecify.annotations.NullMarked;
