/** Search over everything that has a page of its own: assemblies, units, records, meters. */
@NullMarked
package zestymarten.web.search;

import org.jspecify.annotations.NullMarked;
