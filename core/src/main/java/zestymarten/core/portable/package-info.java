/**
 * Many leads in one day: a short test of each in one loop, and leads coupled in a row.
 *
 * <p>Door: {@link zestymarten.core.portable.LeadTest}, {@link zestymarten.core.portable.LeadVerdict}, {@link
 * zestymarten.core.portable.CoupledLeads}. Uses {@code quantity}, {@code assembly}, {@code limit}, {@code meter}, {@code judge},
 * {@code locate}.
 */
@NullMarked
package zestymarten.core.portable;

import org.jspecify.annotations.NullMarked;
