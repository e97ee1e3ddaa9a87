package zestymarten.web.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.CavityLayout;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Connector;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.assembly.WireList;
import zestymarten.core.finding.Finding;
import zestymarten.core.judgement.Expectation;
import zestymarten.core.limit.LimitRules;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestStep;

/** The geometry of faces, strands, bands and probes. */
class DrawingTest {
    private static final FaceDrawing.Room ROOM = new FaceDrawing.Room(290, 214, false, Optional.empty());

    private static Assembly assembly(String list) {
        return WireList.read(list).assembly("Cable", AssemblyKind.CABLE, "", Map.of());
    }

    private static Connector connector(CavityLayout face) {
        return new Connector(
                "J1",
                "",
                face,
                IntStream.rangeClosed(1, face.cavities())
                        .mapToObj(Integer::toString)
                        .toList());
    }

    private static double gap(FaceDrawing.Cavity a, FaceDrawing.Cavity b) {
        return Math.hypot(a.x() - b.x(), a.y() - b.y());
    }

    @ParameterizedTest
    @ValueSource(strings = {"1", "7", "24", "3x4", "2x10", "ring 3", "ring 12"})
    void noTwoCavitiesOfAFaceTouchAndAllAreInside(String layout) {
        FaceDrawing face = FaceDrawing.of(connector(CavityLayout.parse(layout).orElseThrow()), Set.of(), ROOM);
        for (FaceDrawing.Cavity a : face.cavities()) {
            assertThat(a.x()).isBetween(face.radius(), face.width() - face.radius());
            assertThat(a.y()).isBetween(face.radius(), face.height() - face.radius());
            for (FaceDrawing.Cavity b : face.cavities()) {
                assertThat(a.equals(b) || gap(a, b) >= 2 * face.radius())
                        .as(a + " " + b)
                        .isTrue();
            }
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"3x4", "5", "ring 6"})
    void theMatingSideIsTheWireSideMirrored(String layout) {
        Connector connector = connector(CavityLayout.parse(layout).orElseThrow());
        FaceDrawing wire = FaceDrawing.of(connector, Set.of(), ROOM);
        FaceDrawing mating =
                FaceDrawing.of(connector, Set.of(), new FaceDrawing.Room(290, 214, true, Optional.empty()));
        for (int i = 0; i < wire.cavities().size(); i++) {
            assertThat(mating.cavities().get(i).x())
                    .isCloseTo(wire.width() - wire.cavities().get(i).x(), org.assertj.core.data.Offset.offset(1e-9));
            assertThat(mating.cavities().get(i).y())
                    .isEqualTo(wire.cavities().get(i).y());
        }
        assertThat(wire.note()).isEqualTo("wire side");
        assertThat(mating.note()).isEqualTo("mating side");
    }

    @Test
    void aLargeFaceIsCutToTheNeighbourhoodOfTheTouch() {
        Terminal focus = Terminal.of("J1.777");
        FaceDrawing face = FaceDrawing.of(
                connector(CavityLayout.grid(30, 30)),
                Set.of(),
                new FaceDrawing.Room(290, 214, false, Optional.of(focus)));
        assertThat(face.cut()).isTrue();
        assertThat(face.at(focus)).isPresent();
        assertThat(face.width()).isLessThanOrEqualTo(290);
        assertThat(face.at(Terminal.of("J1.1"))).isEmpty();
    }

    private static long crossings(AssemblyDrawing drawing) {
        List<double[]> ends = drawing.strands().stream()
                .map(strand -> strand.path().split("[MC ]+"))
                .map(parts -> new double[] {Double.parseDouble(parts[2]), Double.parseDouble(parts[parts.length - 1])})
                .toList();
        return IntStream.range(0, ends.size())
                .mapToLong(i -> IntStream.range(i + 1, ends.size())
                        .filter(j -> (ends.get(i)[0] - ends.get(j)[0]) * (ends.get(i)[1] - ends.get(j)[1]) < 0)
                        .count())
                .sum();
    }

    @Test
    void anyPermutationIsDrawnWithoutACrossing() {
        StringBuilder list = new StringBuilder("from,to\n");
        for (int i = 0; i < 12; i++) {
            list.append("J1.")
                    .append(i + 1)
                    .append(",J2.")
                    .append(i * 7 % 12 + 1)
                    .append('\n');
        }
        assertThat(crossings(AssemblyDrawing.of(assembly(list.toString()), List.of())))
                .isZero();
    }

    @Test
    void aCavityWithoutAWireStaysBesideItsNeighbour() {
        Assembly design = WireList.read("from,to\nJ1.1,J2.1\nJ1.2,J2.2\nJ1.4,J2.4\n")
                .assembly(
                        "Cable",
                        AssemblyKind.CABLE,
                        "",
                        Map.of("J1", CavityLayout.line(4), "J2", CavityLayout.line(4)));
        AssemblyDrawing drawing = AssemblyDrawing.of(design, List.of());
        assertThat(drawing.bodies().get(1).pins().stream().map(AssemblyDrawing.Pin::name))
                .containsExactly("1", "2", "3", "4");
        assertThat(drawing.bodies().get(1).pins().get(2).used()).isFalse();
    }

