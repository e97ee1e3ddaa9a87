package zestymarten.web.people;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A person in the list, with the last sign-in if there was one. */
record PersonLine(
        String name,
        PersonRole role,
        boolean demo,
        @Nullable Instant oneTimeUntil,
        @Nullable Instant disabledAt,
        @Nullable Instant lastSignIn) {}
