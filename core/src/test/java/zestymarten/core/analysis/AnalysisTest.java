package zestymarten.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import zestymarten.core.assembly.Access;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.CavityLayout;
import zestymarten.core.assembly.Connector;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.assembly.WireList;
import zestymarten.core.fault.Bench;
import zestymarten.core.fault.FaultyUnit;
import zestymarten.core.fault.GoodUnit;
import zestymarten.core.fault.Probe;
import zestymarten.core.fault.SeededFault;
import zestymarten.core.judgement.Quantity;
import zestymarten.core.limit.LimitRules;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.English;
import zestymarten.core.quantity.Patience;

/** Readings of units of which the faults are known. */
class AnalysisTest {
    private static final double LEADS = 0.25;
    private static final TestConditions CONDITIONS = new TestConditions(
            20,
            new MeterProfile("meter", 0.005, 0.01, 30, false, 20e6),
            OptionalDouble.of(LEADS),
            LeadPolicy.FULL,
            false,
            TestConditions.JOINED_BELOW_OHM);

    private static Assembly cable(int wires, int cavities, Set<Terminal> bonded) {
        StringBuilder list = new StringBuilder("from,to,length_m,area_mm2\n");
        for (int i = 1; i <= wires; i++) {
            list.append("J1.")
                    .append(i)
                    .append(",J2.")
                    .append(i)
                    .append(',')
                    .append(20 + i)
                    .append(",0.5\n");
        }
        Assembly plain = WireList.read(list.toString())
                .assembly("Cable", AssemblyKind.CABLE, "", Map.of("J2", CavityLayout.line(cavities)));
        return new Assembly(
                plain.name(),
                plain.kind(),
                "",
                plain.connectors(),
                List.of(),
                plain.conductors(),
                List.of(),
                List.of(),
                bonded);
    }

    private static Analysis analysis(Assembly assembly, List<AnalysisReading> readings) {
        return Analysis.of(Design.of(assembly, 20), CONDITIONS, readings);
    }

    private static String found(String kind, String... conductors) {
        return kind + " " + new TreeSet<>(List.of(conductors));
    }

    private static List<String> found(Analysis analysis) {
        return analysis.findings().stream()
                .map(each ->
                        found(each.finding().kind(), each.finding().conductors().toArray(String[]::new)))
                .toList();
    }

    /** All pairs of a unit with a fault, read once. */
    private static Analysis withFault(Assembly assembly, SeededFault... faults) {
        Design design = Design.of(assembly, 20);
        FaultyUnit unit = FaultyUnit.of(GoodUnit.nominal(design), List.of(faults));
        Probe probe = new Probe(unit, CONDITIONS, new Random(1), 0);
        return Analysis.of(design, CONDITIONS, Bench.everyPair(design, CONDITIONS, probe));
    }

    /** However many wires and faults: it ends with the turn at which nobody waits any more. */
    @Test
    void endsWhenNobodyWaitsForItAnyMore() {
        Assembly cable = cable(40, 40, Set.of());
        Design design = Design.of(cable, 20);
        String[] readings = IntStream.rangeClosed(1, 40)
                .mapToObj(i -> "J1." + i + "-J2." + i + "=" + (i % 4 == 0 ? "OL" : "9"))
                .toArray(String[]::new);
        AtomicInteger turns = new AtomicInteger();
        assertThatThrownBy(() -> Patience.within(
                        () -> turns.incrementAndGet() > 100,
                        () -> Analysis.of(design, CONDITIONS, TypedReadings.of(readings))))
                .isInstanceOf(Patience.TookTooLong.class);
        assertThat(turns.get()).isEqualTo(101);
    }

    @Test
    void saysWhichLegOfASpliceHasTheOhms() {
        Assembly spliced = WireList.read("wire,from,to,length_m,area_mm2\nIn,J1.1,S1,5,0.5\nLeft,S1,J2.1,5,0.5\n"
                        + "Right,S1,J3.1,5,0.5\n")
                .assembly("Spliced", AssemblyKind.HARNESS, "", Map.of());
        for (String leg : List.of("In", "Left", "Right")) {
            assertThat(found(withFault(spliced, new SeededFault.High(leg, 2))))
                    .containsExactly(found("high_resistance", leg));
        }
        assertThat(withFault(spliced).state()).isEqualTo(Analysis.AnalysisState.PASS);
    }

    @Test
    void oneLeakIsOneFindingAtHoweverManyEndsItIsRead() {
        Assembly cable = cable(3, 3, Set.of());
        SeededFault leak = new SeededFault.Shorted(Terminal.of("J1.1"), Terminal.of("J1.2"), 47_000);
        assertThat(found(withFault(cable, leak))).containsExactly(found("leak", "W1", "W2"));
    }

    private static AnalysisReading linked(String a, String b, String typed, String... together) {
        return new AnalysisReading(
                Terminal.of(a),
                Terminal.of(b),
                typed,
                zestymarten.core.assembly.SwitchState.REST,
                List.of(Stream.of(together).map(Terminal::of).toList()),
                OptionalDouble.empty());
    }

    private static AnalysisReading free(String a, String b, String typed) {
        return new AnalysisReading(
                Terminal.of(a),
                Terminal.of(b),
                typed,
                zestymarten.core.assembly.SwitchState.REST,
                List.of(),
                OptionalDouble.empty());
    }

