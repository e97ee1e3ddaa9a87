/**
 * What is wrong: findings in sentences and on the drawing.
 */
@NullMarked
package zestymarten.web.wrong;

import org.jspecify.annotations.NullMarked;
