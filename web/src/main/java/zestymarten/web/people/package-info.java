/**
 * Who may sign in, with which role: people are made, disabled and given one-time passwords by an administrator, everyone
 * changes their own password, ends their own sign-ins and makes tokens for programs. Sign-in is slowed down after wrong
 * passwords. The audit list keeps who signed in and who changed what.
 *
 * <p>Door: {@link zestymarten.web.people.People}.
 */
@NullMarked
@Uses({"platform"})
package zestymarten.web.people;

import org.jspecify.annotations.NullMarked;
import zestymarten.core.Uses;
