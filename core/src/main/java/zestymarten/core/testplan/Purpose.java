package zestymarten.core.testplan;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import zestymarten.core.quantity.Message;

/** What a test is for: it decides what leads from step to step, and when the test is at its end. */
public enum Purpose {
    /** The plan's stages in their order, until everything planned is measured. */
    EVERYTHING,
    /** The diagnosis: always the measurement that tells most for its time, until one repair is as good as certain. */
    FIND_FAULT,
    /** What a repair concerns, and nothing else, until all of it is shown. */
    RETEST;

    /** As a person chooses it. */
    public Message words() {
        return Message.of(this);
    }

    /** As written in entries and files. */
    public String code() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** By the code that a text begins with; empty for any other text. */
    public static Optional<Purpose> of(String text) {
        String code = text.split(" ", 2)[0];
        return Stream.of(values()).filter(each -> each.code().equals(code)).findFirst();
    }

    /** What is to be shown again: the wires and parts that follow the code, with spaces between; empty for other purposes. */
    public static String subject(String text) {
        String[] parts = text.strip().split(" ", 2);
        return parts.length < 2 ? "" : parts[1].strip();
    }
}
