package zestymarten.web.where;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zestymarten.core.locate.Calculation.Measure;
import zestymarten.core.quantity.ReadingLanguage;
import zestymarten.core.quantity.Understood;

/** Figures as they are typed on this page: with or without their unit, in the usual ways to write it. */
final class Figures {
    private static final Map<String, Double> METRES =
            Map.of("", 1.0, "m", 1.0, "cm", 0.01, "km", 1000.0, "ft", 0.3048, "'", 0.3048, "feet", 0.3048);
    private static final Pattern LENGTH = Pattern.compile("(.*?\\d)\\s*(m|cm|km|ft|feet|')?");
    private static final double PERCENT = 100;

    private Figures() {}

    static Understood understood(String typed) {
        return new ReadingLanguage(false).understand(typed);
    }

    /** The figure in the measure's own unit, 0 or above; empty where it is none. */
    static Optional<Double> figure(String typed, Measure measure) {
        String text = typed.strip();
        return switch (measure) {
            case METRE -> metres(text);
            case FARAD -> plain(without(text, "F"));
            case FARAD_PER_METRE -> plain(without(without(text, "/m"), "F"));
            case SECOND -> plain(without(text, "s"));
            case RATIO -> text.endsWith("%") ? plain(without(text, "%")).map(each -> each / PERCENT) : plain(text);
            case OHM -> plain(text);
        };
    }

    private static Optional<Double> metres(String text) {
        Matcher length = LENGTH.matcher(text.toLowerCase(Locale.ROOT));
        return length.matches()
                ? plain(length.group(1))
                        .map(each -> each * METRES.getOrDefault(length.group(2) == null ? "" : length.group(2), 1.0))
                : Optional.empty();
    }

    private static String without(String text, String unit) {
        boolean has = text.toLowerCase(Locale.ROOT).endsWith(unit.toLowerCase(Locale.ROOT));
        return has ? text.substring(0, text.length() - unit.length()).strip() : text;
    }

    private static Optional<Double> plain(String text) {
        return understood(text) instanceof Understood.Value value && value.value() >= 0
                ? Optional.of(value.value())
                : Optional.empty();
    }
}
