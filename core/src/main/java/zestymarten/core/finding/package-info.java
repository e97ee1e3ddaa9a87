/**
 * What is wrong, named in the terms of the wiring, from which terminals were seen to be joined.
 *
 * <p>Doors: {@link zestymarten.core.finding.FaultClassifier}, {@link zestymarten.core.finding.Finding}, {@link
 * zestymarten.core.finding.Partition}, {@link zestymarten.core.finding.Priors}.
 */
@NullMarked
@Uses({"assembly", "limit", "network", "quantity"})
package zestymarten.core.finding;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
