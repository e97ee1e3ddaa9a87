package zestymarten.web.people;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A person as stored.
 *
 * @param oneTimeUntil until when the password, which somebody else has seen, lets its person in to choose another; empty for
 *     a password that the person chose
 * @param disabledAt since when the person may not sign in; empty for one who may
 */
record PersonRow(
        String name,
        String passwordHash,
        PersonRole role,
        boolean demo,
        @Nullable Instant oneTimeUntil,
        @Nullable Instant disabledAt) {}
