package zestymarten.web.platform;

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
        SIGN_IN("signed in"),
        SIGN_IN_FAILED("wrong name or password"),
        SIGN_IN_SLOWED("sign-in slowed down"),
        PERSON_ADDED("person added"),
        PERSON_DISABLED("person disabled"),
        PERSON_ENABLED("person enabled"),
        ROLE("role changed"),
        PASSWORD_RESET("one-time password given"),
        PASSWORD_CHANGED("password changed"),
        SESSIONS_ENDED("signed out elsewhere"),
        TOKEN_MADE("token made"),
        TOKEN_REVOKED("token revoked"),
        HELPER_LINK_MADE("helper's link made"),
        HELPER_LINK_REVOKED("helper's link revoked"),
        METER("meter changed"),
        LIMITS("limits changed"),
        SIGN_OFF("sign-off rule changed"),
        RELEASE("unit decided on");

        private final String words;

        AuditKind(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }
}
