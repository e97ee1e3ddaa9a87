/**
 * Programs of a scanning switch: which points are connected before each measurement, what it may read, what it never tests.
 *
 * <p>Doors: {@link zestymarten.core.scan.ScanProgram}, made from the measurements of a run or read from a file; {@link
 * zestymarten.core.scan.ProgramReview}, what is wrong with it and what it misses; {@link zestymarten.core.scan.Points}, which
 * point is wired to which terminal. Knows no instrument.
 */
@NullMarked
@Uses({"analysis", "assembly", "judgement", "limit", "meter", "network", "quantity", "testplan", "testrun"})
package zestymarten.core.scan;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
