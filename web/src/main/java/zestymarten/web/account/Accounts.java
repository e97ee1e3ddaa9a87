package zestymarten.web.account;

import java.time.Clock;
import java.util.List;
import java.util.Locale;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import zestymarten.web.platform.Refused;

/** The accounts of this installation. */
@Service
public class Accounts implements UserDetailsService {
    private static final int SHORTEST_PASSWORD = 10;

    private final AccountMapper mapper;
    private final PasswordEncoder encoder;
    private final Clock clock;

    Accounts(AccountMapper mapper, PasswordEncoder encoder, Clock clock) {
        this.mapper = mapper;
        this.encoder = encoder;
        this.clock = clock;
    }

    @Override
    public UserDetails loadUserByUsername(String name) {
        AccountRow row = mapper.find(name.strip().toLowerCase(Locale.ROOT));
        if (row == null) {
            throw new UsernameNotFoundException("No account of that name.");
        }
        return User.withUsername(row.name())
                .password(row.passwordHash())
                .roles(row.role())
                .build();
    }

    /** Whether nobody can sign in yet. */
    public boolean none() {
        return mapper.count() == 0;
    }

    /** Names of the demonstration accounts, which exist only with demo data. */
    public List<String> demo() {
        return mapper.demoNames();
    }

    /** Adds the first account, a lead hand. Refused if there is an account already or the name or password will not do. */
    @Transactional
    public void addFirst(String name, String password) {
        mapper.lock();
        if (!none()) {
            throw new Refused("name", "There is an account already. Sign in with it.");
        }
        if (!name.matches("[a-z][a-z0-9._-]{1,39}")) {
            throw new Refused(
                    "name",
                    "“" + name
                            + "” is not accepted; expected 2 to 40 small letters, digits, dots or dashes, a letter first.");
        }
        if (password.length() < SHORTEST_PASSWORD) {
            throw new Refused("password", "Expected at least " + SHORTEST_PASSWORD + " characters.");
        }
        add(name, password, "LEAD", false);
    }

    /** Adds an account of the demonstration. */
    @Transactional
    public void addDemo(String name, String password, String role) {
        add(name, password, role, true);
    }

    private void add(String name, String password, String role, boolean demo) {
        String hash = encoder.encode(password);
        if (hash == null) {
            throw new IllegalStateException("The password was not hashed.");
        }
        mapper.insert(new AccountRow(name, hash, role, demo), clock.instant());
    }
}
