package zestymarten.core.assembly;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.ResourceTable;

/**
 * A wire's colour as written, with the paints to draw it when the writing is known: one letter code of IEC 60757 or two
 * joined (base, then tracer), or the English names ({@code white/red}). An unknown colour keeps its text and has no
 * paint.
 *
 * @param text as written, never blank
 * @param base CSS hexadecimal colour of the insulation, empty if the writing is not known
 * @param tracer CSS hexadecimal colour of the second colour, if there is one
 */
public record Colour(String text, Optional<String> base, Optional<String> tracer) {
    private static final Map<String, String> PAINTS = new HashMap<>();
    private static final Set<String> CODES = new HashSet<>();

    static {
        for (ResourceTable.TableRow row : ResourceTable.read(Colour.class, "colours-iec60757.csv")) {
            PAINTS.put(row.cell("code"), row.cell("rgb"));
            CODES.add(row.cell("code"));
            PAINTS.putIfAbsent(row.cell("name").toUpperCase(Locale.ROOT), row.cell("rgb"));
        }
    }

    public Colour {
        if (text.isBlank()) {
            throw new IllegalArgumentException("A colour must have a text; leave it out if it is not known.");
        }
    }

    /** Reads a colour as written. Never fails: what is not known is kept as text. */
    public static Colour of(String text) {
        String written = text.strip();
        List<String> paints = paints(written.toUpperCase(Locale.ROOT));
        return new Colour(
                written,
                paints.isEmpty() ? Optional.empty() : Optional.of(paints.get(0)),
                paints.size() < 2 ? Optional.empty() : Optional.of(paints.get(1)));
    }

    /** Whether the writing is a known code or name, so that it can be drawn. */
    public boolean isKnown() {
        return base.isPresent();
    }

    /** The colour in words where the writing is a known code ({@code WHRD}: white-red), else as written. */
    public Message words() {
        String upper = text.toUpperCase(Locale.ROOT);
        if (CODES.contains(upper)) {
            return word(upper);
        }
        if (upper.length() == 4 && CODES.contains(upper.substring(0, 2)) && CODES.contains(upper.substring(2))) {
            return Message.of("colour.two", word(upper.substring(0, 2)), word(upper.substring(2)));
        }
        return Message.verbatim(text);
    }

    private static Message word(String code) {
        return Message.of("colour." + code.toLowerCase(Locale.ROOT));
    }

    private static List<String> paints(String written) {
        String whole = PAINTS.get(written);
        if (whole != null) {
            return List.of(whole.split("/"));
        }
        List<String> found = new ArrayList<>();
        for (String part : parts(written)) {
            String paint = PAINTS.get(part.strip());
            if (paint == null) {
                return List.of();
            }
            found.add(paint);
        }
        return found.size() <= 2 ? found : List.of();
    }

    private static String[] parts(String written) {
        boolean joined = written.length() == 4 && PAINTS.containsKey(written.substring(0, 2));
        return joined ? new String[] {written.substring(0, 2), written.substring(2)} : written.split("[/ -]+", -1);
    }
}
