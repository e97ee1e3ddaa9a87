/**
 * Insulation: its limits, its ratios over time, what temperature and charging current make of it.
 *
 * <p>Doors: {@link zestymarten.core.insulation.InsulationRules}, {@link zestymarten.core.insulation.Absorption}.
 */
@NullMarked
@Uses({"judgement", "limit", "quantity"})
package zestymarten.core.insulation;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
