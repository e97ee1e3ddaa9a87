/**
 * What a good conductor may read: limits with the rule, the inputs and the source that led to them.
 *
 * <p>Doors: {@link zestymarten.core.limit.LimitRules}, {@link zestymarten.core.limit.Limit}. Uses {@code quantity},
 * {@code assembly} and {@code network}. Tables stand beside the classes as resources, each with its source.
 */
@NullMarked
package zestymarten.core.limit;

import org.jspecify.annotations.NullMarked;
