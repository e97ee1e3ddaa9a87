/**
 * Sorting identical unmarked cores between two places: methods compared, guided and understood, broken and shorted cores
 * included; and which of several alike cores leads through a part.
 *
 * <p>Door: {@link zestymarten.core.bundle.Method}, {@link zestymarten.core.bundle.Scheme}, {@link
 * zestymarten.core.bundle.Groups}, {@link zestymarten.core.bundle.Matched}, {@link zestymarten.core.bundle.PairChain}, {@link
 * zestymarten.core.bundle.Tags}, {@link zestymarten.core.bundle.Through}. Uses {@code quantity}, {@code assembly}, {@code
 * network}. Cores are numbered from 1 at each end, each end by itself.
 */
@NullMarked
package zestymarten.core.bundle;

import org.jspecify.annotations.NullMarked;
