package zestymarten.web;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.List;
import java.util.Properties;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/** No answer shows the code of a message in the place of its words. */
final class SaidInWords {
    private static final Pattern CODE = Pattern.compile("(?<![\\w./-])[a-z][a-z_0-9]*\\.[a-z][a-z_0-9]*(?![\\w./-])");
    private static final Set<String> CODES = codes();

    /** Of two words or more: a code of one of these that has no words is no name of a file either. */
    private static final Set<String> FAMILIES = CODES.stream()
            .map(SaidInWords::family)
            .filter(each -> each.contains("_"))
            .collect(Collectors.toSet());

    private SaidInWords() {}

    static void check(String shown) {
        List<String> codes = CODE.matcher(shown)
                .results()
                .map(MatchResult::group)
                .filter(each -> CODES.contains(each) || FAMILIES.contains(family(each)))
                .distinct()
                .toList();
        if (!codes.isEmpty()) {
            throw new AssertionError("Codes without words: " + codes + " in " + around(shown, codes.get(0)));
        }
    }

    private static String family(String code) {
        return code.substring(0, code.indexOf('.'));
    }

    private static String around(String shown, String code) {
        int at = shown.indexOf(code);
        return shown.substring(Math.max(0, at - 200), Math.min(shown.length(), at + 200));
    }

    private static Set<String> codes() {
        Set<String> codes = new HashSet<>();
        try {
            for (Resource each :
                    new PathMatchingResourcePatternResolver().getResources("classpath*:messages/*.properties")) {
                Properties words = new Properties();
                words.load(new InputStreamReader(each.getInputStream(), StandardCharsets.UTF_8));
                codes.addAll(words.stringPropertyNames());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return codes;
    }
}
