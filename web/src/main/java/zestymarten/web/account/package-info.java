/**
 * Who may sign in, with which role; the first account of an empty installation.
 *
 * <p>Door: {@link zestymarten.web.account.Accounts}.
 */
@NullMarked
package zestymarten.web.account;

import org.jspecify.annotations.NullMarked;
