package zestymarten.web.platform;

import com.ibm.icu.text.MessageFormat;
import java.util.Locale;
import java.util.Map;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.support.ResourceBundleMessageSource;

/**
 * The sentences of the application, a file for each room and language, with the plural and choice forms of ICU. What a page
 * asks for by {@code #{...}} and what {@link Words} says come from here.
 *
 * <p>Cost: a sentence is parsed once for each language.
 */
final class Bundles extends ResourceBundleMessageSource {
    private final Map<Sentence, ParsedMessage> parsed = new ConcurrentHashMap<>();

    private static final Pattern PLURAL = Pattern.compile("\\{(\\d+), plural");

    private record Sentence(String code, Locale locale) {}

    /**
     * A sentence that was understood.
     *
     * @param counted the arguments that decide between one and several; any other number is printed as it is, ungrouped
     */
    private record ParsedMessage(MessageFormat format, Set<Integer> counted) {
        static ParsedMessage of(String pattern, Locale locale) {
            Set<Integer> counted = PLURAL.matcher(pattern)
                    .results()
                    .map(each -> Integer.valueOf(each.group(1)))
                    .collect(Collectors.toSet());
            return new ParsedMessage(new MessageFormat(pattern, locale), counted);
        }

        String say(Object[] given) {
            Object[] arguments = given.clone();
            for (int i = 0; i < arguments.length; i++) {
                if (!counted.contains(i)) {
                    arguments[i] = String.valueOf(arguments[i]);
                }
            }
            synchronized (format) {
                return format.format(arguments);
            }
        }
    }

    Bundles() {
        Rooms.NAMES.forEach(each -> addBasenames("messages/" + each));
        setDefaultEncoding("UTF-8");
        setFallbackToSystemLocale(false);
    }

    /** All sentences of a room as they are written, by their codes. */
    Map<String, String> room(String name, Locale language) {
        ResourceBundle bundle = getResourceBundle("messages/" + name, language);
        if (bundle == null) {
            throw new IllegalArgumentException("No room is called " + name);
        }
        return bundle.keySet().stream()
                .collect(Collectors.toMap(code -> code, bundle::getString, (a, b) -> a, TreeMap::new));
    }

    @Override
    protected @Nullable String getMessageInternal(
            @Nullable String code, Object @Nullable [] arguments, @Nullable Locale locale) {
        if (code == null || locale == null) {
            return null;
        }
        ParsedMessage sentence = parsed.get(new Sentence(code, locale));
        if (sentence == null) {
            String pattern = resolveCodeWithoutArguments(code, locale);
            if (pattern == null) {
                return null;
            }
            sentence = ParsedMessage.of(pattern, locale);
            parsed.put(new Sentence(code, locale), sentence);
        }
        return sentence.say(arguments == null ? new Object[0] : arguments);
    }
}
