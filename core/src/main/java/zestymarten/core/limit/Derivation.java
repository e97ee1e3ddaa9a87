package zestymarten.core.limit;

import java.util.List;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MessageArgument;

/**
 * How a limit came about.
 *
 * @param rule the rule of the order of authority
 * @param inputs what went into it, each with its unit
 * @param formula how they were combined; empty for a figure that was simply given
 * @param source the standard, handbook or person that it comes from
 * @param sentence all of it as a person reads it
 */
public record Derivation(Limit.Rule rule, List<LimitInput> inputs, String formula, Message source, Message sentence) {
    public Derivation {
        inputs = List.copyOf(inputs);
        if (sentence.isEmpty()) {
            throw new IllegalArgumentException("A limit is never shown without where it comes from.");
        }
    }

    /**
     * One figure that went into a limit.
     *
     * @param name as in the API: {@code length}
     */
    public record LimitInput(String name, MessageArgument value) {}

    /** A derivation that needs no arithmetic. */
    public static Derivation plain(Limit.Rule rule, Message source, Message sentence) {
        return new Derivation(rule, List.of(), "", source, sentence);
    }

    /** The same with a sentence more. */
    Derivation and(Message more) {
        return new Derivation(rule, inputs, formula, source, Message.sentences(sentence, more));
    }
}
