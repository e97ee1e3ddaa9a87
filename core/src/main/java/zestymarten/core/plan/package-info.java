/**
 * What to do and touch, in which order, by which approach; what a method would miss.
 *
 * <p>Doors: {@link zestymarten.core.plan.Plan}, {@link zestymarten.core.plan.Approach},
 * {@link zestymarten.core.plan.Step}, {@link zestymarten.core.plan.Coverage}. Uses {@code assembly} and
 * {@code network}. A plan grows when a wire is found open; it never depends on a clock or on who works.
 */
@NullMarked
package zestymarten.core.plan;

import org.jspecify.annotations.NullMarked;
