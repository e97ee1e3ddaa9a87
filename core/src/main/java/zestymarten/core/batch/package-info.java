/**
 * Many leads in one day: a short test of each in one loop, and leads coupled in a row.
 *
 * <p>Door: {@link zestymarten.core.batch.LeadCheck}, {@link zestymarten.core.batch.LeadVerdict}, {@link
 * zestymarten.core.batch.Coupled}. Uses {@code quantity}, {@code assembly}, {@code limit}, {@code meter}, {@code judge},
 * {@code locate}.
 */
@NullMarked
package zestymarten.core.batch;

import org.jspecify.annotations.NullMarked;
