/**
 * One test of one unit as it stands: the entries so far, the step that is due, what was judged and found.
 *
 * <p>Door: {@link zestymarten.core.job.Job}. Uses every other room and is used by none of them. Storage and pages hand
 * it the entries and ask; it keeps nothing and decides everything.
 */
@NullMarked
package zestymarten.core.job;

import org.jspecify.annotations.NullMarked;
