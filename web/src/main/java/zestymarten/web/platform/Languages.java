package zestymarten.web.platform;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/** The languages that there are: English, and each that has a file of sentences beside the English one. */
public final class Languages {
    private static final String ANY = "classpath*:messages/platform_*.properties";
    private static final List<Locale> ALL = read();

    private Languages() {}

    public static List<Locale> all() {
        return ALL;
    }

    /** The language of a tag, English where there is none of it. */
    public static Locale of(String tag) {
        return ALL.stream()
                .filter(each -> each.toLanguageTag().equals(tag))
                .findFirst()
                .orElse(Preferences.USUAL.language());
    }

    private static List<Locale> read() {
        try {
            Stream<Locale> others = Stream.of(new PathMatchingResourcePatternResolver().getResources(ANY))
                    .map(Resource::getFilename)
                    .map(name -> String.valueOf(name)
                            .replaceAll("platform_|\\.properties", "")
                            .replace('_', '-'))
                    .map(Locale::forLanguageTag);
            return Stream.concat(Stream.of(Preferences.USUAL.language()), others)
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
