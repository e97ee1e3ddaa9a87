package zestymarten.web.people;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.security.authentication.AuthenticationProvider;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.core.Authentication;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.authentication.WebAuthenticationDetails;
import org.springframework.stereotype.Component;
import zestymarten.web.platform.AuditEvent;

/**
 * Lets people in by name and password, and slows down guessing: after five wrong passwords within five minutes for a name
 * from one address, after thirty for a name from anywhere, or after thirty from one address, nothing is tried until
 * the five minutes are over. Counted in the audit list, so that it holds on every node and over a restart. A name that
 * nobody has is treated like one that somebody has.
 */
@Component
class SignIn implements AuthenticationProvider {
    /** For how long wrong passwords count. */
    static final Duration WINDOW = Duration.ofMinutes(5);

    private static final int MAX_FOR_BOTH = 5;
    private static final int MAX_FOR_ONE = 30;
    private static final int LONGEST_NAME = 200;

    private final DaoAuthenticationProvider people;
    private final Audit audit;
    private final Clock clock;

    SignIn(People people, PasswordEncoder encoder, Audit audit, Clock clock) {
        this.people = new DaoAuthenticationProvider(people);
        this.people.setPasswordEncoder(encoder);
        this.audit = audit;
        this.clock = clock;
    }

    @Override
    public Authentication authenticate(Authentication typed) {
        String name = People.plain(typed.getName());
        String named = name.substring(0, Math.min(name.length(), LONGEST_NAME)).replace('\0', ' ');
        String address =
                typed.getDetails() instanceof WebAuthenticationDetails details ? details.getRemoteAddress() : "";
        Audit.Failures failures =
                audit.failures(named, address, Instant.now(clock).minus(WINDOW));
        if (failures.both() >= MAX_FOR_BOTH
                || failures.ofName() >= MAX_FOR_ONE
                || failures.fromAddress() >= MAX_FOR_ONE) {
            throw new LockedException("Too many wrong passwords.");
        }
        try {
            return people.authenticate(typed);
        } catch (BadCredentialsException e) {
            audit.strange(AuditEvent.AuditKind.SIGN_IN_FAILED, address, named, "");
            if (failures.both() + 1 == MAX_FOR_BOTH) {
                audit.strange(AuditEvent.AuditKind.SIGN_IN_SLOWED, address, named, "");
            }
            throw e;
        }
    }

    @Override
    public boolean supports(Class<?> type) {
        return UsernamePasswordAuthenticationToken.class.isAssignableFrom(type);
    }
}
