/**
 * What to touch, in which order: the steps of a run with both ends on the bench.
 *
 * <p>Doors: {@link zestymarten.core.plan.Plan}, {@link zestymarten.core.plan.Step}. Uses {@code assembly} and
 * {@code network}. A plan grows when a wire is found open; it never depends on a clock or on who works.
 */
@NullMarked
package zestymarten.core.plan;

import org.jspecify.annotations.NullMarked;
