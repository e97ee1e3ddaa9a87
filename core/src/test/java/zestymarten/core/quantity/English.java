package zestymarten.core.quantity;

import com.ibm.icu.text.MessageFormat;
import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Properties;
import java.util.stream.Stream;

/** What a person reads: messages of the core in the words of the application, for tests that read like the job. */
public final class English {
    private static final Path MESSAGES = Path.of("..", "web", "src", "main", "resources", "messages");
    private static final Map<String, String> PATTERNS = read();
    private static final MessageWriter WRITER = new MessageWriter(English::sentence);

    private English() {}

    public static String of(MessageArgument message) {
        return WRITER.write(message);
    }

    public static List<String> all(List<? extends MessageArgument> messages) {
        return WRITER.writeAll(messages);
    }

    private static String sentence(String code, Object[] arguments) {
        String pattern = PATTERNS.get(code);
        if (pattern == null) {
            throw new IllegalStateException("No words for " + code + " " + Arrays.toString(arguments));
        }
        Object[] given = arguments.clone();
        for (int i = 0; i < given.length; i++) {
            if (!pattern.contains("{" + i + ", plural")) {
                given[i] = String.valueOf(given[i]);
            }
        }
        return new MessageFormat(pattern, Locale.UK).format(given);
    }

    private static Map<String, String> read() {
        Map<String, String> patterns = new HashMap<>();
        try (Stream<Path> files = Files.list(MESSAGES)) {
            for (Path file : files.toList()) {
                Properties words = new Properties();
                try (Reader reader = Files.newBufferedReader(file)) {
                    words.load(reader);
                }
                words.forEach((code, pattern) -> patterns.put((String) code, (String) pattern));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return patterns;
    }
}
