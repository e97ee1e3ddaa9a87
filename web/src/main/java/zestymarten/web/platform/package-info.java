/**
 * What every room stands on: security, errors, time, and the vocabulary of answers to the browser.
 *
 * <p>Uses no other room.
 */
@NullMarked
package zestymarten.web.platform;

import org.jspecify.annotations.NullMarked;
