/**
 * The desk of a bundle of alike cores: methods compared, guided at both places, labels, and the wiring it becomes.
 *
 * <p>Uses {@code desk}, {@code wiring}, {@code platform}.
 */
@NullMarked
package zestymarten.web.coreid;

import org.jspecify.annotations.NullMarked;
