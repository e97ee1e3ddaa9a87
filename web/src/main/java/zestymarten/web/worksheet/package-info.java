/**
 * What was calculated at a desk and is to be kept: its form as typed and what it said, with a unit where it belongs to one.
 *
 * <p>Doors: {@link zestymarten.web.worksheet.Worksheets}, {@link zestymarten.web.worksheet.Worksheet}, {@link
 * zestymarten.web.worksheet.SavedSheet}.
 */
@NullMarked
@Uses({"platform", "unit"})
package zestymarten.web.worksheet;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