    @Test
    void eachAgainstAllOthersTiedPartsThemAll() {
        Assembly cable = cable(3, 3, Set.of());
        List<AnalysisReading> readings = List.of(
                free("J1.1", "J2.1", "1.00"),
                free("J1.2", "J2.2", "1.00"),
                free("J1.3", "J2.3", "1.00"),
                linked("J1.1", "FRAME", "OL", "J1.2", "J1.3", "FRAME"),
                linked("J1.2", "FRAME", "OL", "J1.3", "FRAME"),
                free("J1.3", "FRAME", "OL"));
        assertThat(analysis(cable, readings).state()).isEqualTo(Analysis.AnalysisState.PASS);
        assertThat(analysis(cable, readings.subList(0, 5)).state()).isEqualTo(Analysis.AnalysisState.INCOMPLETE);
    }

    @Test
    void aTiedFarEndIsBlindToCrossedWires() {
        Assembly cable = cable(3, 3, Set.of());
        List<AnalysisReading> readings = List.of(
                linked("J1.1", "J1.2", "1.70", "J2.1", "J2.2", "J2.3"),
                linked("J1.1", "J1.3", "1.70", "J2.1", "J2.2", "J2.3"));
        Analysis analysis = analysis(cable, readings);
        assertThat(found(analysis)).isEmpty();
        assertThat(analysis.state()).isEqualTo(Analysis.AnalysisState.INCOMPLETE);
        assertThat(analysis.untested().stream().map(pair -> pair.a() + " " + pair.b()))
                .contains("J1.1 J2.1", "J1.2 J2.2", "J1.3 J2.3");
    }

    @Test
    void lowInsulationAndAFailedWithstandAreFindings() {
        Assembly cable = cable(2, 2, Set.of());
        AnalysisReading low = insulation("J1.1", "J1.2", "400k", Quantity.INSULATION, 500);
        AnalysisReading trip = insulation("J1.2", "FRAME", "OL", Quantity.LEAKAGE, 1460);
        AnalysisReading fine = insulation("J1.1", "FRAME", ">200M", Quantity.INSULATION, 500);
        Analysis analysis = analysis(cable, List.of(low, trip, fine));
        assertThat(found(analysis)).containsExactly(found("insulation_low", "W1", "W2"), found("withstand", "W2"));
        assertThat(English.of(analysis.findings().get(0).finding().message()))
                .isEqualTo("Low insulation resistance: 400 kΩ between J1.1 and J1.2 at 500 V, minimum 1 MΩ.");
        assertThat(analysis.findings().get(1).evidence()).containsExactly(1);
    }

    private static AnalysisReading insulation(String a, String b, String typed, Quantity quantity, double testV) {
        return new AnalysisReading(
                Terminal.of(a),
                Terminal.of(b),
                typed,
                zestymarten.core.assembly.SwitchState.REST,
                List.of(),
                OptionalDouble.empty(),
                quantity,
                OptionalDouble.of(testV),
                Observation.Since.NOTHING);
    }

    @Test
    void dirtyOpenAndCleanGoodThroughAMatedPairIsAContactSurface() {
        Assembly plain = cable(1, 1, Set.of());
        List<Connector> mated = plain.connectors().stream()
                .map(each -> new Connector(
                        each.id(),
                        each.name(),
                        each.face(),
                        each.pins(),
                        new Access("", Optional.empty(), Optional.of("J9"), 0, Access.Harm.NONE)))
                .toList();
        Assembly assembly = new Assembly(plain.name(), plain.kind(), "", mated, plain.conductors());
        List<AnalysisReading> cleaned = List.of(free("J1.1", "J2.1", "OL"), free("J1.1", "J2.1", "1.00"));
        assertThat(found(analysis(assembly, cleaned))).containsExactly(found("contact_surface", "W1"));
        assertThat(analysis(assembly, cleaned).findings().get(0).evidence()).containsExactly(0, 1);
    }

    @Test
    void readingsThatDisagreeWithoutACauseAreIntermittent() {
        Assembly cable = cable(1, 1, Set.of());
        List<AnalysisReading> cleaned = List.of(free("J1.1", "J2.1", "OL"), free("J2.1", "J1.1", "1.00"));
        assertThat(found(analysis(cable, cleaned))).containsExactly(found("intermittent", "W1"));
        List<AnalysisReading> broke = List.of(free("J1.1", "J2.1", "1.00"), free("J2.1", "J1.1", "OL"));
        assertThat(found(analysis(cable, broke))).containsExactly(found("intermittent", "W1"));
    }

    @Test
    void overRangeOfALowRangeSaysOnlyThat() {
        Assembly cable = cable(1, 1, Set.of());
        AnalysisReading low = new AnalysisReading(
                Terminal.of("J1.1"),
                Terminal.of("J2.1"),
                "OL",
                zestymarten.core.assembly.SwitchState.REST,
                List.of(),
                OptionalDouble.of(200));
        Analysis analysis = analysis(cable, List.of(low));
        assertThat(analysis.findings()).isEmpty();
        assertThat(English.of(analysis.judgements().get(0).judgement().reason()))
                .isEqualTo("More than 200 Ω says only that. Read it on the next range.");
    }

    /** Ten thousand wires are no trouble: a cost that grew with their square would not end within this time. */
    @Test
    @Timeout(60)
    void aLargeCableIsAnalysed() {
        Assembly cable = cable(10_000, 10_000, Set.of());
        LimitRules limits = new LimitRules(20);
        for (double share : new double[] {1, 3}) {
            List<AnalysisReading> readings = cable.conductors().stream()
                    .map(each -> free(
                            each.from().name(),
                            each.to().name(),
                            Double.toString(limits.link(each).nominal().value() * share + LEADS)))
                    .toList();
            assertThat(analysis(cable, readings).findings()).hasSize(share == 1 ? 0 : 10_000);
        }
    }
}
