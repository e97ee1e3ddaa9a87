package zestymarten.web.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.web.platform.Words;

/**
 * A quantity over time: a dot for each value on a level scale from zero, oldest left.
 *
 * @param points where the dots stand, with what they say
 * @param line through them
 * @param marks of the scale, from zero up
 * @param limit where the limit stands; empty without one
 */
public record TrendDrawing(
        double width,
        double height,
        List<TrendDot> points,
        String line,
        List<TrendMark> marks,
        Optional<TrendMark> limit) {
    private static final double WIDTH = 640;
    /** Of several charts side by side. */
    private static final double NARROW = 380;

    private static final double HEIGHT = 170;
    private static final double LEFT = 70;
    private static final double MARGIN = 16;
    private static final int STEPS = 4;

    public TrendDrawing {
        points = List.copyOf(points);
        marks = List.copyOf(marks);
    }

    /** A value at a place along the scale of time, with what it says when it is pointed at. */
    public record TrendValue(double at, double value, String title) {}

    /** A dot; its title is read when it is pointed at. */
    public record TrendDot(double x, double y, String title) {}

    /** A mark of the scale. */
    public record TrendMark(double y, String text) {}

    /** Draws values in any order without a limit; none draw an empty scale. */
    public static TrendDrawing of(List<TrendValue> values, String unit) {
        return drawn(values, unit, OptionalDouble.empty(), WIDTH);
    }

    /** Draws values in any order against a limit that stays in sight, for a place among other charts. */
    public static TrendDrawing against(OptionalDouble limit, List<TrendValue> values, String unit) {
        return drawn(values, unit, limit, NARROW);
    }

    private static TrendDrawing drawn(List<TrendValue> values, String unit, OptionalDouble limit, double width) {
        List<TrendValue> ordered = values.stream()
                .sorted(Comparator.comparingDouble(TrendValue::at))
                .toList();
        double top = Math.max(
                1e-9,
                1.2
                        * Math.max(
                                limit.orElse(0),
                                ordered.stream()
                                        .mapToDouble(TrendValue::value)
                                        .max()
                                        .orElse(1)));
        double first = ordered.isEmpty() ? 0 : ordered.get(0).at();
        double span = ordered.isEmpty()
                ? 1
                : Math.max(1e-9, ordered.get(ordered.size() - 1).at() - first);
        List<TrendDot> dots = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (TrendValue each : ordered) {
            double x = LEFT + (width - LEFT - MARGIN) * (each.at() - first) / span;
            double y = y(each.value(), top);
            dots.add(new TrendDot(x, y, each.title()));
            line.append(dots.size() == 1 ? Paths.move(x, y) : Paths.line(x, y));
        }
        List<TrendMark> marks = new ArrayList<>();
        double step = roundStep(top / STEPS);
        for (int i = 0; i * step <= top; i++) {
            marks.add(new TrendMark(y(i * step, top), i == 0 ? "0 " + unit : Words.figure(i * step, unit)));
        }
        return new TrendDrawing(
                width,
                HEIGHT,
                dots,
                line.toString(),
                marks,
                limit.stream()
                        .mapToObj(each -> new TrendMark(
                                y(each, top),
                                Words.say(
                                        "trend_drawing.limit",
                                        Words.figure(EngineeringFormat.column(each, unit), each))))
                        .findFirst());
    }

    /** The next 1, 2 or 5 of its power of ten. */
    private static double roundStep(double minimum) {
        double power = Math.pow(10, Math.floor(Math.log10(minimum)));
        double share = minimum / power;
        return power * (share <= 1 ? 1 : share <= 2 ? 2 : share <= 5 ? 5 : 10);
    }

    private static double y(double value, double top) {
        return HEIGHT - MARGIN - (HEIGHT - 2 * MARGIN) * value / top;
    }
}
