package zestymarten.core.quantity;

import java.util.List;

/**
 * Puts a message together from the sentences of a language: arguments first, from the inside out, and without a gap where one
 * of them has nothing to say.
 *
 * <p>Cost: the length of what is written. The class knows no sentence and no language.
 */
public final class MessageWriter {
    /** Stands for an argument with nothing to say until the sentence is closed over it. */
    private static final String GAP = "\uE000";

    private static final String AND = "message.and";
    private static final String OR = "message.or";

    private final Sentences sentences;

    /** The sentences of one language. */
    public interface Sentences {
        /**
         * A sentence with its arguments in place.
         *
         * @param arguments ready texts, and whole numbers where something is counted
         */
        String say(String code, Object[] arguments);

        /** How a quantity is written. */
        default String write(MessageArgument.Figure figure) {
            return figure.toString();
        }
    }

    public MessageWriter(Sentences sentences) {
        this.sentences = sentences;
    }

    /** The words of a message or of one of its arguments. */
    public String write(MessageArgument argument) {
        String said = argument.fold(new Writing());
        return said.contains(GAP) ? said.replace(" " + GAP, "").replace(GAP, "").strip() : said;
    }

    /** The words of several. */
    public List<String> writeAll(List<? extends MessageArgument> arguments) {
        return arguments.stream().map(this::write).toList();
    }

    private final class Writing implements MessageArgument.ArgumentCases<String> {
        @Override
        public String message(Message message) {
            if (message.isEmpty()) {
                return GAP;
            }
            Object[] words = message.arguments().stream()
                    .map(each -> each instanceof MessageArgument.Count count ? (Object) count.value() : each.fold(this))
                    .toArray();
            return sentences.say(message.code(), words);
        }

        @Override
        public String text(MessageArgument.Text text) {
            return text.value().isEmpty() ? GAP : text.value();
        }

        @Override
        public String figure(MessageArgument.Figure figure) {
            return sentences.write(figure);
        }

        @Override
        public String count(MessageArgument.Count count) {
            return count.toString();
        }

        @Override
        public String listing(MessageArgument.Listing listing) {
            List<String> members =
                    listing.members().stream().map(each -> each.fold(this)).toList();
            return switch (listing.link()) {
                case AND -> last(members, AND);
                case OR -> last(members, OR);
                case COMMA -> String.join(", ", members);
                case SEMICOLON -> String.join("; ", members);
                case SENTENCES -> String.join(" ", members);
            };
        }

        private String last(List<String> members, String code) {
            if (members.size() < 2) {
                return members.isEmpty() ? GAP : members.get(0);
            }
            String before = String.join(", ", members.subList(0, members.size() - 1));
            return sentences.say(code, new Object[] {before, members.get(members.size() - 1)});
        }
    }
}
