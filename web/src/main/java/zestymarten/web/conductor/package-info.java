/**
 * The desk of one conductor: is it what it says it is, and would anything cut off a dead short at its end. Nothing is kept;
 * what was typed stands in the address.
 */
@NullMarked
@Uses({"drawing", "platform", "worksheet"})
package zestymarten.web.conductor;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
