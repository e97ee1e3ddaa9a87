package zestymarten.web.platform;

import zestymarten.core.quantity.Message;

/**
 * Something that the audit list keeps, published by whatever changed it, inside the transaction of the change.
 *
 * @param subject what it was done to: a person, a meter, an assembly, a unit; at most 200 characters are kept
 * @param detail what became of it; may be empty
 */
public record AuditEvent(AuditKind kind, String subject, String detail) {
    private static final int LONGEST = 200;

    public AuditEvent {
        subject = shortened(subject);
        detail = shortened(detail);
    }

    private static String shortened(String text) {
        return text.length() <= LONGEST ? text : text.substring(0, LONGEST - 1) + "…";
    }

    /** What happened, with the words for it. */
    public enum AuditKind {
        SIGN_IN,
        SIGN_IN_FAILED,
        SIGN_IN_SLOWED,
        PERSON_ADDED,
        PERSON_DISABLED,
        PERSON_ENABLED,
        ROLE,
        PASSWORD_RESET,
        PASSWORD_CHANGED,
        SESSIONS_ENDED,
        TOKEN_MADE,
        TOKEN_REVOKED,
        HELPER_LINK_MADE,
        HELPER_LINK_REVOKED,
        METER,
        LIMITS,
        SIGN_OFF,
        RELEASE;

        public Message words() {
            return Message.of(this);
        }
    }
}
