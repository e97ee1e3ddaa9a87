package zestymarten.web.drawing;

import java.util.Locale;

/** Writes SVG path data with one decimal, which is a tenth of a pixel. */
final class Paths {
    private Paths() {}

    static String move(double x, double y) {
        return "M" + figure(x) + " " + figure(y);
    }

    static String line(double x, double y) {
        return "L" + figure(x) + " " + figure(y);
    }

    /** A level S between two points: it leaves and arrives horizontally, so that strands stay apart at their pins. */
    static String strand(double x1, double y1, double x2, double y2) {
        double reach = (x2 - x1) * 0.45;
        return move(x1, y1) + "C" + figure(x1 + reach) + " " + figure(y1) + " " + figure(x2 - reach) + " " + figure(y2)
                + " " + figure(x2) + " " + figure(y2);
    }

    /** The point of {@link #strand} at a share of its parameter, 0 to 1, as x and y. */
    static Point along(double x1, double y1, double x2, double y2, double share) {
        double reach = (x2 - x1) * 0.45;
        return new Point(bezier(x1, x1 + reach, x2 - reach, x2, share), bezier(y1, y1, y2, y2, share));
    }

    private static double bezier(double a, double b, double c, double d, double t) {
        double s = 1 - t;
        return s * s * s * a + 3 * s * s * t * b + 3 * s * t * t * c + t * t * t * d;
    }

    static String figure(double value) {
        double rounded = Math.round(value * 10) / 10.0;
        return rounded == Math.rint(rounded)
                ? Long.toString(Math.round(rounded))
                : String.format(Locale.ROOT, "%.1f", rounded);
    }
}
