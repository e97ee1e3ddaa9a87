package zestymarten.web.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Connector;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.testplan.TestStep;

/**
 * What a technician needs to see at one measurement: the faces concerned, the two pins, the two probes, and the wire between
 * them if there should be one.
 *
 * @param plates connectors' bodies behind the faces
 * @param links paths through the pins that are linked together, as far as they are on the faces shown
 * @param strand path of the wire that should join the pins, empty if they should be apart
 */
public record StepDrawing(
        double width,
        double height,
        List<Plate> plates,
        List<Needle> needles,
        List<String> links,
        Optional<String> strand,
        Optional<Conductor> conductor) {

    /** Where on its length, from the middle of the pin, a needle ends. */
    private static final double SHORT_OF_NUMBER = 0.2;

    private static final double WIDTH = 720;
    private static final double TOP = 40;
    private static final double FACE_WIDTH = 290;
    private static final double FACE_HEIGHT = 214;
    private static final double SIDE = 24;
    /** Room beside a face that stands alone: the less there is, the larger it is drawn. */
    private static final double BESIDE = 70;

    public StepDrawing {
        plates = List.copyOf(plates);
        needles = List.copyOf(needles);
        links = List.copyOf(links);
    }

    /** A face on its body, at its place; {@code frame} for the bare metal that stands for the frame. */
    public record Plate(double x, double y, double width, double height, boolean frame, Optional<FaceDrawing> face) {}

    /** A probe: its point on the pin, its handle away from it. */
    public record Needle(String colour, String pin, double x, double y, String path, double labelX, double labelY) {}

    /** The face of one connector, with what is linked together on it. */
    public static StepDrawing of(Assembly assembly, Connector connector, List<List<Terminal>> links, boolean mating) {
        FaceDrawing face = FaceDrawing.of(
                connector, used(assembly), new FaceDrawing.Room(FACE_WIDTH * 2, FACE_HEIGHT, mating, Optional.empty()));
        Plate plate = placed(new Plate(0, TOP, face.width(), face.height(), false, Optional.of(face)), BESIDE);
        return new StepDrawing(
                face.width() + 2 * BESIDE,
                TOP + face.height() + 44,
                List.of(plate),
                List.of(),
                linked(List.of(plate), links),
                Optional.empty(),
                Optional.empty());
    }

    /** A line through the pins of each link, face by face, in cavity order. */
    private static List<String> linked(List<Plate> plates, List<List<Terminal>> links) {
        List<String> paths = new ArrayList<>();
        for (List<Terminal> link : links) {
            for (Plate plate : plates) {
                List<Point> points = link.stream()
                        .flatMap(each -> plate.face().flatMap(face -> face.at(each)).stream())
                        .toList();
                if (points.size() > 1) {
                    paths.add(through(points));
                }
            }
        }
        return paths;
    }

    private static String through(List<Point> points) {
        StringBuilder path =
                new StringBuilder(Paths.move(points.get(0).x(), points.get(0).y()));
        points.stream().skip(1).forEach(each -> path.append(Paths.line(each.x(), each.y())));
        return path.toString();
    }

    private static Set<Terminal> used(Assembly assembly) {
        return assembly.conductors().stream()
                .flatMap(conductor -> Stream.of(conductor.from(), conductor.to()))
                .collect(Collectors.toSet());
    }

    public static StepDrawing of(
            Assembly assembly, TestStep.Measurement measurement, List<Conductor> route, boolean mating) {
        Set<Terminal> used = used(assembly);
        boolean together =
                measurement.black().connector().equals(measurement.red().connector());
        double width = together ? FACE_WIDTH * 2 : FACE_WIDTH;
        Plate left = plate(
                assembly,
                measurement.black(),
                used,
                new FaceDrawing.Room(width, FACE_HEIGHT, mating, Optional.of(measurement.black())));
        List<Plate> plates = new ArrayList<>();
        double whole = together ? left.width() + 2 * BESIDE : WIDTH;
        if (together) {
            plates.add(placed(left, BESIDE));
        } else {
            Plate right = plate(
                    assembly,
                    measurement.red(),
                    used,
                    new FaceDrawing.Room(width, FACE_HEIGHT, mating, Optional.of(measurement.red())));
            plates.add(placed(left, SIDE));
            plates.add(placed(right, WIDTH - SIDE - right.width()));
        }
        double tallest = plates.stream().mapToDouble(Plate::height).max().orElse(0);
        plates.replaceAll(plate -> lowered(plate, (tallest - plate.height()) / 2));
        Point black = at(plates, measurement.black());
        Point red = at(plates, measurement.red());
        List<Needle> needles = List.of(
                needle("black", measurement.black(), black, black.x() <= red.x()),
                needle("red", measurement.red(), red, red.x() < black.x()));
        Optional<String> strand =
                route.isEmpty() ? Optional.empty() : Optional.of(Paths.strand(black.x(), black.y(), red.x(), red.y()));
        return new StepDrawing(
                whole,
                TOP + tallest + 44,
                plates,
                needles,
                linked(plates, measurement.links()),
                strand,
                route.isEmpty() ? Optional.empty() : Optional.of(route.get(0)));
    }

    private static Plate plate(Assembly assembly, Terminal terminal, Set<Terminal> used, FaceDrawing.Room room) {
        Optional<Connector> connector = assembly.connector(terminal.connector());
        if (connector.isEmpty()) {
            return new Plate(0, TOP, 120, 96, terminal.isFrame(), Optional.empty());
        }
        FaceDrawing face = FaceDrawing.of(connector.get(), used, room);
        return new Plate(0, TOP, face.width(), face.height(), false, Optional.of(face));
    }

    private static Plate placed(Plate plate, double x) {
        return new Plate(
                x,
                plate.y(),
                plate.width(),
                plate.height(),
                plate.frame(),
                plate.face().map(face -> face.movedBy(x, TOP)));
    }

    private static Plate lowered(Plate plate, double dy) {
        return new Plate(
                plate.x(),
                plate.y() + dy,
                plate.width(),
                plate.height(),
                plate.frame(),
                plate.face().map(face -> face.movedBy(0, dy)));
    }

    private static Point at(List<Plate> plates, Terminal terminal) {
        return plates.stream()
                .flatMap(plate -> plate.face().flatMap(face -> face.at(terminal)).stream())
                .findFirst()
                .orElseGet(() -> plates.stream()
                        .filter(plate -> plate.face().isEmpty())
                        .findFirst()
                        .map(plate -> new Point(plate.x() + plate.width() / 2, plate.y() + plate.height() / 2))
                        .orElse(new Point(WIDTH / 2, TOP)));
    }

    /**
     * Needles come from above, leaning outwards, so that neither covers the way between the pins, and end on the pin above
     * its number.
     */
    private static Needle needle(String colour, Terminal terminal, Point point, boolean leansLeft) {
        double lean = leansLeft ? -26 : 26;
        double length = 64;
        double topX = point.x() + lean;
        double topY = point.y() - length;
        double tipX = point.x() + lean * SHORT_OF_NUMBER;
        double tipY = point.y() - length * SHORT_OF_NUMBER;
        String path = Paths.move(tipX, tipY) + Paths.line(topX - 5, topY) + Paths.line(topX + 5, topY) + "Z";
        return new Needle(colour, terminal.pin(), point.x(), point.y(), path, topX, Math.max(14, topY - 6));
    }
}
