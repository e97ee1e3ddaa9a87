/**
 * One test of one unit as it stands: the entries so far, the step that is due, what was judged and found, put right and is
 * still out; what a way of testing costs; what happens to the unit afterwards.
 *
 * <p>Doors: {@link zestymarten.core.job.Job}, {@link zestymarten.core.job.Entry}, {@link zestymarten.core.job.Offer},
 * {@link zestymarten.core.job.Fitting}, {@link zestymarten.core.job.Decision}. Uses every other room and is used by none of them. Storage and pages hand
 * it the entries and ask; it keeps nothing and decides everything.
 */
@NullMarked
package zestymarten.core.job;

import org.jspecify.annotations.NullMarked;
