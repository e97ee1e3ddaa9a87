/** What a device without network shows where it has no page of a test. */
@NullMarked
package zestymarten.web.offline;

import org.jspecify.annotations.NullMarked;
