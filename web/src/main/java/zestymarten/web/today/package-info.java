/**
 * The first page: what to do next.
 */
@NullMarked
package zestymarten.web.today;

import org.jspecify.annotations.NullMarked;
