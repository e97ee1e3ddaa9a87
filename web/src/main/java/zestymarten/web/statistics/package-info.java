/**
 * What the tests of an assembly come to: how many units pass at their first test, which faults there were and where, how long
 * a test takes. Reads the records of ended tests as they were kept; keeps nothing itself.
 */
@NullMarked
@Uses({"assembly", "platform"})
package zestymarten.web.statistics;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
