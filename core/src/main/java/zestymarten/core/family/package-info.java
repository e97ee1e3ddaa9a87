/**
 * Alike leads of different lengths without a specification: the line they lie on, and the one that does not.
 *
 * <p>Doors: {@link zestymarten.core.family.Alike}, {@link zestymarten.core.family.LeadList}, {@link
 * zestymarten.core.family.Family}. Uses {@code quantity}.
 */
@NullMarked
package zestymarten.core.family;

import org.jspecify.annotations.NullMarked;
