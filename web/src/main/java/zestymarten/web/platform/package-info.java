/**
 * What every room stands on: security, errors, time, and the vocabulary of answers to the browser.
 */
@NullMarked
@Uses({})
package zestymarten.web.platform;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
