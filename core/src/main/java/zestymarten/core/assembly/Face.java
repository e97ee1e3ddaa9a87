package zestymarten.core.assembly;

/**
 * How the cavities of a connector lie, seen from the wire side.
 *
 * @param rows 1 to 1000; a line and a ring have one
 * @param columns 1 to 1000
 */
public record Face(Shape shape, int rows, int columns) {
    /** The layouts that can be drawn. */
    public enum Shape {
        LINE,
        GRID,
        RING;

        /** As written in files. */
        public String code() {
            return name().toLowerCase(java.util.Locale.ROOT);
        }
    }

    static final int MOST = 1000;

    public Face {
        if (!(rows >= 1 && rows <= MOST && columns >= 1 && columns <= MOST)) {
            throw new IllegalArgumentException(
                    "A face must have 1 to " + MOST + " rows and columns, not " + rows + " by " + columns + ".");
        }
        if (shape != Shape.GRID && rows != 1) {
            throw new IllegalArgumentException("Only a grid has rows; this " + shape.code() + " has " + rows + ".");
        }
    }

    public static Face line(int cavities) {
        return new Face(Shape.LINE, 1, cavities);
    }

    public static Face ring(int cavities) {
        return new Face(Shape.RING, 1, cavities);
    }

    public static Face grid(int rows, int columns) {
        return new Face(Shape.GRID, rows, columns);
    }

    /** How many cavities there are. */
    public int cavities() {
        return rows * columns;
    }
}
