/**
 * The desk of alike leads without a specification: which of them is odd. Nothing is kept.
 */
@NullMarked
@Uses({"drawing", "platform", "worksheet"})
package zestymarten.web.comparison;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
