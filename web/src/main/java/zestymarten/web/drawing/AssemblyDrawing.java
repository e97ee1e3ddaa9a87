package zestymarten.web.drawing;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Colour;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Connector;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Finding;
import zestymarten.web.platform.Words;

/**
 * An assembly as strands between two columns of connectors, with joints as beads between them and faults as knots in the
 * strands.
 *
 * <p>Method: connectors are put left or right so that most wires run across (first come, first side; each further one to
 * the side with fewer of its partners); lanes of the right column are ordered by the mean place of their partners, which
 * leaves a plain cable without a crossing. Cost: linear in the conductors but for sorting.
 */
public record AssemblyDrawing(
        double width,
        double height,
        List<Body> bodies,
        List<Strand> strands,
        List<StrandBead> beads,
        List<PartMark> parts,
        List<Knot> knots,
        Optional<Point> frame,
        List<Note> notes,
        int leftOut) {

    /** More strands than this are not drawn in one picture. */
    public static final int MAX = 300;

    static final double WIDTH = 620;
    private static final double BODY_WIDTH = 96;
    private static final double HEAD = 34;
    private static final int LONGEST_TITLE = 12;
    private static final double GAP = 22;
    private static final double TOP = 10;
    /** How far a part between two pins of one column reaches into their bodies, and how much further the next one. */
    private static final double PART_IN = 62;

    private static final double PART_STEP = 34;
    private static final int PART_STEPS = 2;

    public AssemblyDrawing {
        bodies = List.copyOf(bodies);
        strands = List.copyOf(strands);
        beads = List.copyOf(beads);
        parts = List.copyOf(parts);
        knots = List.copyOf(knots);
        notes = List.copyOf(notes);
    }

    /** A connector with its pins in lane order. */
    public record Body(String title, boolean right, double x, double y, double width, double height, List<Pin> pins) {}

    /** A pin at the edge of its body. */
    public record Pin(String name, double x, double y, boolean used) {}

    /**
     * A wire.
     *
     * @param base paint of the insulation; empty if it is not known
     * @param fault name of the fault it shows, empty if none
     * @param labels where the wire's name stands at its two ends
     */
    public record Strand(
            String id, String path, Optional<String> base, Optional<String> tracer, String fault, List<Point> labels) {}

    /** A joint. */
    public record StrandBead(String name, double x, double y) {}

    /** A part with its symbol, on the way between its two terminals. */
    public record PartMark(String name, String path, String symbol, double x, double y) {}

    /** A fault on the drawing: its kind, its place and a path. */
    public record Knot(String kind, String path, List<Point> dots, Optional<Point> word) {
        /** Its kind in words. */
        public String said() {
            return Words.say(Finding.wordOf(kind));
        }
    }

    /** What was seen by eye, pinned where it was seen; {@code number} is that of the note in its list, from 1. */
    public record Note(int number, double x, double y) {}

    public static AssemblyDrawing of(Assembly assembly, List<Finding> findings) {
        return of(assembly, findings, List.of());
    }

    /**
     * With what was seen by eye pinned to it.
     *
     * @param seen where something was seen by eye: connectors, joints and zones by their names, in the order of the notes; one
     *     that is on no strand of the drawing gets no pin
     */
    public static AssemblyDrawing of(Assembly assembly, List<Finding> findings, List<String> seen) {
        return new Layout(assembly, findings).draw(seen);
    }

    /** The working state of one drawing. */
    private static final class Layout implements FaultKnots.StrandPlaces {
        private final List<Conductor> shown;
        private final Assembly assembly;
        private final Map<String, String> faultOf = new HashMap<>();
        private final Map<StrandEnd, Terminal> moved = new HashMap<>();
        private final List<Finding> findings;
        private final Map<String, Boolean> onRight = new HashMap<>();
        private final Map<Terminal, Point> places = new LinkedHashMap<>();
        private final double pitch;

        /** One end of a conductor, by where it belongs. */
        private record StrandEnd(String conductor, Terminal designed) {}

        Layout(Assembly assembly, List<Finding> findings) {
            this.assembly = assembly;
            this.findings = findings;
            Set<String> needed = new HashSet<>();
            findings.forEach(finding -> needed.addAll(finding.conductors()));
            List<Conductor> all = assembly.conductors();
            Set<Conductor> first = Set.copyOf(all.subList(0, Math.max(0, Math.min(all.size(), MAX - needed.size()))));
            shown = all.stream()
                    .filter(each -> first.contains(each) || needed.contains(each.id()))
                    .limit(MAX)
                    .toList();
            for (Finding finding : findings) {
                for (int i = 0; i < finding.conductors().size(); i++) {
                    faultOf.putIfAbsent(finding.conductors().get(i), finding.kind());
                }
                finding.moved()
                        .forEach(move -> moved.put(new StrandEnd(move.conductor(), move.designed()), move.cavity()));
            }
            pitch = shown.size() <= 24 ? 30 : shown.size() <= 60 ? 22 : 14;
        }

        AssemblyDrawing draw(List<String> seen) {
            chooseSides();
            List<Body> bodies = new ArrayList<>(column(false));
            bodies.addAll(column(true));
            double height = bodies.stream()
                            .mapToDouble(body -> body.y() + body.height())
                            .max()
                            .orElse(40)
                    + 30;
            List<StrandBead> beads = beads();
            places.put(Terminal.FRAME, frameAt(height));
            List<Strand> strands = shown.stream().map(this::strand).toList();
            FaultKnots linked = new FaultKnots(shown, this);
            List<Knot> knots = findings.stream()
                    .flatMap(finding -> linked.of(finding).stream())
                    .toList();
            return new AssemblyDrawing(
                    WIDTH,
                    height,
                    bodies,
                    strands,
                    beads,
                    parts(),
                    knots,
                    frame(height),
                    notes(seen),
                    assembly.conductors().size() - shown.size());
        }

        private void chooseSides() {
            Map<String, Map<String, Integer>> partners = new HashMap<>();
            for (Conductor conductor : assembly.conductors()) {
                String a = conductor.from().connector();
                String b = conductor.to().connector();
                partners.computeIfAbsent(a, any -> new TreeMap<>()).merge(b, 1, Integer::sum);
                partners.computeIfAbsent(b, any -> new TreeMap<>()).merge(a, 1, Integer::sum);
            }
            for (Connector connector : assembly.connectors()) {
                int balance = 0;
                for (var partner :
                        partners.getOrDefault(connector.id(), Map.of()).entrySet()) {
                    Boolean side = onRight.get(partner.getKey());
                    balance += side == null ? 0 : side ? -partner.getValue() : partner.getValue();
                }
                onRight.put(connector.id(), balance > 0 || (balance == 0 && !onRight.isEmpty()));
            }
        }

        private List<Body> column(boolean right) {
            Set<Terminal> drawn = new HashSet<>();
            shown.forEach(each -> drawn.addAll(List.of(each.from(), each.to())));
            drawn.addAll(moved.values());
            assembly.components().forEach(each -> drawn.addAll(List.of(each.a(), each.b())));
            boolean few = assembly.conductors().size() <= 60;
            List<Body> bodies = new ArrayList<>();
            double y = TOP;
            for (Connector connector : assembly.connectors()) {
                if (onRight.getOrDefault(connector.id(), false) != right) {
                    continue;
                }
                List<Terminal> lanes = new ArrayList<>(connector.terminals());
                lanes.removeIf(terminal -> !few && !drawn.contains(terminal));
                if (right) {
                    lanes = new LaneOrder(shown, places).of(lanes);
                }
                double x = right ? WIDTH - BODY_WIDTH : 0;
                double edge = right ? x : BODY_WIDTH;
                List<Pin> pins = new ArrayList<>();
                double at = y + HEAD + pitch / 2;
                for (Terminal terminal : lanes) {
                    places.put(terminal, new Point(edge, at));
                    pins.add(new Pin(terminal.pin(), edge, at, drawn.contains(terminal)));
                    at += pitch;
                }
                double height = HEAD + lanes.size() * pitch + 8;
                bodies.add(new Body(shortened(connector.title()), right, x, y, BODY_WIDTH, height, pins));
                y += height + GAP;
            }
            return bodies;
        }

        /** As much of a title as its body is wide. */
        private static String shortened(String title) {
            return title.length() <= LONGEST_TITLE ? title : title.substring(0, LONGEST_TITLE - 1) + "…";
        }

        private List<StrandBead> beads() {
            List<StrandBead> beads = new ArrayList<>();
            for (Terminal joint : assembly.jointTerminals()) {
                double sum = 0;
                int count = 0;
                for (Conductor conductor : shown) {
                    boolean ends =
                            conductor.from().equals(joint) || conductor.to().equals(joint);
                    Point other = ends ? places.get(conductor.otherEnd(joint)) : null;
                    if (other != null) {
                        sum += other.y();
                        count++;
                    }
                }
                Point place =
                        new Point(WIDTH * (beads.size() % 2 == 0 ? 0.46 : 0.56), count == 0 ? TOP + HEAD : sum / count);
                places.put(joint, place);
                beads.add(new StrandBead(joint.name(), place.x(), place.y()));
            }
            return beads;
        }

        /** Parts whose terminals are both drawn; several between the same columns stand beside each other. */
        private List<PartMark> parts() {
            List<PartMark> parts = new ArrayList<>();
            for (Component part : assembly.components()) {
                Point a = places.get(part.a());
                Point b = places.get(part.b());
                if (a != null && b != null && parts.size() < MAX) {
                    parts.add(part(part, a, b, parts.size()));
                }
            }
            return parts;
        }

        private static PartMark part(Component part, Point a, Point b, int number) {
            boolean beside = a.x() == b.x();
            double in = (a.x() < WIDTH / 2 ? -1 : 1) * (PART_IN + PART_STEP * (number % PART_STEPS));
            Point middle = beside
                    ? new Point(a.x() + 0.75 * in, (a.y() + b.y()) / 2) // of a cubic whose ends lie on one line
                    : Paths.along(a.x(), a.y(), b.x(), b.y(), 0.5);
            String path = beside ? loop(a, b, in) : Paths.strand(a.x(), a.y(), b.x(), b.y());
            return new PartMark(part.id(), path, PartSymbols.of(part.kind(), middle), middle.x(), middle.y());
        }

        private List<Note> notes(List<String> seen) {
            List<Note> notes = new ArrayList<>();
            for (int i = 0; i < seen.size(); i++) {
                int number = i + 1;
                pinned(seen.get(i)).ifPresent(at -> notes.add(new Note(number, at.x(), at.y())));
            }
            return notes;
        }

        /** At the inner corner of a connector, under a joint, on the first strand of a zone. */
        private Optional<Point> pinned(String subject) {
            Optional<Point> joint = assembly.jointTerminals().stream()
                    .filter(each -> each.name().equals(subject))
                    .map(each -> new Point(place(each).x(), place(each).y() + 8))
                    .findFirst();
            Optional<Point> zone = shown.stream()
                    .filter(each -> each.zone().filter(subject::equals).isPresent())
                    .map(each -> along(each, 0.28))
                    .findFirst();
            return assembly.connector(subject).map(this::corner).or(() -> joint).or(() -> zone);
        }

        private Point corner(Connector connector) {
            double top = connector.terminals().stream()
                            .mapToDouble(each -> place(each).y())
                            .min()
                            .orElse(TOP + HEAD)
                    - pitch / 2;
            boolean right = onRight.getOrDefault(connector.id(), false);
            return new Point(right ? WIDTH - BODY_WIDTH : BODY_WIDTH, top - HEAD / 2);
        }

        private static Point frameAt(double height) {
            return new Point(WIDTH / 2, height - 24);
        }

        /** The bare metal, where a wire is bonded to it. */
        private Optional<Point> frame(double height) {
            boolean bonded = shown.stream()
                    .anyMatch(each -> each.from().isFrame() || each.to().isFrame());
            return bonded ? Optional.of(frameAt(height)) : Optional.empty();
        }

        @Override
        public Point place(Terminal terminal) {
            return places.getOrDefault(terminal, new Point(WIDTH / 2, TOP));
        }

        private Point from(Conductor conductor) {
            return place(moved.getOrDefault(new StrandEnd(conductor.id(), conductor.from()), conductor.from()));
        }

        @Override
        public Point to(Conductor conductor) {
            return place(moved.getOrDefault(new StrandEnd(conductor.id(), conductor.to()), conductor.to()));
        }

        private Strand strand(Conductor conductor) {
            Point a = from(conductor);
            Point b = to(conductor);
            String path = a.x() == b.x() ? loop(a, b) : Paths.strand(a.x(), a.y(), b.x(), b.y());
            String fault = faultOf.getOrDefault(conductor.id(), "");
            if (fault.equals("open") && a.x() != b.x()) {
                path = stubs(a, b);
            }
            Optional<Colour> colour = conductor.colour();
            List<Point> labels = pitch < 20 ? List.of() : List.of(label(a, b), label(b, a));
            return new Strand(
                    conductor.id(),
                    path,
                    colour.flatMap(Colour::base),
                    colour.flatMap(Colour::tracer),
                    fault,
                    conductor.from().isPin() && conductor.to().isPin()
                            ? labels
                            : labels.stream().limit(1).toList());
        }

        private static Point label(Point end, Point other) {
            return new Point(end.x() + (other.x() >= end.x() ? 30 : -30), end.y());
        }

        /** A wire between two pins on the same side hangs out as a loop. */
        private static String loop(Point a, Point b) {
            return loop(a, b, a.x() < WIDTH / 2 ? 150 : -150);
        }

        private static String loop(Point a, Point b, double out) {
            return Paths.move(a.x(), a.y()) + "C" + Paths.figure(a.x() + out) + " " + Paths.figure(a.y()) + " "
                    + Paths.figure(b.x() + out) + " " + Paths.figure(b.y()) + " " + Paths.figure(b.x()) + " "
                    + Paths.figure(b.y());
        }

        private static String stubs(Point a, Point b) {
            StringBuilder path = new StringBuilder(Paths.move(a.x(), a.y()));
            for (int i = 1; i <= 9; i++) {
                Point point = Paths.along(a.x(), a.y(), b.x(), b.y(), i * 0.05);
                path.append(Paths.line(point.x(), point.y()));
            }
            Point again = Paths.along(a.x(), a.y(), b.x(), b.y(), 0.55);
            path.append(Paths.move(again.x(), again.y()));
            for (int i = 12; i <= 20; i++) {
                Point point = Paths.along(a.x(), a.y(), b.x(), b.y(), i * 0.05);
                path.append(Paths.line(point.x(), point.y()));
            }
            return path.toString();
        }

        @Override
        public Point along(Conductor conductor, double share) {
            Point a = from(conductor);
            Point b = to(conductor);
            return a.x() == b.x()
                    ? new Point(a.x() + (a.x() < WIDTH / 2 ? 112 : -112), a.y() + (b.y() - a.y()) * share)
                    : Paths.along(a.x(), a.y(), b.x(), b.y(), share);
        }
    }
}
