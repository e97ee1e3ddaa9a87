package zestymarten.web.drawing;

import java.util.List;
import java.util.Optional;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Finding;

/** The knots that faults are on the strands of a drawing: each kind has a form of its own. */
final class FaultKnots {
    private final List<Conductor> shown;
    private final StrandPlaces strands;

    /** Where strands and terminals are on the drawing. */
    interface StrandPlaces {
        /** A point of a strand: 0 at its beginning, 1 at its end. */
        Point along(Conductor conductor, double share);

        /** Where a terminal is. */
        Point place(Terminal terminal);

        /** Where the far end of a wire is, though it may belong elsewhere. */
        Point to(Conductor conductor);
    }

    FaultKnots(List<Conductor> shown, StrandPlaces strands) {
        this.shown = shown;
        this.strands = strands;
    }

    List<AssemblyDrawing.Knot> of(Finding finding) {
        List<Conductor> concerned = shown.stream()
                .filter(each -> finding.conductors().contains(each.id()))
                .toList();
        if (concerned.isEmpty()) {
            return List.of();
        }
        return switch (finding.kind()) {
            case "open" -> concerned.stream().map(this::gap).toList();
            case "high_resistance", "low_resistance", "intermittent" -> List.of(kink(finding.kind(), concerned.get(0)));
            case "short", "leak" -> List.of(bar(finding.kind(), concerned));
            case "frame_short" -> List.of(comb(concerned));
            case "misplaced" -> concerned.stream().map(this::hook).toList();
            default -> List.of();
        };
    }

    private AssemblyDrawing.Knot gap(Conductor conductor) {
        Point a = strands.along(conductor, 0.45);
        Point b = strands.along(conductor, 0.55);
        Point middle = strands.along(conductor, 0.5);
        String path = Paths.move(a.x() + 3, a.y() - 9)
                + Paths.line(a.x() + 3, a.y() + 9)
                + Paths.move(b.x() - 3, b.y() - 9)
                + Paths.line(b.x() - 3, b.y() + 9);
        return new AssemblyDrawing.Knot("open", path, List.of(), Optional.of(new Point(middle.x(), middle.y() - 13)));
    }

    private AssemblyDrawing.Knot kink(String kind, Conductor conductor) {
        Point m = strands.along(conductor, 0.62);
        String path = Paths.move(m.x() - 22, m.y())
                + Paths.line(m.x() - 15, m.y() - 9)
                + Paths.line(m.x() - 6, m.y() + 9)
                + Paths.line(m.x() + 3, m.y() - 9)
                + Paths.line(m.x() + 12, m.y() + 9)
                + Paths.line(m.x() + 20, m.y());
        return new AssemblyDrawing.Knot(kind, path, List.of(), Optional.of(new Point(m.x(), m.y() - 13)));
    }

    private AssemblyDrawing.Knot bar(String kind, List<Conductor> concerned) {
        List<Point> dots =
                concerned.stream().map(each -> strands.along(each, 0.36)).toList();
        StringBuilder path = new StringBuilder();
        for (int i = 0; i < dots.size(); i++) {
            path.append(
                    i == 0
                            ? Paths.move(dots.get(i).x(), dots.get(i).y())
                            : Paths.line(dots.get(i).x(), dots.get(i).y()));
        }
        Point first = dots.get(0);
        return new AssemblyDrawing.Knot(kind, path.toString(), dots, Optional.of(new Point(first.x(), first.y() - 11)));
    }

    private AssemblyDrawing.Knot comb(List<Conductor> concerned) {
        List<Point> dots =
                concerned.stream().map(each -> strands.along(each, 0.72)).toList();
        double bottom = dots.stream().mapToDouble(Point::y).max().orElse(0) + 15;
        StringBuilder path = new StringBuilder();
        dots.forEach(dot -> path.append(Paths.move(dot.x(), dot.y())).append(Paths.line(dot.x(), bottom)));
        double x = dots.get(0).x();
        path.append(Paths.move(x - 14, bottom)).append(Paths.line(x + 14, bottom));
        for (int i = 0; i < 4; i++) {
            path.append(Paths.move(x - 12 + 8 * i, bottom)).append(Paths.line(x - 16 + 8 * i, bottom + 7));
        }
        return new AssemblyDrawing.Knot(
                "frame_short",
                path.toString(),
                dots,
                Optional.of(new Point(x, dots.get(0).y() - 11)));
    }

    /** The cavity where the end should be, marked by an empty loop. */
    private AssemblyDrawing.Knot hook(Conductor conductor) {
        Point home = strands.place(conductor.to());
        double x = home.x() + (home.x() > AssemblyDrawing.WIDTH / 2 ? -12 : 12);
        String path = Paths.move(x, home.y() - 7) + "a7 7 0 1 0 0.1 0";
        return new AssemblyDrawing.Knot(
                "misplaced",
                path,
                List.of(),
                Optional.of(new Point(
                        strands.to(conductor).x() - 60, strands.to(conductor).y() - 9)));
    }
}
