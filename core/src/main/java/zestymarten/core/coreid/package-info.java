/**
 * Sorting identical unmarked cores between two places: methods compared, guided and understood, broken and shorted cores
 * included; and which of several alike cores leads through a part.
 *
 * <p>Door: {@link zestymarten.core.coreid.IdentificationMethod}, {@link zestymarten.core.coreid.GroupScheme}, {@link
 * zestymarten.core.coreid.GroupCodes}, {@link zestymarten.core.coreid.CoreMatching}, {@link
 * zestymarten.core.coreid.PairChain}, {@link zestymarten.core.coreid.Tags}, {@link
 * zestymarten.core.coreid.ContinuityMatching}. Cores are numbered from 1 at each end, each end by itself.
 */
@NullMarked
@Uses({"assembly", "network", "quantity"})
package zestymarten.core.coreid;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
