/**
 * Two people on one test: who is on it, and the far end by a link of its own.
 */
@NullMarked
@Uses({"platform", "testrun"})
package zestymarten.web.helper;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
