package zestymarten.web.people;

import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import zestymarten.core.quantity.Message;

/**
 * What a password has to be: long, not the name, not what everybody tries first. By OWASP ASVS 2.1 no letters of certain
 * kinds are demanded. The upper bound is bcrypt's, which does not look at more than 72 bytes.
 */
final class PasswordRules {
    static final int SHORTEST = 12;
    private static final int MAX_BYTES = 72;
    private static final int FEWEST_LETTERS = 5;
    private static final String UNMISTAKABLE = "abcdefghjkmnpqrstuvwxyz23456789";
    private static final int GROUPS = 4;
    private static final int GROUP = 4;
    private static final Set<String> COMMON = Set.of(
            "password",
            "passwort",
            "qwertyuiop",
            "letmein",
            "welcome",
            "iloveyou",
            "administrator",
            "changeme",
            "abcdefghijkl");
    private static final SecureRandom RANDOM = new SecureRandom();

    private PasswordRules() {}

    /** What is wrong with a password for somebody; empty if nothing is. */
    static Optional<Message> objection(String name, String password) {
        String small = password.toLowerCase(Locale.ROOT);
        if (password.codePointCount(0, password.length()) < SHORTEST) {
            return Optional.of(Message.of("password_rules.password_too_short_use", SHORTEST));
        }
        if (password.getBytes(StandardCharsets.UTF_8).length > MAX_BYTES) {
            return Optional.of(Message.of("password_rules.password_too_long_use", MAX_BYTES));
        }
        if (password.chars().distinct().count() < FEWEST_LETTERS) {
            return Optional.of(Message.of("password_rules.password_repeats_itself_use", FEWEST_LETTERS));
        }
        if (small.contains(name.toLowerCase(Locale.ROOT))) {
            return Optional.of(Message.of("password_rules.password_contains_user_name"));
        }
        return COMMON.stream().anyMatch(small::startsWith)
                ? Optional.of(Message.of("password_rules.password_begins_word_that"))
                : Optional.empty();
    }

    /** A password to be used once, of letters and digits that are not mistaken for each other: 79 bits. */
    static String oneTime() {
        StringBuilder made = new StringBuilder();
        for (int group = 0; group < GROUPS; group++) {
            made.append(group == 0 ? "" : "-");
            for (int at = 0; at < GROUP; at++) {
                made.append(UNMISTAKABLE.charAt(RANDOM.nextInt(UNMISTAKABLE.length())));
            }
        }
        return made.toString();
    }
}
