/**
 * One thing checked by itself: no assembly, no unit, no test.
 *
 * <p>Its words are in {@code messages/check.properties}.
 */
@NullMarked
@Uses({"meter", "platform", "worksheet"})
package zestymarten.web.check;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