    @Test
    void everyFaultIsAKnotAndMovedEndsAreSeenToMove() {
        Assembly design = assembly("wire,from,to\nW1,J1.1,J2.1\nW2,J1.2,J2.2\nW3,J1.3,J2.3\nW4,J1.4,J2.4\n");
        Map<String, String> straight = paths(AssemblyDrawing.of(design, List.of()));
        List<Finding> findings = List.of(
                new Finding.Crossed(List.of(
                        new Finding.Move("W1", Terminal.of("J2.1"), Terminal.of("J2.2")),
                        new Finding.Move("W2", Terminal.of("J2.2"), Terminal.of("J2.1")))),
                new Finding.Open("W3", Terminal.of("J1.3"), Terminal.of("J2.3")),
                new Finding.FrameShort(List.of(
                        new Finding.Piece(List.of("W4"), Terminal.of("J1.4"), Finding.Piece.DeviationForm.WIRES))));
        AssemblyDrawing drawing = AssemblyDrawing.of(design, findings);
        Map<String, String> faulty = paths(drawing);
        assertThat(faulty.get("W1")).isNotEqualTo(straight.get("W1"));
        assertThat(faulty.get("W4")).isEqualTo(straight.get("W4"));
        assertThat(faulty.get("W3"))
                .as("a gap: the pen is lifted once")
                .contains("M", "L")
                .matches("M[^M]+M[^M]+");
        assertThat(drawing.knots().stream().map(AssemblyDrawing.Knot::kind)).containsExactly("open", "frame_short");
        assertThat(drawing.strands().stream()
                        .collect(Collectors.toMap(AssemblyDrawing.Strand::id, AssemblyDrawing.Strand::fault)))
                .containsEntry("W1", "crossed")
                .containsEntry("W3", "open");
    }

    private static Map<String, String> paths(AssemblyDrawing drawing) {
        Map<String, String> paths = new HashMap<>();
        drawing.strands().forEach(strand -> paths.put(strand.id(), strand.path()));
        return paths;
    }

    @Test
    void aHugeHarnessLeavesOutStrandsButNeverAFaultyOne() {
        String list = "from,to\n"
                + IntStream.rangeClosed(1, 2000)
                        .mapToObj(i -> "J1." + i + ",J2." + i)
                        .collect(Collectors.joining("\n"));
        Assembly design = assembly(list.replaceAll("J1\\.(\\d+),", "J1.$1,"));
        Conductor last = design.conductors().get(1999);
        AssemblyDrawing drawing =
                AssemblyDrawing.of(design, List.of(new Finding.Open(last.id(), last.from(), last.to())));
        assertThat(drawing.strands()).hasSize(AssemblyDrawing.MAX);
        assertThat(drawing.leftOut()).isEqualTo(1700);
        assertThat(drawing.strands()).extracting(AssemblyDrawing.Strand::id).contains(last.id());
    }

    private static Expectation joined() {
        Conductor conductor = assembly("from,to,length_m,area_mm2\nJ1.1,J2.1,8.2,0.5\n")
                .conductors()
                .get(0);
        return new Expectation.Joined(new LimitRules(20).of(conductor), false);
    }

    @Test
    void theBandShowsTheAllowedStretchAndWhereTheReadingStands() {
        BandDrawing band = BandDrawing.of(joined(), 1e4, List.of(0.27, 0.29), OptionalDouble.of(0.30));
        assertThat(band.allowed().text()).isEqualTo("allowed: 0.2262 Ω to 0.3198 Ω");
        assertThat(band.needle().orElseThrow()).isBetween(band.from(), band.to());
        assertThat(band.like()).hasSize(2).isSorted();
        BandDrawing high = BandDrawing.of(joined(), 1e4, List.of(), OptionalDouble.of(3.6));
        assertThat(high.needle().orElseThrow()).isGreaterThan(high.to());
        BandDrawing open = BandDrawing.of(joined(), 1e4, List.of(), OptionalDouble.of(Double.POSITIVE_INFINITY));
        assertThat(open.needle().orElseThrow()).isEqualTo(open.openAt());
        BandDrawing apart = BandDrawing.of(new Expectation.Apart(), 1e4, List.of(), OptionalDouble.empty());
        assertThat(apart.needlePath()).isEmpty();
        assertThat(apart.allowed().text()).isEqualTo("allowed: open");
    }

    @Test
    void probesStandOnTheirPinsAndTheStrandJoinsThem() {
        Assembly design = assembly("from,to\nJ1.1,J2.1\nJ1.2,J2.2\n");
        TestStep.Measurement measurement =
                new TestStep.Measurement(Stage.CONTINUITY, Terminal.of("J1.2"), Terminal.of("J2.2"));
        Design made = Design.of(design, 20);
        StepDrawing drawing =
                StepDrawing.of(design, measurement, made.nets().route(measurement.black(), measurement.red()), false);
        assertThat(drawing.plates()).hasSize(2);
        StepDrawing.Needle black = drawing.needles().get(0);
        assertThat(drawing.plates().get(0).face().orElseThrow().at(measurement.black()))
                .contains(new Point(black.x(), black.y()));
        assertThat(drawing.strand()).isPresent();
        TestStep.Measurement apart = new TestStep.Measurement(Stage.SHORTS, Terminal.of("J1.1"), Terminal.of("J1.2"));
        StepDrawing one = StepDrawing.of(design, apart, List.of(), false);
        assertThat(one.plates()).as("both pins on one face").hasSize(1);
        assertThat(one.strand()).isEmpty();
        TestStep.Measurement frame = new TestStep.Measurement(Stage.FRAME, Terminal.of("J1.1"), Terminal.FRAME);
        assertThat(StepDrawing.of(design, frame, List.of(), false).plates()).anyMatch(StepDrawing.Plate::frame);
    }
}
