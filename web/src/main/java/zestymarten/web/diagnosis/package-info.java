/**
 * What is wrong: findings in sentences and on the drawing.
 */
@NullMarked
package zestymarten.web.diagnosis;

import org.jspecify.annotations.NullMarked;
