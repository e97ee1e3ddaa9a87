package zestymarten.web;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.net.URISyntaxException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Properties;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/** A language in which every sentence stands between marks, so that what is no sentence of a file shows on a page. */
final class PseudoLanguage {
    private static final String TAG = "qps";

    private PseudoLanguage() {}

    /** Lays its files beside the classes of the tests, where the application finds them as it would any other language. */
    static void lay() {
        try {
            Path classes = Path.of(PseudoLanguage.class
                    .getProtectionDomain()
                    .getCodeSource()
                    .getLocation()
                    .toURI());
            Path messages = Files.createDirectories(classes.resolve("messages"));
            Path beside = Files.createDirectories(classes.resolveSibling("languages"));
            Resource[] english =
                    new PathMatchingResourcePatternResolver().getResources("classpath*:messages/*.properties");
            for (Resource each : english) {
                String name = String.valueOf(each.getFilename());
                if (!name.contains("_")) {
                    lay(each, messages.resolve(name.replace(".properties", "_" + TAG + ".properties")), beside);
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (URISyntaxException e) {
            throw new IllegalStateException(e);
        }
    }

    /** @param beside a folder on the same disk that nobody walks through meanwhile */
    private static void lay(Resource english, Path file, Path beside) throws IOException {
        Properties words = new Properties();
        words.load(new InputStreamReader(english.getInputStream(), StandardCharsets.UTF_8));
        words.replaceAll((code, pattern) -> "⟦" + pattern + "⟧");
        // Whole or not at all: another process may be reading it.
        Path made = Files.createTempFile(beside, "room", ".new");
        try (Writer writer = Files.newBufferedWriter(made)) {
            words.store(writer, null);
        }
        Files.move(made, file, StandardCopyOption.ATOMIC_MOVE);
    }
}
