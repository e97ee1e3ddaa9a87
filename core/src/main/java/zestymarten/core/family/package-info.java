/**
 * Alike leads of different lengths without a specification: the line they lie on, and the one that does not.
 *
 * <p>Door: {@link zestymarten.core.family.Family}. Uses nothing.
 */
@NullMarked
package zestymarten.core.family;

import org.jspecify.annotations.NullMarked;
