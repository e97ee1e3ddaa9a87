/**
 * The practice room without its pages: units with hidden flaws, what a trainee may do to them, what that shows, and what it was
 * worth.
 *
 * <p>Doors: {@link zestymarten.bench.practice.Exercises} and {@link zestymarten.bench.practice.Exercise}, {@link
 * zestymarten.bench.practice.Act} for what is typed, {@link zestymarten.bench.practice.Session} for what came of it, {@link
 * zestymarten.bench.practice.Replay}. Uses {@code unit} for the physics and the core for the diagnosis. Chance comes from the
 * exercise's seed alone, so that a session replayed shows the same.
 */
@NullMarked
package zestymarten.bench.practice;

import org.jspecify.annotations.NullMarked;
