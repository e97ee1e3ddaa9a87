package zestymarten.web.people;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.userdetails.User;

/** Somebody who is signed in. Kept with the session in the database, so it holds nothing but plain values. */
final class Person extends User {
    private static final long serialVersionUID = 1;

    private final boolean mustChangePassword;

    private Person(User user, boolean mustChangePassword) {
        super(
                user.getUsername(),
                user.getPassword() == null ? "" : user.getPassword(),
                user.isEnabled(),
                true,
                user.isCredentialsNonExpired(),
                true,
                user.getAuthorities());
        this.mustChangePassword = mustChangePassword;
    }

    static Person of(PersonRow row, Instant now) {
        Instant until = row.oneTimeUntil();
        User user = (User) User.withUsername(row.name())
                .password(row.passwordHash())
                .roles(row.role().included())
                .disabled(row.disabledAt() != null)
                .credentialsExpired(until != null && until.isBefore(now))
                .build();
        return new Person(user, until != null);
    }

    /** Whether the password was given by somebody else and has to be changed before anything else. */
    boolean mustChangePassword() {
        return mustChangePassword;
    }

    @Override
    public boolean equals(@Nullable Object other) {
        return super.equals(other);
    }

    @Override
    public int hashCode() {
        return super.hashCode();
    }
}
