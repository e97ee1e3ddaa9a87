package zestymarten.web.platform;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.context.MessageSource;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MessageArgument;
import zestymarten.core.quantity.MessageWriter;

/**
 * Puts words to what the core returns, in the language and the units of whoever asks: the one place where a code becomes a
 * sentence.
 *
 * <p>The language and the units are those of the request at hand, see {@link Preferences}; English outside of one. A code without words is
 * a fault of ours that the tests find: it shows as it is.
 */
@Configuration(proxyBeanMethods = false)
public class Words {
    private static final Bundles BUNDLES = new Bundles();

    private static final MessageWriter WRITER = new MessageWriter(new MessageWriter.Sentences() {
        @Override
        public String say(String code, Object[] arguments) {
            String said = BUNDLES.getMessage(
                    code, arguments, code, Preferences.current().language());
            return said == null ? code : said;
        }

        @Override
        public String write(MessageArgument.Figure figure) {
            return Preferences.current().write(figure);
        }
    });

    /** The sentences themselves, as pages ask for them by {@code #{...}}. */
    public static MessageSource source() {
        return BUNDLES;
    }

    /** The sentences of a room in a language, as they are written, by their codes. */
    static Map<String, String> room(String name, Locale language) {
        return BUNDLES.room(name, language);
    }

    @Bean
    MessageSource messageSource() {
        return source();
    }

    /** The words of a message, or of what stands in one. */
    public static String say(MessageArgument message) {
        return WRITER.write(message);
    }

    /** The sentence of a code with arguments as in {@link Message#of}. */
    public static String say(String code, Object... arguments) {
        return say(Message.of(code, arguments));
    }

    /** The word of a constant, see {@link Message#of(Enum)}. */
    public static String say(Enum<?> constant) {
        return say(Message.of(constant));
    }

    /** A figure of a column, all of which are in one unit. */
    public static String figure(EngineeringFormat.FigureColumn column, double value) {
        return Preferences.current().write(column.text(value));
    }

    /** A quantity with its unit, such as {@code 0.64 Ω}. */
    public static String figure(double value, String unit) {
        return say(Message.figure(value, unit));
    }

    /** Several messages, a sentence each. */
    public static List<String> all(List<? extends MessageArgument> messages) {
        return WRITER.writeAll(messages);
    }
}
