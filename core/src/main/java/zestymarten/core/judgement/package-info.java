/**
 * A reading against what is expected: judgement with its reason, and the doubts to raise before it is kept.
 *
 * <p>Doors: {@link zestymarten.core.judgement.ResistanceJudge}, {@link zestymarten.core.judgement.Judgement}, {@link
 * zestymarten.core.judgement.Expectation}.
 */
@NullMarked
@Uses({"limit", "meter", "quantity"})
package zestymarten.core.judgement;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
