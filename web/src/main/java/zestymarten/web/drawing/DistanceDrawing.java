package zestymarten.web.drawing;

import java.util.ArrayList;
import java.util.List;
import zestymarten.core.locate.Distance;
import zestymarten.core.quantity.Message;
import zestymarten.web.platform.Words;

/**
 * One wire stretched over the page to scale, with where each way of calculation finds the fault: a bar over its interval with a
 * mark on its best guess, one row each, and what they say together on the wire itself.
 *
 * @param ticks of the scale, in metres from end 1
 * @param rows one for each way
 * @param together on the wire; none without a result
 */
public record DistanceDrawing(
        double width,
        double height,
        double left,
        double right,
        double wireY,
        List<DistanceTick> ticks,
        List<DistanceRow> rows,
        List<DistanceRow> together) {
    private static final double WIDTH = 1100;
    private static final double LEFT = 60;
    private static final double WIRE_Y = 46;
    private static final double FIRST_ROW = 104;
    private static final double ROW = 40;
    private static final int TICKS = 5;

    public DistanceDrawing {
        ticks = List.copyOf(ticks);
        rows = List.copyOf(rows);
        together = List.copyOf(together);
    }

    /** A mark of the scale. */
    public record DistanceTick(double x, String text) {}

    /** An interval with its best guess, and what it says. */
    public record DistanceRow(double y, double from, double at, double to, String text) {}

    /** Draws what several ways found on a run, and what they say together if that is anything. */
    public static DistanceDrawing of(double lengthM, List<Distance> found, List<Distance> together) {
        List<DistanceTick> ticks = new ArrayList<>();
        for (int i = 0; i <= TICKS; i++) {
            double metres = lengthM * i / TICKS;
            ticks.add(new DistanceTick(
                    x(metres, lengthM), metres == 0 ? Words.say("distance_drawing.end_1") : Words.figure(metres, "m")));
        }
        List<DistanceRow> rows = new ArrayList<>();
        for (Distance each : found) {
            rows.add(row(FIRST_ROW + ROW * rows.size(), each, Words.say(each.by())));
        }
        return new DistanceDrawing(
                WIDTH,
                FIRST_ROW + ROW * rows.size(),
                LEFT,
                WIDTH - LEFT,
                WIRE_Y,
                ticks,
                rows,
                together.stream()
                        .map(each -> row(
                                WIRE_Y,
                                each,
                                Words.say("distance_drawing.from_end", Message.figure(each.metres(), "m"))))
                        .toList());
    }

    private static DistanceRow row(double y, Distance distance, String text) {
        return new DistanceRow(
                y,
                x(distance.from(), distance.lengthM()),
                x(distance.metres(), distance.lengthM()),
                x(distance.to(), distance.lengthM()),
                text);
    }

    private static double x(double metres, double lengthM) {
        return Math.round((LEFT + (WIDTH - 2 * LEFT) * metres / lengthM) * 10) / 10.0;
    }
}
