package zestymarten.web.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.WireList;
import zestymarten.core.circuit.CableStretch;
import zestymarten.core.circuit.Circuit;
import zestymarten.core.circuit.CircuitComparison;
import zestymarten.core.circuit.CircuitReadings;
import zestymarten.core.circuit.CircuitShape;
import zestymarten.core.circuit.EndLink;
import zestymarten.core.circuit.Spot;
import zestymarten.core.circuit.Spur;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.portable.LeadTest;

/** Drawings that carry fields: nothing lies over anything else, whatever the size. */
class WorksheetDrawingTest {
    private static final double FIELD = 84;

    private static Circuit circuit(boolean ring, int outlets, List<Spur> spurs) {
        return circuit(ring ? CircuitShape.RING : CircuitShape.RADIAL, outlets, spurs);
    }

    private static Circuit circuit(CircuitShape shape, int outlets, List<Spur> spurs) {
        return new Circuit(
                shape,
                IntStream.range(0, outlets + (shape == CircuitShape.RING ? 1 : 0))
                        .mapToObj(i -> new CableStretch(3 + i % 4, 2.5, 1.5))
                        .toList(),
                spurs,
                20);
    }

    private static CircuitDrawing drawn(Circuit circuit) {
        return CircuitDrawing.of(circuit, CircuitComparison.all(circuit, new CircuitReadings(Map.of())));
    }

    @Test
    void fieldsOfACircuitOfAnySizeLieApartAndInside() {
        for (CircuitShape shape : CircuitShape.values()) {
            double fields = shape == CircuitShape.THREE_PHASE ? 140 : 70;
            for (int outlets = 1; outlets <= Circuit.MAX_OUTLETS; outlets++) {
                CircuitDrawing drawing = drawn(circuit(shape, outlets, List.of()));
                List<CircuitDrawing.Seat> seats = drawing.seats();
                assertThat(seats).hasSize(outlets);
                assertThat(drawing.stretches()).hasSize(outlets + (shape == CircuitShape.RING ? 1 : 0));
                for (CircuitDrawing.Seat one : seats) {
                    assertThat(one.fieldX()).isGreaterThan(100);
                    assertThat(one.fieldX() + FIELD).isLessThan(drawing.width());
                    assertThat(one.fieldY()).isBetween(0.0, drawing.height() - fields);
                    boolean above = one.fieldY() < one.y();
                    assertThat(above ? one.y() - one.fieldY() - fields : one.fieldY() - one.y())
                            .isEqualTo(18);
                    assertThat(seats)
                            .filteredOn(other -> !other.equals(one) && other.y() == one.y())
                            .allMatch(other -> Math.abs(other.x() - one.x()) > FIELD);
                }
                assertThat(drawing.stretches())
                        .allMatch(label -> label.x() - 36 >= 0 && label.x() + 36 <= drawing.width());
            }
        }
    }

    @Test
    void aSpurHangsInsideTheRingWithFieldsOfItsOwn() {
        CircuitDrawing drawing = drawn(circuit(true, 6, List.of(new Spur(2, new CableStretch(4, 2.5, 1.5)))));
        CircuitDrawing.Seat outlet = drawing.seats().get(1);
        CircuitDrawing.Seat spur = drawing.seats().get(6);
        assertThat(spur.point()).isEqualTo("2s");
        assertThat(spur.x()).isEqualTo(outlet.x());
        assertThat(spur.y()).isGreaterThan(outlet.y());
        assertThat(spur.spur()).startsWith("M").contains("L");
    }

    @Test
    void fourFieldsOfASpurHangClearOfTheLaneBelow() {
        CircuitDrawing drawing =
                drawn(circuit(CircuitShape.THREE_PHASE, 14, List.of(new Spur(2, new CableStretch(4, 2.5, 1.5)))));
        CircuitDrawing.Seat below = drawing.seats().get(13);
        CircuitDrawing.Seat spur = drawing.seats().get(14);
        assertThat(spur.fieldY() + 140).isLessThan(below.y() - 13);
    }

