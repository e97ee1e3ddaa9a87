/**
 * What a conductor of metal, section and length does: the section its ohms imply, the current of a dead short, heat.
 *
 * <p>Door: {@link zestymarten.core.conductor.Wire}, {@link zestymarten.core.conductor.Breaker}. Uses {@code quantity} and
 * {@code assembly}.
 */
@NullMarked
package zestymarten.core.conductor;

import org.jspecify.annotations.NullMarked;
