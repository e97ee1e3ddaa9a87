package zestymarten.web.platform;

import java.util.Optional;
import org.springframework.security.core.userdetails.UserDetails;

/** Knows for whom a program acts that shows a token. */
public interface Bearers {
    /** The person and the roles that the token has now; empty for one that is unknown, revoked or of a disabled person. */
    Optional<UserDetails> bearer(String token);
}
