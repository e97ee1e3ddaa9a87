package zestymarten.web.platform;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import zestymarten.core.assembly.CrossSection;
import zestymarten.core.quantity.Celsius;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.Metres;
import zestymarten.core.quantity.Problem;
import zestymarten.core.quantity.ReadingParser;

/** The fields of a form as they were typed, and what was wrong with those that were asked for so far. */
public final class TypedForm {
    private final Map<String, String> fields;
    private final List<Problem> problems = new ArrayList<>();

    public TypedForm(Map<String, String> fields) {
        this.fields = Map.copyOf(fields);
    }

    public Map<String, String> fields() {
        return fields;
    }

    /** What was wrong, in the order in which it was asked for. */
    public List<Problem> problems() {
        return problems;
    }

    public boolean isSound() {
        return problems.isEmpty();
    }

    /** Adds something that is wrong with a field, once however often it is asked for. */
    public void refuse(String field, Message what) {
        Problem problem = new Problem(field, what);
        if (!problems.contains(problem)) {
            problems.add(problem);
        }
    }

    /** A field without the space around it; empty where it is missing. */
    public String text(String field) {
        return fields.getOrDefault(field, "").strip();
    }

    /** A field without the space around it, the usual text where it is missing or blank. */
    public String text(String field, String usual) {
        return has(field) ? text(field) : usual;
    }

    public boolean has(String field) {
        return !text(field).isEmpty();
    }

    /** A figure above 0, in the reading language; empty where nothing was typed or it made no sense, which is then said. */
    public OptionalDouble figure(String field, Message expected) {
        return above(field, expected, Double.MIN_VALUE);
    }

    /** A figure, the usual one where nothing was typed or it made no sense, which is then said. */
    public double figure(String field, double usual) {
        return above(field, Message.of("typed.figure_such_as", Message.figure(usual, "")), 0)
                .orElse(usual);
    }

    /** A temperature in °C, below zero too; the usual one where nothing was typed or it made no sense, which is then said. */
    public double celsius(String field, double usual) {
        OptionalDouble celsius = has(field) ? Celsius.of(text(field)) : OptionalDouble.of(usual);
        if (celsius.isEmpty()) {
            refuse(field, Message.of("typed.not_accepted_expected", text(field), Celsius.EXPECTED));
        }
        return celsius.orElse(usual);
    }

    /** A section, see {@link CrossSection}; empty where nothing was typed or it made no sense, which is then said. */
    public OptionalDouble section(String field) {
        return read(field, CrossSection.mm2(text(field)), CrossSection.EXPECTED);
    }

    /** A length in metres, see {@link Metres}; empty where nothing was typed or it made no sense, which is then said. */
    public OptionalDouble metres(String field) {
        return read(field, Metres.of(text(field)), Metres.EXPECTED);
    }

    private OptionalDouble read(String field, OptionalDouble read, Message expected) {
        if (!has(field) || read.orElse(0) > 0) {
            return has(field) ? read : OptionalDouble.empty();
        }
        refuse(field, Message.of("typed.not_accepted_expected", text(field), expected));
        return OptionalDouble.empty();
    }

    /** The number of something that is stored, as an address has it; 0, which nothing has, for what is no such number. */
    public static long number(String text) {
        return text.matches("[0-9]{1,18}") ? Long.parseLong(text) : 0;
    }

    private OptionalDouble above(String field, Message expected, double minimum) {
        String text = text(field);
        if (text.isEmpty()) {
            return OptionalDouble.empty();
        }
        if (new ReadingParser(false).understand(text) instanceof MeterReading.Value value && value.value() >= minimum) {
            return OptionalDouble.of(value.value());
        }
        refuse(field, Message.of("typed.not_accepted_expected", text, expected));
        return OptionalDouble.empty();
    }
}
