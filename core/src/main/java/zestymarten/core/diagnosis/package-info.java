/**
 * What is probably wrong while the evidence is partial, and the next touch that would tell most for its time.
 *
 * <p>Doors: {@link zestymarten.core.diagnosis.Diagnosis}, {@link zestymarten.core.diagnosis.NextTouch},
 * {@link zestymarten.core.finding.Priors}, {@link zestymarten.core.finding.Complaint}. Uses {@code fault} and all
 * rooms above; keeps nothing.
 */
@NullMarked
package zestymarten.core.diagnosis;

import org.jspecify.annotations.NullMarked;
