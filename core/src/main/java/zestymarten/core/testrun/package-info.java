/**
 * One test of one unit as it stands: the entries so far, the step that is due, what was judged and found, put right and is
 * still out; what a way of testing costs; what happens to the unit afterwards.
 *
 * <p>Doors: {@link zestymarten.core.testrun.TestRun}, {@link zestymarten.core.testrun.Entry}, {@link
 * zestymarten.core.testrun.PlanEstimate}, {@link zestymarten.core.testrun.RepairRules}, {@link
 * zestymarten.core.testrun.Decision}. Storage and pages hand it the entries and ask; it keeps nothing and decides everything.
 */
@NullMarked
@Uses({"analysis", "assembly", "finding", "insulation", "judgement", "limit", "meter", "network", "quantity", "testplan"
})
package zestymarten.core.testrun;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
