package zestymarten.web.drawing;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.StepState;
import zestymarten.core.testrun.TestRun;

/**
 * The measurement field of one stage: a mark for every measurement in the shape of the work. A column for end to end, a triangle for
 * shorts, a comb for the frame. Marks of one state are one path; neighbours in a row are drawn as one stroke when they are
 * too small to tell apart, so that the size grows with the rows and not with the measurements.
 *
 * @param cell side of one mark's square in pixels
 * @param columns marks in a row of a column or comb; 0 for a triangle
 * @param current path around the current mark
 */
public record FieldDrawing(
        double width, double height, double cell, int columns, Map<String, String> marks, Optional<String> current) {

    private static final double WIDTH = 224;
    private static final double LARGEST = 20;
    private static final double TELLABLE = 5;
    /** More pieces than this are not drawn measurement by measurement. */
    private static final int MAX = 400;

    public FieldDrawing {
        marks = Map.copyOf(marks);
    }

    private record Cell(int column, int row, StepState state) {}

    /** The field of a stage; empty where there is nothing to draw or too much. */
    public static Optional<FieldDrawing> of(TestRun test, Stage stage, Optional<TestStep> current) {
        int pieces = test.pieces().all().size();
        if (test.size(stage) == 0 || pieces > MAX) {
            return Optional.empty();
        }
        boolean pairs = stage == Stage.SHORTS && !test.pieces().areLinked();
        return Optional.of(pairs ? triangle(test, current, pieces) : rows(test, stage, current));
    }

    private static FieldDrawing rows(TestRun test, Stage stage, Optional<TestStep> current) {
        List<TestStep> steps = test.steps(stage).toList();
        int columns = Math.min(Math.max(1, steps.size()), 11);
        double cell = Math.min(LARGEST, WIDTH / columns);
        List<Cell> cells = new ArrayList<>();
        Optional<Cell> now = Optional.empty();
        for (int i = 0; i < steps.size(); i++) {
            Cell here = new Cell(i % columns, i / columns, test.state(steps.get(i)));
            cells.add(here);
            now = current.equals(Optional.of(steps.get(i))) ? Optional.of(here) : now;
        }
        int high = (steps.size() + columns - 1) / columns;
        return drawn(cells, now, cell, columns, columns * cell, high * cell);
    }

    /** Row i holds the measurements of piece i with each later one, so that the field visibly shrinks. */
    private static FieldDrawing triangle(TestRun test, Optional<TestStep> current, int pieces) {
        double cell = Math.max(1.5, Math.min(LARGEST, WIDTH / Math.max(1, pieces - 1)));
        List<Cell> cells = new ArrayList<>();
        Optional<Cell> now = Optional.empty();
        List<TestStep> steps = test.steps(Stage.SHORTS)
                .filter(TestStep.Measurement.class::isInstance)
                .toList();
        int row = 0;
        int column = 0;
        for (TestStep step : steps) {
            while (row < pieces - 1 && column >= pieces - 1 - row) {
                row++;
                column = 0;
            }
            if (row == pieces - 1 && column * cell >= WIDTH - cell) {
                row++;
                column = 0;
            }
            Cell here = new Cell(column, row, test.state(step));
            cells.add(here);
            now = current.equals(Optional.of(step)) ? Optional.of(here) : now;
            column++;
        }
        return drawn(cells, now, cell, 0, Math.max(1, pieces - 1) * cell, (row + 1) * cell);
    }

    private static FieldDrawing drawn(
            List<Cell> cells, Optional<Cell> now, double cell, int columns, double width, double height) {
        Map<StepState, StringBuilder> paths = new EnumMap<>(StepState.class);
        for (int i = 0; i < cells.size(); ) {
            Cell first = cells.get(i);
            int run = 1;
            while (cell < TELLABLE
                    && i + run < cells.size()
                    && cells.get(i + run).row() == first.row()
                    && cells.get(i + run).state() == first.state()) {
                run++;
            }
            mark(paths.computeIfAbsent(first.state(), any -> new StringBuilder()), first, cell, run);
            i += run;
        }
        Map<String, String> marks = new java.util.HashMap<>();
        paths.forEach((state, path) -> marks.put(state.code(), path.toString()));
        return new FieldDrawing(width, height, cell, columns, marks, now.map(here -> around(here, cell)));
    }

    /** Each state has its own stroke: full (thin where it is implied), double, cross, dashed, slash, dot. */
    private static void mark(StringBuilder path, Cell at, double cell, int run) {
        double x = at.column() * cell;
        double y = at.row() * cell;
        double inset = cell < TELLABLE ? 0 : cell * 0.22;
        double left = x + inset;
        double right = x + cell * run - inset;
        double middle = y + cell / 2;
        double small = cell * 0.14;
        switch (at.state()) {
            case PASS, IMPLIED -> path.append(stroke(left, middle, right, middle));
            case MARGINAL ->
                path.append(stroke(left, middle - small, right, middle - small))
                        .append(stroke(left, middle + small, right, middle + small));
            case FAIL ->
                path.append(stroke(left, y + inset, right, y + cell - inset))
                        .append(stroke(left, y + cell - inset, right, y + inset));
            case DOUBTFUL ->
                path.append(stroke(left, middle, left + (right - left) * 0.35, middle))
                        .append(stroke(right - (right - left) * 0.35, middle, right, middle));
            case SKIPPED -> path.append(stroke(left, y + cell - inset, right, y + inset));
            case NOT_TESTED ->
                path.append(
                        run == 1 && cell >= TELLABLE
                                ? stroke(x + cell / 2, middle, x + cell / 2 + 0.1, middle)
                                : stroke(left, middle, right, middle));
        }
    }

    private static String stroke(double x1, double y1, double x2, double y2) {
        return Paths.move(x1, y1) + Paths.line(x2, y2);
    }

    private static String around(Cell at, double cell) {
        double size = Math.max(7, cell);
        double x = at.column() * cell + (cell - size) / 2;
        double y = at.row() * cell + (cell - size) / 2;
        return Paths.move(x, y) + "h" + Paths.figure(size) + "v" + Paths.figure(size) + "h-" + Paths.figure(size) + "Z";
    }
}
