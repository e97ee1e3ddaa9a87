/**
 * What to do and measure, in which order, by which approach; what a method would miss.
 *
 * <p>Doors: {@link zestymarten.core.testplan.TestPlan}, {@link zestymarten.core.testplan.TestOptions}, {@link
 * zestymarten.core.testplan.TestStep}, {@link zestymarten.core.testplan.CoverageAnalysis}. A plan grows when a wire is found
 * open; it never depends on a clock or on who works.
 */
@NullMarked
@Uses({"assembly", "judgement", "limit", "network", "quantity"})
package zestymarten.core.testplan;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
