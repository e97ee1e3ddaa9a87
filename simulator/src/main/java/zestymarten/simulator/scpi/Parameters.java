package zestymarten.simulator.scpi;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The parameters behind a header, taken one after the other: figures with suffixes, words, texts in quotes. */
public final class Parameters {
    private static final Pattern FIGURE =
            Pattern.compile("([+-]?(?:\\d+(?:\\.\\d*)?|\\.\\d+)(?:E[+-]?\\d{1,3})?) ?([GKMUNP])?(OHM|V|A|S|HZ)?");
    private static final Pattern CHANNELS =
            Pattern.compile("\\(@\\s*([A-Za-z]{1,4}![0-9]{1,4}(?:\\s*,\\s*[A-Za-z]{1,4}![0-9]{1,4})*)\\s*\\)");
    /** In SCPI M is milli, but mega before ohms and hertz. */
    private static final Map<String, Double> SCALE =
            Map.of("G", 1e9, "K", 1e3, "M", 1e-3, "U", 1e-6, "N", 1e-9, "P", 1e-12);

    private final List<String> texts;
    private int taken;

    private Parameters(List<String> texts) {
        this.texts = texts;
    }

    /** A point of a switch on one of its buses. */
    public record Channel(String bus, int point) {}

    static Parameters of(String text) {
        return new Parameters(text.isBlank() ? List.of() : split(text.strip(), ','));
    }

    /** Splits at a separator that stands outside quotes and parentheses. */
    static List<String> split(String text, char separator) {
        List<String> parts = new ArrayList<>();
        StringBuilder part = new StringBuilder();
        char quote = 0;
        int depth = 0;
        for (int i = 0; i < text.length(); i++) {
            char each = text.charAt(i);
            depth += quote != 0 ? 0 : each == '(' ? 1 : each == ')' ? -1 : 0;
            if (quote == 0 && depth == 0 && each == separator) {
                parts.add(part.toString().strip());
                part.setLength(0);
                continue;
            }
            if (each == '"' || each == '\'') {
                quote = quote == 0 ? each : quote == each ? 0 : quote;
            }
            part.append(each);
        }
        if (quote != 0 || depth != 0) {
            throw new ScpiError.Refused(ScpiError.SYNTAX);
        }
        parts.add(part.toString().strip());
        return parts;
    }

    private Optional<String> next() {
        return taken < texts.size() ? Optional.of(texts.get(taken++)) : Optional.empty();
    }

    private String needed() {
        return next().orElseThrow(() -> new ScpiError.Refused(ScpiError.MISSING));
    }

    void mustBeUsed() {
        if (taken < texts.size()) {
            throw new ScpiError.Refused(ScpiError.NOT_ALLOWED);
        }
    }

    /** The next parameter as a figure in base units, in a range; refused if there is none, or it is none. */
    public double figure(double minimum, double maximum) {
        return figure(needed(), minimum, maximum);
    }

    /** The same, empty where there is no further parameter, or the word {@code DEF}. */
    public Optional<Double> figureIfAny(double minimum, double maximum) {
        return next().filter(each -> !each.equalsIgnoreCase("DEF")).map(each -> figure(each, minimum, maximum));
    }

    private static double figure(String text, double minimum, double maximum) {
        Matcher parts = FIGURE.matcher(text.toUpperCase(Locale.ROOT));
        if (!parts.matches()) {
            throw new ScpiError.Refused(ScpiError.ILLEGAL);
        }
        boolean mega = "M".equals(parts.group(2)) && ("OHM".equals(parts.group(3)) || "HZ".equals(parts.group(3)));
        double scale = mega ? 1e6 : parts.group(2) == null ? 1 : SCALE.getOrDefault(parts.group(2), 1.0);
        double value = Double.parseDouble(parts.group(1)) * scale;
        if (!(value >= minimum && value <= maximum)) {
            throw new ScpiError.Refused(ScpiError.OUT_OF_RANGE);
        }
        return value;
    }

    /** The next parameter as a text in quotes; refused if it is none. */
    public String text() {
        return text(needed());
    }

    /** The same, empty where there is no further parameter. */
    public Optional<String> textIfAny() {
        return next().map(Parameters::text);
    }

    private static String text(String part) {
        boolean quoted = part.length() >= 2
                && (part.charAt(0) == '"' || part.charAt(0) == '\'')
                && part.charAt(part.length() - 1) == part.charAt(0);
        if (!quoted) {
            throw new ScpiError.Refused(ScpiError.ILLEGAL);
        }
        return part.substring(1, part.length() - 1);
    }

    /** The next parameter as a list of channels, {@code (@A!1,B!5)}; refused if it is none. */
    public List<Channel> channels() {
        Matcher list = CHANNELS.matcher(needed());
        if (!list.matches()) {
            throw new ScpiError.Refused(ScpiError.ILLEGAL);
        }
        List<Channel> channels = new ArrayList<>();
        for (String each : list.group(1).split(",", -1)) {
            String[] parts = each.strip().split("!", -1);
            channels.add(new Channel(parts[0].toUpperCase(Locale.ROOT), Integer.parseInt(parts[1])));
        }
        return channels;
    }

    /** The next parameter as on or off. */
    public boolean isOn() {
        return switch (needed().toUpperCase(Locale.ROOT)) {
            case "ON", "1" -> true;
            case "OFF", "0" -> false;
            default -> throw new ScpiError.Refused(ScpiError.ILLEGAL);
        };
    }
}
