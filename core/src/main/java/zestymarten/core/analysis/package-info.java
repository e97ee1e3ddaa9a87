/**
 * What readings say about a unit, whoever took them and in whatever order: expected values, judgements, faults, gaps.
 *
 * <p>Doors: {@link zestymarten.core.analysis.Design} for an assembly made ready at one temperature, {@link
 * zestymarten.core.analysis.UnitAnalysis} for findings, what else would explain them and what to measure next, {@link
 * zestymarten.core.analysis.Analysis} for the answer to a call. Keeps nothing.
 */
@NullMarked
@Uses({"assembly", "finding", "judgement", "limit", "meter", "network", "quantity", "testplan"})
package zestymarten.core.analysis;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
