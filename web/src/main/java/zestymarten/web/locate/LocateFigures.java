package zestymarten.web.locate;

import java.util.Locale;
import java.util.Optional;
import zestymarten.core.locate.Calculation.CalculationMeasure;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.Metres;
import zestymarten.core.quantity.ReadingParser;

/** Figures as they are typed on this page: with or without their unit, in the usual ways to write it. */
final class LocateFigures {
    private static final double PERCENT = 100;

    private LocateFigures() {}

    static MeterReading understood(String typed) {
        return new ReadingParser(false).understand(typed);
    }

    /** The figure in the measure's own unit, 0 or above; empty where it is none. */
    static Optional<Double> figure(String typed, CalculationMeasure measure) {
        String text = typed.strip();
        return switch (measure) {
            case METRE -> Metres.of(text).stream().boxed().findFirst();
            case FARAD -> plain(without(text, "F"));
            case FARAD_PER_METRE -> plain(without(without(text, "/m"), "F"));
            case SECOND -> plain(without(text, "s"));
            case RATIO -> text.endsWith("%") ? plain(without(text, "%")).map(each -> each / PERCENT) : plain(text);
            case OHM -> plain(text);
        };
    }

    private static String without(String text, String unit) {
        boolean has = text.toLowerCase(Locale.ROOT).endsWith(unit.toLowerCase(Locale.ROOT));
        return has ? text.substring(0, text.length() - unit.length()).strip() : text;
    }

    private static Optional<Double> plain(String text) {
        return understood(text) instanceof MeterReading.Value value && value.value() >= 0
                ? Optional.of(value.value())
                : Optional.empty();
    }
}
