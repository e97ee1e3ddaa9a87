package zestymarten.core.assembly;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zestymarten.core.quantity.NotAccepted;

/**
 * How the cavities of a connector lie, seen from the wire side.
 *
 * @param rows from 1; a line and a ring have one
 * @param columns from 1; there are at most 10 000 cavities
 */
public record CavityLayout(Shape shape, int rows, int columns) {
    /** The layouts that can be drawn. */
    public enum Shape {
        LINE,
        GRID,
        RING;

        /** As written in files. */
        public String code() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    static final int MAX = 10_000;
    private static final Pattern WRITTEN = Pattern.compile("(line|grid|ring)? ?(\\d{1,5})(?: ?[x×*] ?(\\d{1,5}))?");

    public CavityLayout {
        if (!(rows >= 1 && columns >= 1 && (long) rows * columns <= MAX)) {
            throw new NotAccepted("cavity_layout.face_have_cavities", MAX, rows, columns);
        }
        if (shape != Shape.GRID && rows != 1) {
            throw new NotAccepted("cavity_layout.only_grid_rows", shape.code(), rows);
        }
    }

    public static CavityLayout line(int cavities) {
        return new CavityLayout(Shape.LINE, 1, cavities);
    }

    public static CavityLayout ring(int cavities) {
        return new CavityLayout(Shape.RING, 1, cavities);
    }

    public static CavityLayout grid(int rows, int columns) {
        return new CavityLayout(Shape.GRID, rows, columns);
    }

    /** Reads a layout as a person writes it: {@code 12} (a line), {@code 3x4} (rows by columns), {@code ring 7}. */
    public static Optional<CavityLayout> parse(String text) {
        Matcher matcher = WRITTEN.matcher(text.strip().toLowerCase(Locale.ROOT));
        if (!matcher.matches()) {
            return Optional.empty();
        }
        int first = Integer.parseInt(matcher.group(2));
        int second = matcher.group(3) == null ? 0 : Integer.parseInt(matcher.group(3));
        boolean ring = "ring".equals(matcher.group(1));
        boolean possible = first >= 1 && (long) first * Math.max(1, second) <= MAX && !(ring && second > 0);
        if (!possible || (matcher.group(3) != null && second == 0)) {
            return Optional.empty();
        }
        return Optional.of(second > 0 ? grid(first, second) : ring ? ring(first) : line(first));
    }

    /** As {@link #parse} reads it. */
    public String text() {
        return switch (shape) {
            case LINE -> Integer.toString(columns);
            case GRID -> rows + "x" + columns;
            case RING -> "ring " + columns;
        };
    }

    /** How many cavities there are. */
    public int cavities() {
        return rows * columns;
    }
}
