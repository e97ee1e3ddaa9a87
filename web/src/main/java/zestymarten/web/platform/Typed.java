package zestymarten.web.platform;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import zestymarten.core.quantity.Engineering;
import zestymarten.core.quantity.Problem;
import zestymarten.core.quantity.ReadingLanguage;
import zestymarten.core.quantity.Understood;

/** The fields of a form as they were typed, and what was wrong with those that were asked for so far. */
public final class Typed {
    private final Map<String, String> fields;
    private final List<Problem> problems = new ArrayList<>();

    public Typed(Map<String, String> fields) {
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

    /** Adds something that is wrong with a field. */
    public void refuse(String field, String text) {
        problems.add(new Problem(field, text));
    }

    /** A field without the space around it; empty where it is missing. */
    public String text(String field) {
        return fields.getOrDefault(field, "").strip();
    }

    public boolean has(String field) {
        return !text(field).isEmpty();
    }

    /** A figure above 0, in the reading language; empty where nothing was typed or it made no sense, which is then said. */
    public OptionalDouble figure(String field, String expected) {
        return above(field, expected, Double.MIN_VALUE);
    }

    /** A figure, the usual one where nothing was typed or it made no sense, which is then said. */
    public double figure(String field, double usual) {
        return above(field, "a figure such as " + Engineering.figure(usual), 0).orElse(usual);
    }

    private OptionalDouble above(String field, String expected, double least) {
        String text = text(field);
        if (text.isEmpty()) {
            return OptionalDouble.empty();
        }
        if (new ReadingLanguage(false).understand(text) instanceof Understood.Value value && value.value() >= least) {
            return OptionalDouble.of(value.value());
        }
        refuse(field, "Read '" + text + "'; expected " + expected + ".");
        return OptionalDouble.empty();
    }
}
