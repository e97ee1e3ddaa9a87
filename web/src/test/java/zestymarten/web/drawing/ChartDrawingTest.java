package zestymarten.web.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.Metal;
import zestymarten.core.assembly.StrandClass;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.assembly.WireList;
import zestymarten.core.comparison.LeadComparison;
import zestymarten.core.comparison.LeadList;
import zestymarten.core.conductor.Breaker;
import zestymarten.core.conductor.DeadShort;
import zestymarten.core.conductor.Feeder;
import zestymarten.core.conductor.FeederWire;
import zestymarten.core.locate.WireChain;
import zestymarten.core.scan.Points;
import zestymarten.core.scan.ProgramText;
import zestymarten.core.scan.ScanProgram;

/** Charts are to scale: what is twice as much stands twice as far. */
class ChartDrawingTest {
    private static final Design CHAIN = Design.of(
            WireList.read("wire,from,to,length_m,zone\nK1,A1.1,A2.1,2,\nK2,A2.1,A3.1,6,flexing\n")
                    .assembly("Chain", AssemblyKind.DEVICE, "", Map.of()),
            20);

    private static ChainDrawing chain(Map<String, Double> factors, Set<String> jumps) {
        WireChain chain = WireChain.of(CHAIN, CHAIN.conductor("K1"), jumps);
        return ChainDrawing.of(chain, Map.of("A2.1", "10 mΩ"), Optional.of("A3.1"), factors, jumps);
    }

    @Test
    void aChainIsAsLongAsItsMetresAndAsThickAsTheFaultIsLikely() {
        ChainDrawing drawing = chain(Map.of(), Set.of());
        assertThat(drawing.beads().stream().map(ChainDrawing.ChainBead::name)).containsExactly("A1.1", "A2.1", "A3.1");
        double first = drawing.beads().get(1).x() - drawing.beads().get(0).x();
        double second = drawing.beads().get(2).x() - drawing.beads().get(1).x();
        assertThat(second - first).as("three times the metres").isGreaterThan(first / 2);
        assertThat(drawing.pieces().get(3).thickness())
                .as("the entry of what flexes")
                .isGreaterThan(drawing.pieces().get(0).thickness());
        assertThat(drawing.pieces().get(1).thickness())
                .isLessThan(drawing.pieces().get(0).thickness());
        assertThat(drawing.names().get(1).zone()).isEqualTo("flexing, 6 m");
        assertThat(drawing.beads().get(1).reading()).isEqualTo("10 mΩ");
        assertThat(drawing.beads().get(2).next()).isTrue();
    }

    @Test
    void whatIsClearedFadesAndWhereItJumpedIsMarked() {
        ChainDrawing drawing = chain(Map.of("A2.1", 0.0), Set.of("flexing"));
        assertThat(drawing.pieces().stream().map(ChainDrawing.ChainPiece::out))
                .containsExactly(true, true, true, false, false, false);
        assertThat(drawing.pieces().get(4).jumped()).isTrue();
    }

    @Test
    void aScoreHasALineForEveryPointAndItsHeadsOnThem() {
        Points points = Points.of(CHAIN.assembly());
        String lines = "action,contacts,quantity,low_ohm,high_ohm,test_v,dwell_s,state\nclose,A!1 B!2 B!3,,,,,,\n"
                + "measure,,resistance,,1,,,\nmeasure,,insulation,1000,,500,1,\n";
        ScanProgram program = ProgramText.read(lines, new ArrayList<>()).orElseThrow();
        StaveDrawing drawing = StaveDrawing.of(points, program);
        assertThat(drawing.rows().stream().map(StaveDrawing.StaveRow::terminal))
                .containsExactly("A1.1", "A2.1", "A3.1", "FRAME");
        StaveDrawing.StaveColumn first = drawing.columns().get(0);
        assertThat(first.a()).containsExactly(drawing.rows().get(0).y());
        assertThat(first.b())
                .containsExactly(
                        drawing.rows().get(1).y(), drawing.rows().get(2).y());
        assertThat(first.bottom()).isEqualTo(drawing.rows().get(2).y());
        assertThat(first.state()).as("not made yet").isEmpty();
        List<Terminal> all = points.terminals();
        StaveDrawing made = StaveDrawing.of(
                points, List.of(new StaveDrawing.Note(all.subList(0, 1), all.subList(1, 3), false, "fail")), 7);
        assertThat(made.leftOut()).isEqualTo(6);
        assertThat(made.columns())
                .singleElement()
                .satisfies(each -> assertThat(each.state()).isEqualTo("fail"));
        assertThat(drawing.grounds()).as("one under voltage").hasSize(1);
        assertThat(drawing.leftOut()).isZero();
    }

