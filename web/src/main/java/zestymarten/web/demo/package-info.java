/**
 * The made-up workshop that a demonstration starts with: its accounts, assemblies, units and runs.
 *
 * <p>No door: it fills an empty database through the doors of the other rooms and is used by none.
 */
@NullMarked
@Uses({"assembly", "meter", "people", "platform", "simulator", "testrun", "unit", "worksheet"})
package zestymarten.web.demo;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
