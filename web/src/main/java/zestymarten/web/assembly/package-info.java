/**
 * Assemblies and their immutable revisions: taken in from a paste, a file or the quick form, shown, given out.
 *
 * <p>Doors: {@link zestymarten.web.assembly.Assemblies}, {@link zestymarten.web.assembly.WireSheet}.
 */
@NullMarked
@Uses({"drawing", "platform", "unit"})
package zestymarten.web.assembly;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
