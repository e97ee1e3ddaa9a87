/**
 * The made-up workshop that a demonstration starts with.
 */
@NullMarked
package zestymarten.web.demo;

import org.jspecify.annotations.NullMarked;
