/**
 * What was reckoned at a desk and is to be kept: its form as typed and what it said, with a unit where it belongs to one.
 *
 * <p>Doors: {@link zestymarten.web.desk.DeskSheets}, {@link zestymarten.web.desk.Reckons}, {@link
 * zestymarten.web.desk.Kept}. Uses {@code unit}, {@code platform}.
 */
@NullMarked
package zestymarten.web.desk;

import org.jspecify.annotations.NullMarked;
