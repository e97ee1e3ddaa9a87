/**
 * Runs: the guided test of one unit, entry by entry.
 *
 * <p>Door: {@link zestymarten.web.run.Runs}.
 */
@NullMarked
package zestymarten.web.run;

import org.jspecify.annotations.NullMarked;
