/**
 * What a good conductor may read: limits with the rule, the inputs and the source that led to them.
 *
 * <p>Doors: {@link zestymarten.core.limit.LimitRules}, {@link zestymarten.core.limit.Limit}. Tables stand beside the classes
 * as resources, each with its source.
 */
@NullMarked
@Uses({"assembly", "network", "quantity"})
package zestymarten.core.limit;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
