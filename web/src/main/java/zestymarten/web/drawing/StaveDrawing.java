package zestymarten.web.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.scan.Points;
import zestymarten.core.scan.ScanMeasurement;
import zestymarten.core.scan.ScanProgram;

/**
 * A scanning program as a score: a line for every point of the switch, a column for every measurement, a filled head for what
 * is on bus A and a hollow one for what is on bus B. Columns under voltage stand on a ground of their own.
 */
public record StaveDrawing(
        double width,
        double height,
        List<StaveRow> rows,
        List<StaveColumn> columns,
        List<Ground> grounds,
        int leftOut) {
    /** More measurements than this are not drawn. */
    public static final int MAX = 160;

    private static final int MAX_POINTS = 80;
    private static final double LEFT = 96;
    private static final double TOP = 14;
    private static final double ROW = 17;
    private static final double COLUMN = 15;
    private static final double FOOT = 12;

    public StaveDrawing {
        rows = List.copyOf(rows);
        columns = List.copyOf(columns);
        grounds = List.copyOf(grounds);
    }

    /** A point: its number and its terminal. */
    public record StaveRow(double y, int point, String terminal) {}

    /** A measurement: the heads of both sides, and how far its stem reaches. */
    public record StaveColumn(double x, double top, double bottom, List<Double> a, List<Double> b, String state) {
        public StaveColumn {
            a = List.copyOf(a);
            b = List.copyOf(b);
        }
    }

    /** Measurements under voltage. */
    public record Ground(double x, double width) {}

    /**
     * A measurement to be drawn.
     *
     * @param live whether it is made under voltage
     * @param state how it ended, such as {@code good} or {@code fault}; empty if it was not made yet
     */
    public record Note(List<Terminal> a, List<Terminal> b, boolean live, String state) {
        public Note {
            a = List.copyOf(a);
            b = List.copyOf(b);
        }
    }

    /** Draws a program, of which nothing was measured yet. */
    public static StaveDrawing of(Points points, ScanProgram program) {
        List<ScanMeasurement> taken = program.taken(points);
        return of(
                points,
                taken.stream()
                        .map(each -> new Note(
                                List.copyOf(each.a()),
                                List.copyOf(each.b()),
                                each.measure().voltage().isPresent(),
                                ""))
                        .toList(),
                taken.size());
    }

    /** Draws measurements, of so many in all. */
    public static StaveDrawing of(Points points, List<Note> notes, int total) {
        List<StaveRow> rows = new ArrayList<>();
        for (int i = 0; i < Math.min(MAX_POINTS, points.terminals().size()); i++) {
            rows.add(
                    new StaveRow(TOP + ROW * i, i + 1, points.terminals().get(i).name()));
        }
        List<StaveColumn> columns = new ArrayList<>();
        List<Ground> grounds = new ArrayList<>();
        for (Note each : notes.subList(0, Math.min(MAX, notes.size()))) {
            double x = LEFT + COLUMN * columns.size() + COLUMN / 2;
            if (each.live()) {
                grounds.add(new Ground(x - COLUMN / 2, COLUMN));
            }
            List<Double> a = heads(points, each.a());
            List<Double> b = heads(points, each.b());
            double top = Math.min(minimum(a), minimum(b));
            double bottom = Math.max(maximum(a), maximum(b));
            columns.add(new StaveColumn(x, top, bottom, a, b, each.state()));
        }
        return new StaveDrawing(
                LEFT + COLUMN * Math.max(20, columns.size()) + FOOT,
                TOP + ROW * rows.size() + FOOT,
                rows,
                columns,
                grounds,
                total - columns.size());
    }

    private static List<Double> heads(Points points, List<Terminal> side) {
        return side.stream()
                .map(points::of)
                .flatMap(Optional::stream)
                .filter(point -> point <= MAX_POINTS)
                .map(point -> TOP + ROW * (point - 1))
                .sorted()
                .toList();
    }

    private static double minimum(List<Double> heads) {
        return heads.stream().mapToDouble(each -> each).min().orElse(TOP);
    }

    private static double maximum(List<Double> heads) {
        return heads.stream().mapToDouble(each -> each).max().orElse(TOP);
    }
}
