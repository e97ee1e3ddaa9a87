/**
 * Many leads in one day: a short test of each in one loop, and leads coupled in a row.
 *
 * <p>Door: {@link zestymarten.core.portable.LeadTest}, {@link zestymarten.core.portable.LeadVerdict}, {@link
 * zestymarten.core.portable.CoupledLeads}.
 */
@NullMarked
@Uses({"assembly", "finding", "judgement", "limit", "meter", "quantity"})
package zestymarten.core.portable;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
