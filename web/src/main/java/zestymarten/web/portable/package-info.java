/**
 * Test day: a batch of leads by tag, one loop each, and leads coupled in a row.
 *
 * <p>Uses {@code desk}, {@code drawing}, {@code meter}, {@code unit}, {@code wiring}, {@code platform}.
 */
@NullMarked
package zestymarten.web.portable;

import org.jspecify.annotations.NullMarked;
