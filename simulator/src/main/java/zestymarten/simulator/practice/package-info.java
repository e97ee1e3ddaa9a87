/**
 * The practice room without its pages: units with hidden flaws, what a trainee may do to them, what that shows, and what it
 * was worth.
 *
 * <p>Doors: {@link zestymarten.simulator.practice.Exercises} and {@link zestymarten.simulator.practice.Exercise}, {@link
 * zestymarten.simulator.practice.PracticeAction} for what is typed, {@link zestymarten.simulator.practice.Session} for what came of it,
 * {@link zestymarten.simulator.practice.Replay}. Chance comes from the exercise's seed alone, so that a session replayed shows
 * the same.
 */
@NullMarked
@Uses({"unit"})
package zestymarten.simulator.practice;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
