/**
 * Records: the certificate as a page, as PDF and as CSV; the list of past runs.
 */
@NullMarked
package zestymarten.web.record;

import org.jspecify.annotations.NullMarked;
