/**
 * What is wrong, named in the terms of the wiring, from which terminals were seen to be joined.
 *
 * <p>Doors: {@link zestymarten.core.finding.FaultClassifier}, {@link zestymarten.core.finding.Finding},
 * {@link zestymarten.core.finding.Partition}, {@link zestymarten.core.finding.Priors}. Uses {@code assembly} and {@code network}.
 */
@NullMarked
package zestymarten.core.finding;

import org.jspecify.annotations.NullMarked;
