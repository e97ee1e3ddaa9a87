/**
 * The design: what the wiring should be. Connectors, terminals, joints, conductors, and the formats in which they come.
 *
 * <p>Doors: {@link zestymarten.core.assembly.Assembly}, {@link zestymarten.core.assembly.WireList} for lists pasted or read
 * from a file, {@link zestymarten.core.assembly.AssemblyJson} for the open format.
 */
@NullMarked
@Uses({"quantity"})
package zestymarten.core.assembly;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
