/**
 * The guide and the glossary, served in the application as they stand in the documents: written once, read in both places.
 */
@NullMarked
@Uses({})
package zestymarten.web.help;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