    @Test
    void theFieldsOfASpurOfAShortRadialAreNotCutOffAndEveryRowOfPointsIsNamed() {
        for (CircuitShape shape : CircuitShape.values()) {
            CircuitDrawing drawing = drawn(circuit(shape, 3, List.of(new Spur(2, new CableStretch(4, 2.5, 1.5)))));
            CircuitDrawing.Seat spur = drawing.seats().get(3);
            double fields = shape == CircuitShape.THREE_PHASE ? 140 : 70;
            assertThat(spur.fieldY() + fields).as(shape.name()).isLessThanOrEqualTo(drawing.height());
            assertThat(drawing.named())
                    .contains(drawing.seats().get(0), spur)
                    .hasSize(shape == CircuitShape.RING ? 3 : 2);
        }
    }

    @Test
    void theChartIsToScaleAndSaysWhatIsOpen() {
        Circuit ring = circuit(true, 4, List.of());
        Map<Spot, OptionalDouble> read = new LinkedHashMap<>();
        read.put(Spot.at(EndLink.LINE_NEUTRAL, "1"), OptionalDouble.of(0.04));
        read.put(Spot.at(EndLink.LINE_PROTECTIVE, "1"), OptionalDouble.of(0.08));
        read.put(Spot.at(EndLink.LINE_PROTECTIVE, "3"), OptionalDouble.empty());
        CircuitDrawing.Chart chart = CircuitDrawing.of(ring, CircuitComparison.all(ring, new CircuitReadings(read)))
                .chart();
        CircuitDrawing.CircuitDot low = chart.dots().get(0);
        CircuitDrawing.CircuitDot high = chart.dots().get(1);
        CircuitDrawing.CircuitDot open = chart.dots().get(2);
        assertThat(low.square()).isFalse();
        assertThat(high.square()).isTrue();
        assertThat(low.x()).isEqualTo(high.x());
        assertThat(170 - high.y()).isEqualTo(2 * (170 - low.y()), org.assertj.core.api.Assertions.within(1e-6));
        assertThat(open.open()).isTrue();
        assertThat(open.state()).isEqualTo("fail");
        assertThat(open.title()).contains("line to protective conductor at point 3", "no continuity", "expected");
        assertThat(chart.across().get(0).text()).isEqualTo("0 m");
        assertThat(chart.across().get(chart.across().size() - 1).text()).isEqualTo("21 m");
    }

    @Test
    void aLeadShowsItsItemsInTheirOrderWithWhatWasTyped() {
        LeadTest check = new LeadTest(
                WireList.read("wire,from,to,colour,function\nL1,P1.1,P2.1,BN,phase\nPE,P1.5,P2.5,GNYE,protective\n")
                        .assembly("Lead", AssemblyKind.LEAD, "", Map.of()),
                new TestConditions(
                        20,
                        new MeterProfile("M", 0.01, 0.01, 30, false, 2e7),
                        OptionalDouble.of(0),
                        LeadPolicy.FULL,
                        false,
                        10_000),
                500,
                false);
        LeadDrawing drawing = LeadDrawing.of(check, check.judge(Map.of("look", "s", "core_PE", "0.2")));
        assertThat(drawing.rows())
                .extracting(LeadDrawing.LeadDrawingRow::id)
                .containsExactly("look", "core_PE", "core_L1", "insulation");
        LeadDrawing.LeadDrawingRow protective = drawing.rows().get(1);
        assertThat(protective.state()).isEqualTo("pass");
        assertThat(protective.typed()).isEqualTo("0.2");
        assertThat(protective.tracer()).isPresent();
        assertThat(drawing.rows().get(2).state()).isEqualTo("not-tested");
        for (int i = 1; i < drawing.rows().size(); i++) {
            assertThat(drawing.rows().get(i).y() - drawing.rows().get(i - 1).y())
                    .isGreaterThan(50);
        }
        assertThat(drawing.height()).isGreaterThan(drawing.rows().get(3).y());
    }
}
