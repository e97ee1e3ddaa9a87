/**
 * The HTTP interface under /api/v1: translates between the open formats and the rooms.
 */
@NullMarked
package zestymarten.web.api;

import org.jspecify.annotations.NullMarked;
