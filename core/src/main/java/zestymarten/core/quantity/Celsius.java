package zestymarten.core.quantity;

import java.util.Locale;
import java.util.OptionalDouble;
import java.util.regex.Pattern;

/** Temperatures as typed: °C, or °F with an F behind the figure. */
public final class Celsius {
    /** What is expected, for messages. */
    public static final Message EXPECTED = Message.of("celsius.or_behind");

    private static final Pattern FIGURE = Pattern.compile("-?[0-9]{1,3}(?:\\.[0-9]{1,3})?");
    private static final double MIN = -80;
    private static final double MAX = 200;

    private Celsius() {}

    /** The temperature in °C that a text says, from -80 to 200; empty if it says none. */
    public static OptionalDouble of(String typed) {
        String text = typed.strip().replace(',', '.').replace("°", "").toUpperCase(Locale.ROOT);
        String figure = text.replaceAll("[CF]$", "").strip();
        if (!FIGURE.matcher(figure).matches()) {
            return OptionalDouble.empty();
        }
        double value = Double.parseDouble(figure);
        double celsius = text.endsWith("F") ? (value - 32) / 1.8 : value;
        return celsius >= MIN && celsius <= MAX ? OptionalDouble.of(celsius) : OptionalDouble.empty();
    }
}
