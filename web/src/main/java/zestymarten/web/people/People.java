package zestymarten.web.people;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import zestymarten.core.quantity.Message;
import zestymarten.web.platform.AuditEvent;
import zestymarten.web.platform.NotFound;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Words;

/** The people of this installation. At least one administrator who may sign in always remains. */
@Service
public class People implements UserDetailsService {
    private static final Duration ONE_TIME = Duration.ofDays(7);

    private final PeopleMapper mapper;
    private final PasswordEncoder encoder;
    private final SignedIn signedIn;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    People(
            PeopleMapper mapper,
            PasswordEncoder encoder,
            SignedIn signedIn,
            ApplicationEventPublisher events,
            Clock clock) {
        this.mapper = mapper;
        this.encoder = encoder;
        this.signedIn = signedIn;
        this.events = events;
        this.clock = clock;
    }

    @Override
    public Person loadUserByUsername(String name) {
        PersonRow row = mapper.find(plain(name));
        if (row == null) {
            throw new UsernameNotFoundException("No person of that name.");
        }
        return Person.of(row, clock.instant());
    }

    /** A name as it is stored. */
    static String plain(String name) {
        return name.strip().toLowerCase(Locale.ROOT);
    }

    /** Whether nobody can sign in yet. */
    public boolean none() {
        return mapper.count() == 0;
    }

    /** Names of the demonstration accounts, which exist only with demo data. */
    public List<String> demo() {
        return mapper.demoNames();
    }

    List<PersonLine> all() {
        return mapper.all();
    }

    /** Adds the first person, an administrator. Refused if there is one already or the name or password will not do. */
    @Transactional
    public void addFirst(String name, String password) {
        mapper.lock();
        if (!none()) {
            throw new Refusal("name", Message.of("people.there_account_already_sign"));
        }
        mustBeName(name);
        PasswordRules.objection(name, password).ifPresent(objection -> {
            throw new Refusal("password", objection);
        });
        insert(name, password, PersonRole.ADMIN, false, null);
    }

    /** Adds a person of the demonstration. */
    @Transactional
    public void addDemo(String name, String password, PersonRole role) {
        insert(name, password, role, true, null);
    }

    /** Adds a person and answers the password with which the person signs in once. */
    @Transactional
    public String add(String typed, PersonRole role) {
        String name = typed.strip();
        mapper.lock();
        mustBeName(name);
        if (mapper.find(name) != null) {
            throw new Refusal("name", Message.of("people.there_somebody_called_already", name));
        }
        String password = PasswordRules.oneTime();
        insert(name, password, role, false, clock.instant().plus(ONE_TIME));
        events.publishEvent(new AuditEvent(AuditEvent.AuditKind.PERSON_ADDED, name, Words.say(role)));
        return password;
    }

    private static void mustBeName(String name) {
        if (!name.matches("[a-z][a-z0-9._-]{1,39}")) {
            throw new Refusal("name", Message.of("people.not_accepted_expected_lower", name));
        }
    }

    private void insert(String name, String password, PersonRole role, boolean demo, @Nullable Instant oneTimeUntil) {
        mapper.insert(new PersonRow(name, hash(password), role, demo, oneTimeUntil, null), clock.instant());
    }

    private String hash(String password) {
        return Objects.requireNonNull(encoder.encode(password));
    }

    /** Gives a person another role; whoever is signed in by that name is signed out. */
    @Transactional
    public void setRole(String name, PersonRole role) {
        PersonRow person = hold(name);
        if (person.role() == role) {
            return;
        }
        mustLeaveAnAdministrator(person);
        mapper.setRole(name, role);
        signedIn.endAll(name);
        events.publishEvent(
                new AuditEvent(AuditEvent.AuditKind.ROLE, name, Words.say("audit.role", person.role(), role)));
    }

    /** Keeps a person from signing in, or lets the person in again; what the person recorded stays. */
    @Transactional
    public void setDisabled(String name, boolean disabled) {
        PersonRow person = hold(name);
        if (disabled == (person.disabledAt() != null)) {
            return;
        }
        if (disabled) {
            mustLeaveAnAdministrator(person);
        }
        mapper.setDisabled(name, disabled ? clock.instant() : null);
        signedIn.endAll(name);
        events.publishEvent(new AuditEvent(
                disabled ? AuditEvent.AuditKind.PERSON_DISABLED : AuditEvent.AuditKind.PERSON_ENABLED, name, ""));
    }

    /** A new password for a person who cannot sign in any more, to be used once. */
    @Transactional
    public String oneTimePassword(String name) {
        hold(name);
        String password = PasswordRules.oneTime();
        mapper.setPassword(name, hash(password), clock.instant().plus(ONE_TIME));
        signedIn.endAll(name);
        events.publishEvent(new AuditEvent(AuditEvent.AuditKind.PASSWORD_RESET, name, ""));
        return password;
    }

    /** Changes one's own password; everywhere else the person is signed out. */
    @Transactional
    public void changePassword(String name, String old, String fresh, String again, String sessionKept) {
        PersonRow person = hold(name);
        if (!encoder.matches(old, person.passwordHash())) {
            throw new Refusal("old", Message.of("people.that_not_your_password"));
        }
        PasswordRules.objection(name, fresh).ifPresent(objection -> {
            throw new Refusal("fresh", objection);
        });
        if (fresh.equals(old)) {
            throw new Refusal("fresh", Message.of("people.new_password_old_one"));
        }
        if (!fresh.equals(again)) {
            throw new Refusal("again", Message.of("people.two_new_passwords_differ"));
        }
        mapper.setPassword(name, hash(fresh), null);
        signedIn.endOthers(name, sessionKept);
        events.publishEvent(new AuditEvent(AuditEvent.AuditKind.PASSWORD_CHANGED, name, ""));
    }

    private PersonRow hold(String name) {
        mapper.lock();
        PersonRow person = mapper.find(name);
        if (person == null) {
            throw new NotFound(Message.of("people.there_nobody_called", name));
        }
        return person;
    }

    private void mustLeaveAnAdministrator(PersonRow person) {
        boolean counts = person.role() == PersonRole.ADMIN && person.disabledAt() == null;
        if (counts && mapper.administrators() == 1) {
            throw new Refusal("name", Message.of("people.only_administrator_make_somebody", person.name()));
        }
    }
}
