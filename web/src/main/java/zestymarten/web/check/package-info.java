/**
 * One thing checked by itself: no assembly, no unit, no test.
 *
 * <p>Uses core {@code check}, and {@code desk}, {@code meter}, {@code platform}. Its words are in {@code
 * messages/check.properties}.
 */
@NullMarked
package zestymarten.web.check;

import org.jspecify.annotations.NullMarked;
