/**
 * A reading against what is expected: judgement with its reason, and the doubts to raise before it is kept.
 *
 * <p>Doors: {@link zestymarten.core.judge.Judge}, {@link zestymarten.core.judge.Judgement},
 * {@link zestymarten.core.judge.Expectation}. Uses {@code quantity}, {@code limit} and {@code meter}.
 */
@NullMarked
package zestymarten.core.judge;

import org.jspecify.annotations.NullMarked;
