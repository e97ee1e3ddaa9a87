package zestymarten.web.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import zestymarten.core.circuit.Circuit;
import zestymarten.core.circuit.CircuitComparison;
import zestymarten.core.circuit.ConductorRole;
import zestymarten.core.circuit.EndLink;
import zestymarten.web.platform.Words;

/**
 * A circuit as a loop that leaves the origin at the left and comes back to it, or as a line that does not; under it what every
 * point should read and reads, over the metres of cable. Places are in pixels of the drawing.
 *
 * @param lift by how much everything lies lower than usual: a point of three lines has two fields more above it
 * @param cable the path of the cable
 * @param seats one for each outlet, then one for each spur
 * @param stretches where the length of each is written
 */
public record CircuitDrawing(
        double width,
        double height,
        double lift,
        String cable,
        List<Seat> seats,
        List<CircuitLabel> stretches,
        Chart chart) {
    private static final double ORIGIN_X = 150;
    private static final double TOP_Y = 96;
    private static final double BOTTOM_Y = 300;
    private static final double MIN_SEAT = 104;
    private static final double MARGIN = 60;
    private static final double MIN_WIDTH = 1180;
    private static final double SPUR = 52;
    private static final double SPUR_FIELDS = 14;
    private static final double MIN_BENEATH = 76;
    private static final int USUAL_FIELDS = 2;
    private static final double FIELD_HEIGHT = 35;
    private static final double ROW_HEIGHT = 33;
    private static final double ROW_MIDDLE = 20;
    /** A radial of more outlets than that is folded. */
    private static final int LANE = 9;

    /** Where the board stands; it is lower where nothing comes back to it. */
    public double boardY() {
        return folded() ? 88 + 1.5 * lift : 40 + lift;
    }

    public double boardHeight() {
        return folded() ? 220 : 112;
    }

    private boolean folded() {
        return height > BOTTOM_Y + 2 * lift;
    }

    public CircuitDrawing {
        seats = List.copyOf(seats);
        stretches = List.copyOf(stretches);
    }

    /**
     * A point: its place, where its two fields begin, and how it reads.
     *
     * @param spur the path of the spur to it; empty for an outlet on the cable
     */
    public record Seat(String point, double x, double y, double fieldY, String state, String spur) {
        /** Where the rows of its fields lie that are named beside it. */
        public double rowY(int row) {
            return fieldY + row * ROW_HEIGHT + ROW_MIDDLE;
        }

        /** Left edge of the fields, which are centred on the point. */
        public double fieldX() {
            return x - 42;
        }
    }

    /** The points beside whose fields is written what is read there: the first of each row of points. */
    public List<Seat> named() {
        return seats.stream()
                .collect(Collectors.toMap(Seat::y, seat -> seat, (one, other) -> one.x() <= other.x() ? one : other))
                .values()
                .stream()
                .toList();
    }

    /** The middle of a stretch; a little above or below it is room for its length. */
    public record CircuitLabel(int number, double x, double y) {}

    /** Expected as thin lines, read as dots, on one axis. */
    public record Chart(
            double width,
            double height,
            String lineNeutral,
            String lineProtective,
            List<CircuitDot> dots,
            List<CircuitTick> across,
            List<CircuitTick> up) {
        public Chart {
            dots = List.copyOf(dots);
            across = List.copyOf(across);
            up = List.copyOf(up);
        }
    }

    /** A reading; {@code square} for line to protective. Beyond the top it lies on the edge, marked open. */
    public record CircuitDot(double x, double y, boolean square, boolean open, String state, String title) {}

    /** A mark of a scale. */
    public record CircuitTick(double at, String text) {}

    /** Draws a circuit and its readings. */
    public static CircuitDrawing of(Circuit circuit, List<CircuitComparison> compared) {
        int outlets = circuit.outlets();
        int top = circuit.ring() ? (outlets + 1) / 2 : Math.min(outlets, LANE);
        double width = Math.max(MIN_WIDTH, ORIGIN_X + MARGIN * 2 + Math.max(top, outlets - top) * MIN_SEAT);
        boolean folded = outlets > top || circuit.ring();
        Lanes lanes = Lanes.of(circuit);
        List<Seat> seats = new ArrayList<>();
        List<CircuitLabel> labels = new ArrayList<>();
        double step = (width - ORIGIN_X - 2 * MARGIN) / top;
        double back = (width - ORIGIN_X - 2 * MARGIN) / Math.max(1, outlets - top);
        for (int i = 1; i <= outlets; i++) {
            boolean upper = i <= top;
            double x = upper ? ORIGIN_X + (i - 0.5) * step + MARGIN / 2 : width - MARGIN * 1.5 - (i - top - 0.5) * back;
            seats.add(new Seat(
                    String.valueOf(i),
                    x,
                    upper ? lanes.top : lanes.bottom,
                    upper ? TOP_Y - 88 : lanes.bottom + 18,
                    state(compared, String.valueOf(i)),
                    ""));
        }
        for (int i = 0; i <= circuit.stretches().size() - 1; i++) {
            labels.add(label(i, seats, outlets, top, width, lanes));
        }
        spurs(circuit, seats, compared, lanes);
        double beneath = circuit.spurs().isEmpty() ? MIN_BENEATH : SPUR + SPUR_FIELDS + lanes.fields();
        double bottom = folded ? lanes.bottom + 100 + lanes.lift : lanes.top + beneath;
        return new CircuitDrawing(
                width,
                bottom,
                lanes.lift,
                cable(circuit, seats, top, width, lanes),
                seats,
                labels,
                chart(circuit, compared));
    }

    /** Where the two lanes of the cable lie. */
    private record Lanes(double lift, double top, double bottom) {
        double fields() {
            return USUAL_FIELDS * FIELD_HEIGHT + lift;
        }

        static Lanes of(Circuit circuit) {
            double lift = (circuit.linkedInTurn().size() - USUAL_FIELDS) * FIELD_HEIGHT;
            return new Lanes(lift, TOP_Y + lift, BOTTOM_Y + 2 * lift);
        }
    }

    private static CircuitLabel label(int stretch, List<Seat> seats, int outlets, int top, double width, Lanes lanes) {
        if (stretch == top && outlets >= top) {
            return stretch < outlets || seats.size() == outlets
                    ? new CircuitLabel(stretch + 1, width - 46, (lanes.top + lanes.bottom) / 2)
                    : new CircuitLabel(stretch + 1, width - 46, lanes.top);
        }
        double from = stretch == 0 ? ORIGIN_X - 30 : seats.get(stretch - 1).x();
        double to = stretch == outlets ? ORIGIN_X - 30 : seats.get(stretch).x();
        double y = stretch < top ? lanes.top : lanes.bottom;
        return new CircuitLabel(stretch + 1, (from + to) / 2, y);
    }

    private static void spurs(Circuit circuit, List<Seat> seats, List<CircuitComparison> compared, Lanes lanes) {
        for (int i = 0; i < circuit.spurs().size(); i++) {
            String point = circuit.spurPoint(i);
            Seat from = seats.get(circuit.spurs().get(i).from() - 1);
            boolean upper = from.y() == lanes.top;
            double y = from.y() + (upper ? SPUR : -SPUR);
            long before = circuit.spurs().subList(0, i).stream()
                    .filter(each -> each.from()
                            == circuit.spurs().get(circuit.spurs().size() - 1).from())
                    .count();
            double x = from.x() + 46 * before;
            String path = String.format(Locale.ROOT, "M%.1f %.1fL%.1f %.1f", from.x(), from.y(), x, y);
            seats.add(
                    new Seat(point, x, y, upper ? y + SPUR_FIELDS : y - 86 - lanes.lift, state(compared, point), path));
        }
    }

    private static String cable(Circuit circuit, List<Seat> seats, int top, double width, Lanes lanes) {
        Seat last = seats.get(circuit.outlets() - 1);
        double middle = (lanes.top + lanes.bottom) / 2;
        String start = String.format(
                Locale.ROOT, "M100 %.1fC120 %.1f 110 %.1f 150 %.1f", middle - 14, lanes.top + 20, lanes.top, lanes.top);
        if (circuit.outlets() <= top && !circuit.ring()) {
            return String.format(Locale.ROOT, "M100 %.1f", lanes.top)
                    + String.format(Locale.ROOT, "L%.1f %.1f", last.x(), last.y());
        }
        String turn = String.format(
                Locale.ROOT,
                "L%.1f %.1fC%.1f %.1f %.1f %.1f %.1f %.1f",
                width - 90,
                lanes.top,
                width - 20,
                lanes.top,
                width - 20,
                lanes.bottom,
                width - 90,
                lanes.bottom);
        return circuit.ring()
                ? start
                        + turn
                        + String.format(
                                Locale.ROOT,
                                "L150 %.1fC110 %.1f 120 %.1f 100 %.1f",
                                lanes.bottom,
                                lanes.bottom,
                                lanes.bottom - 20,
                                middle + 14)
                : start + turn + String.format(Locale.ROOT, "L%.1f %.1f", last.x(), lanes.bottom);
    }

    /** The worst of a point's readings. */
    private static String state(List<CircuitComparison> compared, String point) {
        return compared.stream()
                .filter(each -> each.spot().point().equals(point))
                .map(CircuitComparison::state)
                .max(Enum::compareTo)
                .map(CircuitComparison.ComparisonState::code)
                .orElse("not-tested");
    }

    private static final double LEFT = 70;
    private static final double RIGHT = 1150;
    private static final double FLOOR = 170;
    private static final double CEILING = 24;

    private static Chart chart(Circuit circuit, List<CircuitComparison> compared) {
        double maximum = 1.15
                * compared.stream()
                        .filter(each -> !each.spot().point().isEmpty())
                        .mapToDouble(each -> Math.max(
                                each.expectedOhm(), Math.min(each.readOhm().orElse(0), 4 * each.expectedOhm())))
                        .max()
                        .orElse(1);
        List<CircuitDot> dots = compared.stream()
                .filter(each ->
                        !each.spot().point().isEmpty() && each.state() != CircuitComparison.ComparisonState.NOT_TESTED)
                .map(each -> dot(circuit, each, maximum))
                .toList();
        List<CircuitTick> across = new ArrayList<>(List.of(new CircuitTick(LEFT, "0 m")));
        for (int i = 1; i <= circuit.outlets(); i++) {
            across.add(new CircuitTick(x(circuit, circuit.metresTo(i)), String.valueOf(i)));
        }
        if (circuit.ring()) {
            across.add(new CircuitTick(RIGHT, Words.figure(circuit.metres(), "m")));
        }
        List<CircuitTick> up = new ArrayList<>();
        double stride = Math.pow(10, Math.floor(Math.log10(maximum / 2)));
        stride = maximum / stride > 12 ? stride * 5 : maximum / stride > 5 ? stride * 2 : stride;
        for (double ohm = stride; ohm < maximum; ohm += stride) {
            up.add(new CircuitTick(y(ohm, maximum), Words.figure(Math.round(ohm * 1e6) / 1e6, "Ω")));
        }
        return new Chart(
                1180,
                224,
                path(circuit, compared, circuit.linked(ConductorRole.NEUTRAL), maximum),
                path(circuit, compared, circuit.linked(ConductorRole.PROTECTIVE), maximum),
                dots,
                across,
                up);
    }

    private static CircuitDot dot(Circuit circuit, CircuitComparison each, double maximum) {
        OptionalDouble ohm = each.readOhm();
        double shown = Math.min(ohm.orElse(maximum), maximum);
        return new CircuitDot(
                x(circuit, metres(circuit, each.spot().point()))
                        + (each.spot().point().matches("\\d+") ? 0 : 14),
                y(shown, maximum),
                each.spot().linked().other() == ConductorRole.PROTECTIVE,
                ohm.isEmpty(),
                each.state().code(),
                Words.say("circuit_drawing.expected", each.spot().words(), each.readText(), each.expectedText()));
    }

    private static String path(Circuit circuit, List<CircuitComparison> compared, EndLink linked, double maximum) {
        StringBuilder path = new StringBuilder();
        compared.stream()
                .filter(each ->
                        each.spot().linked() == linked && each.spot().point().matches("\\d+"))
                .forEach(each -> path.append(String.format(
                        Locale.ROOT,
                        "%s%.1f %.1f",
                        path.length() == 0 ? "M" : "L",
                        x(circuit, metres(circuit, each.spot().point())),
                        y(each.expectedOhm(), maximum))));
        return path.toString();
    }

    /** Metres along the cable to a point, a spur's end counted as where it leaves. */
    private static double metres(Circuit circuit, String point) {
        return circuit.metresTo(Integer.parseInt(point.replaceAll("\\D", "")));
    }

    private static double x(Circuit circuit, double metres) {
        return LEFT + (RIGHT - LEFT) * metres / circuit.metres();
    }

    private static double y(double ohm, double maximum) {
        return FLOOR - (FLOOR - CEILING) * ohm / maximum;
    }
}
