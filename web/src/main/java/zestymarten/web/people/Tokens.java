package zestymarten.web.people;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import zestymarten.core.quantity.Message;
import zestymarten.web.platform.AuditEvent;
import zestymarten.web.platform.Bearers;
import zestymarten.web.platform.NotFound;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Secret;
import zestymarten.web.platform.Words;

/**
 * Tokens by which programs act for a person without the person's password. Only a digest is stored. A token never does more than its person may do at that moment, and
 * never looks after people.
 */
@Service
class Tokens implements Bearers {
    private static final String PREFIX = "marten_";
    private static final int LONGEST_NAME = 60;
    private static final int MAX = 50;
    private static final Duration SEEN_AGAIN = Duration.ofMinutes(1);

    private final TokenMapper mapper;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    Tokens(TokenMapper mapper, ApplicationEventPublisher events, Clock clock) {
        this.mapper = mapper;
        this.events = events;
        this.clock = clock;
    }

    /** A token in the list of its person. */
    record TokenLine(
            long id,
            String name,
            boolean writes,
            Instant madeAt,
            @Nullable Instant usedAt) {}

    /** Whose a token is and what it may do. */
    record Holder(
            long id,
            String person,
            PersonRole role,
            boolean writes,
            @Nullable Instant usedAt) {}

    @Transactional(readOnly = true)
    public List<TokenLine> of(String person) {
        return mapper.of(person);
    }

    /** Makes a token and answers it; it is never shown again. */
    @Transactional
    public String make(String person, String typed, boolean writes) {
        String name = typed.strip();
        if (name.isEmpty() || name.length() > LONGEST_NAME) {
            throw new Refusal("token", Message.of("tokens.give_token_name_most", LONGEST_NAME));
        }
        if (mapper.of(person).size() >= MAX) {
            throw new Refusal("token", Message.of("tokens.you_have_tokens_revoke", MAX));
        }
        String token = PREFIX + Secret.fresh();
        mapper.insert(person, name, Secret.digest(token), writes, clock.instant());
        events.publishEvent(new AuditEvent(
                AuditEvent.AuditKind.TOKEN_MADE, name, Words.say(writes ? "audit.reads_and_writes" : "audit.reads")));
        return token;
    }

    /** Makes one of a person's own tokens good for nothing. */
    @Transactional
    public void revoke(String person, long id) {
        String name = mapper.revoke(person, id, clock.instant());
        if (name == null) {
            throw new NotFound(Message.of("tokens.that_token_not_one"));
        }
        events.publishEvent(new AuditEvent(AuditEvent.AuditKind.TOKEN_REVOKED, name, ""));
    }

    @Override
    @Transactional
    public Optional<UserDetails> bearer(String token) {
        return Optional.ofNullable(mapper.holder(Secret.digest(token))).map(holder -> {
            Instant now = clock.instant();
            if (holder.usedAt() == null || holder.usedAt().plus(SEEN_AGAIN).isBefore(now)) {
                mapper.used(holder.id(), now);
            }
            return User.withUsername(holder.person())
                    .password("")
                    .roles(roles(holder))
                    .build();
        });
    }

    private static String[] roles(Holder holder) {
        PersonRole maximum = holder.writes() ? PersonRole.LEAD : PersonRole.VIEWER;
        return (holder.role().compareTo(maximum) < 0 ? holder.role() : maximum).included();
    }
}
