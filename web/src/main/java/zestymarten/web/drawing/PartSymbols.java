package zestymarten.web.drawing;

import java.util.function.BiFunction;
import zestymarten.core.assembly.Component;

/** Symbols of parts by IEC 60617, lying, {@value #WIDTH} wide and {@value #HEIGHT} high around their middle. */
final class PartSymbols {
    static final double WIDTH = 28;
    static final double HEIGHT = 12;

    private PartSymbols() {}

    /** The symbol of a kind of part around a point. */
    static String of(Component.ComponentKind kind, Point middle) {
        double left = middle.x() - WIDTH / 2;
        double right = middle.x() + WIDTH / 2;
        BiFunction<Double, Double, Point> at = (across, down) -> new Point(middle.x() + across, middle.y() + down);
        return switch (kind) {
            case FUSE -> box(middle) + line(new Point(left, middle.y()), new Point(right, middle.y()));
            case RESISTOR, HEATER -> box(middle);
            case NTC, PT100, PT1000 -> box(middle) + line(at.apply(-11.0, 9.0), at.apply(11.0, -9.0));
            case COIL, WINDING -> waves(middle);
            case SWITCH, RELAY_CONTACT -> line(new Point(left, middle.y()), at.apply(10.0, -9.0));
            case BREAKER ->
                line(new Point(left, middle.y()), at.apply(10.0, -9.0))
                        + line(at.apply(8.0, -4.0), at.apply(14.0, 4.0))
                        + line(at.apply(8.0, 4.0), at.apply(14.0, -4.0));
            case LAMP ->
                Paths.move(middle.x() - 9, middle.y()) + "a9 9 0 1 0 18 0a9 9 0 1 0 -18 0"
                        + line(at.apply(-6.4, -6.4), at.apply(6.4, 6.4))
                        + line(at.apply(-6.4, 6.4), at.apply(6.4, -6.4));
            case DIODE ->
                Paths.move(middle.x() - 8, middle.y() - 8)
                        + Paths.line(middle.x() + 8, middle.y())
                        + Paths.line(middle.x() - 8, middle.y() + 8)
                        + "z"
                        + line(at.apply(8.0, -8.0), at.apply(8.0, 8.0));
            case BOND ->
                line(at.apply(-10.0, -3.0), at.apply(10.0, -3.0)) + line(at.apply(-10.0, 3.0), at.apply(10.0, 3.0));
        };
    }

    private static String line(Point from, Point to) {
        return Paths.move(from.x(), from.y()) + Paths.line(to.x(), to.y());
    }

    private static String box(Point middle) {
        double left = middle.x() - WIDTH / 2;
        double top = middle.y() - HEIGHT / 2;
        return Paths.move(left, top)
                + Paths.line(left + WIDTH, top)
                + Paths.line(left + WIDTH, top + HEIGHT)
                + Paths.line(left, top + HEIGHT)
                + "z";
    }

    private static String waves(Point middle) {
        return Paths.move(middle.x() - 12, middle.y()) + "a4 5 0 0 1 8 0a4 5 0 0 1 8 0a4 5 0 0 1 8 0";
    }
}
