/**
 * The desk of a bundle of alike cores: methods compared, guided at both places, labels, and the wiring it becomes.
 */
@NullMarked
@Uses({"assembly", "platform", "worksheet"})
package zestymarten.web.coreid;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
