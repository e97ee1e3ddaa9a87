package zestymarten.web.platform;

import java.util.Locale;
import java.util.function.Supplier;
import org.springframework.context.i18n.LocaleContext;
import org.springframework.context.i18n.LocaleContextHolder;
import zestymarten.core.assembly.Awg;
import zestymarten.core.quantity.MessageArgument.Figure;

/**
 * How somebody wants figures and sentences to be written. Only what is shown changes: what is stored, what programs are given
 * and what is printed for a record are the same for all.
 *
 * @param language of the sentences, one of {@link Languages}
 * @param comma whether decimals have a comma instead of a point
 * @param fahrenheit whether temperatures are in °F instead of °C
 * @param feet whether lengths are in feet instead of metres
 * @param gauge whether sections have the nearest gauge (AWG) beside their mm²
 */
public record Preferences(Locale language, boolean comma, boolean fahrenheit, boolean feet, boolean gauge) {
    /** English, a decimal point, °C, metres, mm². */
    public static final Preferences USUAL = new Preferences(Locale.UK, false, false, false, false);

    private static final double METRES_PER_FOOT = 0.3048;

    /** What holds while a request of somebody is answered. */
    record PersonalContext(Preferences preferences) implements LocaleContext {
        @Override
        public Locale getLocale() {
            return preferences.language();
        }
    }

    /** Those of whoever asks; the usual ones outside of a request. */
    static Preferences current() {
        return LocaleContextHolder.getLocaleContext() instanceof PersonalContext personal
                ? personal.preferences()
                : USUAL;
    }

    /** Does something in the usual language and units, whoever asks: what is stored is the same for all. */
    public static <T> T usually(Supplier<T> work) {
        LocaleContext before = LocaleContextHolder.getLocaleContext();
        LocaleContextHolder.setLocaleContext(new PersonalContext(USUAL));
        try {
            return work.get();
        } finally {
            LocaleContextHolder.setLocaleContext(before);
        }
    }

    /** A quantity as this person reads it. */
    String write(Figure figure) {
        String text = fahrenheit && figure.unit().equals("°C")
                ? new Figure(rounded(figure.value() * 1.8 + 32), "°F").toString()
                : feet && figure.unit().equals("m")
                        ? new Figure(figure.value() / METRES_PER_FOOT, "ft").toString()
                        : figure.toString();
        String whole = write(text);
        return gauge && figure.unit().equals("mm²") && figure.value() > 0
                ? Awg.nearest(figure.value())
                        .map(each -> whole + " (" + each + " AWG)")
                        .orElse(whole)
                : whole;
    }

    /** A figure that is written already, with this person's decimal mark. */
    String write(String figure) {
        return comma ? figure.replace('.', ',') : figure;
    }

    private static double rounded(double value) {
        return Math.round(value * 10) / 10.0;
    }
}
