package zestymarten.core.quantity;

import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/**
 * What a person is to read, before it has words: a code with typed arguments. The words of a code stand in the message
 * bundles of the application, one file for each language; nothing is ever decided by looking into them. Equality is that of
 * code and arguments.
 *
 * @param code {@code family.name}, lower case; empty for {@link #NONE}
 * @param arguments in the order in which the words number them, from 0
 */
public record Message(String code, List<MessageArgument> arguments) implements MessageArgument {
    /** Nothing to say. In a sentence it leaves no gap. */
    public static final Message NONE = new Message("", List.of());

    private static final Pattern HUMP = Pattern.compile("([a-z0-9])([A-Z])");

    public Message {
        arguments = List.copyOf(arguments);
    }

    /**
     * A message.
     *
     * @param arguments see {@link MessageArgument#of}
     * @throws IllegalArgumentException if one of them is a figure that does not say its unit
     */
    public static Message of(String code, Object... arguments) {
        return new Message(
                code, Arrays.stream(arguments).map(MessageArgument::of).toList());
    }

    /** The word for a constant: {@code ConductorRole.PROTECTIVE} has the code {@code conductor_role.protective}. */
    public static Message of(Enum<?> constant) {
        String family =
                HUMP.matcher(constant.getDeclaringClass().getSimpleName()).replaceAll("$1_$2");
        return new Message((family + "." + constant.name()).toLowerCase(Locale.ROOT), List.of());
    }

    /** What somebody else said, in no language of ours: notes, names, answers of an instrument. */
    public static Message verbatim(String text) {
        return text.isEmpty() ? NONE : of("message.verbatim", text);
    }

    /** A quantity, to be printed with its unit; an empty unit for a bare figure. */
    public static Figure figure(double value, String unit) {
        return new Figure(value, unit);
    }

    /** Several, strung together. */
    public static Listing list(Listing.Link link, Collection<?> several) {
        return new Listing(link, several.stream().map(MessageArgument::of).toList());
    }

    /** Sentences one after the other; those that say nothing are left out. */
    public static Message sentences(Object... sentences) {
        List<MessageArgument> said = Arrays.stream(sentences)
                .map(MessageArgument::of)
                .filter(each -> !each.equals(NONE) && !each.equals(new Text("")))
                .toList();
        if (said.isEmpty()) {
            return NONE;
        }
        return said.size() == 1 && said.get(0) instanceof Message only
                ? only
                : new Message("message.verbatim", List.of(new Listing(Listing.Link.SENTENCES, said)));
    }

    public boolean isEmpty() {
        return code.isEmpty();
    }

    /** For programs and logs: the code and what stands in it, no words. */
    @Override
    public String toString() {
        return arguments.isEmpty() ? code : code + arguments;
    }
}