    @Test
    void sectionsAreDrawnToOneScale() {
        ConductorDrawing.Section section = ConductorDrawing.section(OptionalDouble.of(4), 1);
        assertThat(section.declaredRadius()).isCloseTo(2 * section.impliedRadius(), within(1e-9));
        assertThat(ConductorDrawing.section(OptionalDouble.empty(), 1).declaredRadius())
                .isZero();
    }

    @Test
    void theProtectionsBandIsWholeAndTheHotCurrentStandsBelowTheColdOne() {
        Feeder feeder = new Feeder(
                Metal.COPPER,
                StrandClass.TWO,
                OptionalDouble.of(38),
                OptionalDouble.empty(),
                OptionalDouble.of(7.62),
                true,
                12);
        Breaker breaker = new Breaker(Breaker.Curve.C, 10);
        DeadShort dead = new DeadShort(feeder, 120, 0.4, FeederWire.Insulation.COPPER_PVC, Optional.of(breaker));
        ConductorDrawing.TimeBand band = ConductorDrawing.band(breaker, dead);
        assertThat(band.zones()).hasSize(6);
        for (int i = 1; i < band.zones().size(); i++) {
            assertThat(band.zones().get(i).from())
                    .isEqualTo(band.zones().get(i - 1).to());
        }
        assertThat(band.marks().get(0).x())
                .as("hot")
                .isLessThan(band.marks().get(1).x());
        assertThat(band.marks().get(0).x())
                .as("where it may take over an hour")
                .isBetween(band.zones().get(1).from(), band.zones().get(1).to());
    }

    @Test
    void alikeLeadsLieOnTheirLineAndTheOddOneBesideIt() {
        List<LeadList.LeadEntry> leads = LeadList.read("1 1\n2 2\n3 3\n4 9 fourth\n5 5\n6 6\n", new ArrayList<>());
        ComparisonDrawing drawing =
                ComparisonDrawing.of(LeadComparison.of(leads, 0.001, 0.001, 0), OptionalDouble.of(7));
        assertThat(drawing.dots().stream()
                        .filter(ComparisonDrawing.LeadDot::outlier)
                        .map(ComparisonDrawing.LeadDot::name))
                .containsExactly("fourth");
        ComparisonDrawing.LeadDot first = drawing.dots().get(0);
        ComparisonDrawing.LeadDot second = drawing.dots().get(1);
        ComparisonDrawing.LeadDot next = drawing.next().orElseThrow();
        assertThat((next.y() - first.y()) / (next.x() - first.x()))
                .as("the prediction lies on the line of the good ones")
                .isCloseTo((second.y() - first.y()) / (second.x() - first.x()), within(1e-6));
    }

    @Test
    void aTrendStandsAgainstItsLimitOnAScaleOfRoundSteps() {
        TrendDrawing drawing = TrendDrawing.against(
                OptionalDouble.of(0.32),
                List.of(new TrendDrawing.TrendValue(2, 0.3, "later"), new TrendDrawing.TrendValue(1, 0.15, "first")),
                "Ω");
        double zero = drawing.marks().get(0).y();
        double first = zero - drawing.points().get(0).y();
        double later = zero - drawing.points().get(1).y();
        assertThat(drawing.points().get(0).title()).isEqualTo("first");
        assertThat(later).as("twice as much stands twice as high").isCloseTo(2 * first, within(1e-6));
        assertThat(zero - drawing.limit().orElseThrow().y()).isCloseTo(later * 0.32 / 0.3, within(1e-6));
        assertThat(drawing.limit().orElseThrow().text()).isEqualTo("limit 0.32 Ω");
        assertThat(drawing.marks().stream().map(TrendDrawing.TrendMark::text))
                .containsExactly("0 Ω", "0.1 Ω", "0.2 Ω", "0.3 Ω");
    }
}
