package zestymarten.web.platform;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.nio.charset.StandardCharsets;
import java.security.InvalidKeyException;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.Duration;
import java.util.HexFormat;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.jspecify.annotations.Nullable;
import org.springframework.security.crypto.password.PasswordEncoder;

/**
 * Remembers for some minutes that a password matched, so that the interface, which signs in with every request, does not
 * pay a slow hash each time. What is remembered is a keyed digest; the key lives as long as the process. A wrong password
 * is never remembered and always costs the full hash.
 */
final class RememberingEncoder implements PasswordEncoder {
    private static final String DIGEST = "HmacSHA256";

    private final PasswordEncoder slow;
    private final SecretKeySpec key;
    private final Cache<String, Boolean> matched = Caffeine.newBuilder()
            .maximumSize(1000)
            .expireAfterWrite(Duration.ofMinutes(10))
            .build();

    RememberingEncoder(PasswordEncoder slow) {
        this.slow = slow;
        byte[] secret = new byte[32];
        new SecureRandom().nextBytes(secret);
        key = new SecretKeySpec(secret, DIGEST);
    }

    @Override
    public @Nullable String encode(@Nullable CharSequence password) {
        return slow.encode(password);
    }

    @Override
    public boolean matches(@Nullable CharSequence password, @Nullable String hash) {
        if (password == null || hash == null) {
            return false;
        }
        String digest = digest(password + "\n" + hash);
        if (matched.getIfPresent(digest) != null) {
            return true;
        }
        boolean matches = slow.matches(password, hash);
        if (matches) {
            matched.put(digest, true);
        }
        return matches;
    }

    private String digest(String text) {
        try {
            Mac mac = Mac.getInstance(DIGEST);
            mac.init(key);
            return HexFormat.of().formatHex(mac.doFinal(text.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException | InvalidKeyException e) {
            throw new IllegalStateException("Every Java platform has " + DIGEST + ".", e);
        }
    }
}
