/**
 * What a device without network shows where it has no page of a test.
 */
@NullMarked
@Uses({})
package zestymarten.web.offline;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
