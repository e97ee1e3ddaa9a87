package zestymarten.web.people;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.security.authentication.event.InteractiveAuthenticationSuccessEvent;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.authentication.WebAuthenticationDetails;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import zestymarten.web.platform.AuditEvent;

/**
 * Who signed in and who changed what, for good: rows are only added. What changes something writes its line in the same
 * transaction, so that there is no change without its line and no line without its change.
 */
@Service
class Audit {
    /** Lines on one page. */
    static final int PAGE = 100;

    private static final String NOBODY = "";
    private final AuditMapper mapper;
    private final Clock clock;

    Audit(AuditMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /** A line of the list; the number counts up with time. */
    record AuditLine(
            long id,
            Instant at,
            String who,
            String address,
            AuditEvent.AuditKind kind,
            String subject,
            String detail) {}

    @EventListener
    void changed(AuditEvent event) {
        Authentication by = SecurityContextHolder.getContext().getAuthentication();
        add(event.kind(), by == null ? NOBODY : by.getName(), address(by), event.subject(), event.detail());
    }

    /** Signing in on the page; a program that sends a password or token with every request is not listed each time. */
    @EventListener
    void signedIn(InteractiveAuthenticationSuccessEvent event) {
        Authentication by = event.getAuthentication();
        add(AuditEvent.AuditKind.SIGN_IN, by.getName(), address(by), by.getName(), "");
    }

    /** Keeps what nobody who is known did. */
    @Transactional
    public void strange(AuditEvent.AuditKind kind, String address, String subject, String detail) {
        add(kind, NOBODY, address, subject, detail);
    }

    private static String address(@Nullable Authentication by) {
        return by != null && by.getDetails() instanceof WebAuthenticationDetails details
                ? details.getRemoteAddress()
                : "";
    }

    private void add(AuditEvent.AuditKind kind, String who, String address, String subject, String detail) {
        mapper.insert(clock.instant(), who, address, kind, subject, detail);
    }

    /** Lines before one of them, the newest first, that contain a text. */
    @Transactional(readOnly = true)
    public List<AuditLine> before(long id, String search, int maximum) {
        return mapper.before(id, search, maximum);
    }

    /** Wrong passwords since a moment: for a name from an address, for that name, from that address. */
    @Transactional(readOnly = true)
    public Failures failures(String name, String address, Instant since) {
        return mapper.failures(name, address, since);
    }

    record Failures(long both, long ofName, long fromAddress) {}
}
