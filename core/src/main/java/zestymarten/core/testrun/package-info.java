/**
 * One test of one unit as it stands: the entries so far, the step that is due, what was judged and found, put right and is
 * still out; what a way of testing costs; what happens to the unit afterwards.
 *
 * <p>Doors: {@link zestymarten.core.testrun.TestRun}, {@link zestymarten.core.testrun.Entry}, {@link zestymarten.core.testrun.PlanEstimate},
 * {@link zestymarten.core.testrun.RepairRules}, {@link zestymarten.core.testrun.Decision}. Uses every other room and is used by none of them. Storage and pages hand
 * it the entries and ask; it keeps nothing and decides everything.
 */
@NullMarked
package zestymarten.core.testrun;

import org.jspecify.annotations.NullMarked;
