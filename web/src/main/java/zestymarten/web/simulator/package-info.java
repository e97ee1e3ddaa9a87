/**
 * The simulated bench: stand-ins for a multimeter and an insulation tester, and the units of the demo workshop with what is
 * wrong with them. Only there with the demo data; real instruments take their place by their address.
 *
 * <p>Door: {@link zestymarten.web.simulator.Shelf}.
 */
@NullMarked
@Uses({"assembly", "meter", "platform", "testrun"})
package zestymarten.web.simulator;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
