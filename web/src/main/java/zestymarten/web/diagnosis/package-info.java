/**
 * What is wrong: findings in sentences and on the drawing.
 */
@NullMarked
@Uses({"drawing", "platform", "testrun"})
package zestymarten.web.diagnosis;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
