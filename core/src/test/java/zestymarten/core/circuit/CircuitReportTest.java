package zestymarten.core.circuit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zestymarten.core.assembly.Metal;
import zestymarten.core.conductor.Breaker;
import zestymarten.core.conductor.Protection;
import zestymarten.core.quantity.English;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.ReadingParser;

/** The sheet of the worked ring. */
class CircuitReportTest {
    private static final Supply SUPPLY = new Supply(
            230,
            OptionalDouble.of(0.35),
            Optional.of(new Breaker(Breaker.Curve.B, 32)),
            OptionalDouble.of(20),
            0.05,
            OptionalDouble.of(20));

    private static CircuitReadings reads(Pattern pattern) {
        CircuitPrediction predicted = new CircuitPrediction(RingTest.RING);
        Map<Spot, OptionalDouble> read = new LinkedHashMap<>();
        RecognisedPattern.steps(RingTest.RING).forEach(spot -> read.put(spot, predicted.of(pattern, spot)));
        return new CircuitReadings(read);
    }

    private static CircuitReport sheet(Pattern pattern, String insulation, String polarity) {
        Map<Tests.TestPair, MeterReading> shown = new LinkedHashMap<>();
        for (Tests.TestPair pair : Tests.TestPair.values()) {
            shown.put(pair, new ReadingParser(false).understand(insulation));
        }
        return CircuitReport.of(new Tests(RingTest.RING, reads(pattern), shown, Optional.of(polarity)), SUPPLY);
    }

    @Test
    void aGoodRingPassesWithItsFiguresAndTheirSources() {
        CircuitReport sheet = sheet(new Pattern.Good(), ">999M", "right");
        assertThat(sheet.verdict()).isEqualTo(CircuitComparison.ComparisonState.PASS);
        assertThat(English.all(sheet.says()))
                .containsExactly(
                        "The readings agree with the ring as drawn.",
                        "A fault to earth at the farthest point draws 371.9 A with the cable hot: the B32 trips at once.");
        assertThat(sheet.lines())
                .extracting(CircuitReportTest::said)
                .contains(
                        List.of(
                                "R1 + R2",
                                "the highest read, at point 4",
                                "0.2244 Ω",
                                "",
                                "read with line to protective conductor linked"),
                        List.of(
                                "insulation",
                                "line to neutral",
                                "more than 999 MΩ",
                                "minimum 1 MΩ",
                                "At least 1 MΩ at 500 V DC: IEC 60364-6, up to and including 500 V (and FELV)."));
        assertThat(sheet.next()).isEmpty();
    }

    private static List<String> said(CircuitReport.ReportLine line) {
        return English.all(List.of(line.step(), line.what(), line.read(), line.expected(), line.source()));
    }

    private static CircuitReport readAlso(Map<Spot, OptionalDouble> read, Supply supply) {
        return CircuitReport.of(
                new Tests(RingTest.RING, new CircuitReadings(read), Map.of(), Optional.empty()), supply);
    }

    private static CircuitReport.ReportLine loop(CircuitReport sheet) {
        return sheet.lines().stream()
                .filter(each -> English.of(each.step()).equals("loop impedance"))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void nothingIsSaidOfDisconnectionWhereTheProtectiveConductorDoesNotReachAPoint() {
        Map<Spot, OptionalDouble> read =
                new LinkedHashMap<>(reads(new Pattern.Good()).ohms());
        read.put(Spot.at(EndLink.LINE_PROTECTIVE, "5"), OptionalDouble.empty());
        CircuitReport sheet = readAlso(read, SUPPLY);
        assertThat(English.all(sheet.says()))
                .noneMatch(each -> each.contains("trips"))
                .anyMatch(each -> each.startsWith("Disconnection is not known: the readings show a fault."));
        assertThat(loop(sheet).state()).isEqualTo(CircuitComparison.ComparisonState.NOT_TESTED);
    }

    @Test
    void nothingIsSaidOfDisconnectionBeforeTheFarthestPointWasRead() {
        Map<Spot, OptionalDouble> read =
                new LinkedHashMap<>(reads(new Pattern.Good()).ohms());
        read.remove(Spot.at(EndLink.LINE_PROTECTIVE, "4"));
        CircuitReport sheet = readAlso(read, SUPPLY);
        assertThat(English.all(sheet.says()))
                .contains(
                        "Disconnection is not known: line to protective conductor was not read at point 4, the farthest.");
        assertThat(loop(sheet).state()).isEqualTo(CircuitComparison.ComparisonState.NOT_TESTED);
    }

    @Test
    void aBandThatIsNotReachedIsAFault() {
        Supply weak = new Supply(
                230,
                OptionalDouble.of(2),
                Optional.of(new Breaker(Breaker.Curve.C, 16)),
                OptionalDouble.of(10),
                0.05,
                OptionalDouble.empty());
        CircuitReport sheet = readAlso(reads(new Pattern.Good()).ohms(), weak);
        assertThat(loop(sheet).state()).isEqualTo(CircuitComparison.ComparisonState.FAIL);
        assertThat(sheet.verdict()).isEqualTo(CircuitComparison.ComparisonState.FAIL);
    }

    @Test
    void aBrokenLegIsSaidWithItsOverload() {
        CircuitReport sheet = sheet(new Pattern.ConductorBroken(ConductorRole.LINE, 3), ">999M", "right");
        assertThat(sheet.verdict()).isEqualTo(CircuitComparison.ComparisonState.FAIL);
        assertThat(English.of(sheet.says().get(0)))
                .isEqualTo(
                        "The line is open between point 3 and point 4. The ring is broken: each side is fed by one leg only.");
        assertThat(English.all(sheet.says())).anyMatch(each -> each.contains("1.6 times that"));
    }

    @Test
    void theStepsComeInTheirOrderWithTheirCautions() {
        Map<Spot, OptionalDouble> read = new LinkedHashMap<>();
        List<String> steps = new ArrayList<>();
        for (Spot spot : RecognisedPattern.steps(RingTest.RING)) {
            steps.add(English.of(CircuitReport.of(
                            new Tests(RingTest.RING, new CircuitReadings(read), Map.of(), Optional.empty()), SUPPLY)
                    .now()
                    .orElseThrow()));
            read.put(spot, new CircuitPrediction(RingTest.RING).good(spot));
        }
        assertThat(steps.stream().distinct())
                .containsExactly(
                        "Both ends of the cable apart: read the protective conductor from end A to end B.",
                        "Both ends of the cable apart: read the line from end A to end B.",
                        "Both ends of the cable apart: read the neutral from end A to end B.",
                        "Link the line of end A to the neutral of end B, and the line of end B to the neutral of end A. Read line"
                                + " to neutral at every point, in any order.",
                        "Link the line of end A to the protective conductor of end B, and the line of end B to the protective conductor of end A."
                                + " Read line to protective conductor at every point, in any order.");
        Tests all = new Tests(RingTest.RING, new CircuitReadings(read), Map.of(), Optional.empty());
        assertThat(English.of(CircuitReport.of(all, SUPPLY).now().orElseThrow()))
                .startsWith("Take every link out; electronics and lamps off");
        assertThat(sheet(new Pattern.Good(), ">999M", "right").now().map(English::of))
                .isEmpty();
    }

    @Test
    void whatIsMissingLeavesItUnfinishedAndAWrongWordFails() {
        assertThat(CircuitReport.of(
                                new Tests(RingTest.RING, reads(new Pattern.Good()), Map.of(), Optional.empty()), SUPPLY)
                        .verdict())
                .isEqualTo(CircuitComparison.ComparisonState.NOT_TESTED);
        assertThat(sheet(new Pattern.Good(), "0.4M", "right").verdict())
                .isEqualTo(CircuitComparison.ComparisonState.FAIL);
        assertThat(sheet(new Pattern.Good(), "200M", "3, 5").verdict())
                .isEqualTo(CircuitComparison.ComparisonState.FAIL);
    }

    @Test
    void endsLinkedTheWrongWayAreReadAgainAndNotHeldAgainstTheCircuit() {
        CircuitReport sheet = sheet(new Pattern.WrongWay(EndLink.LINE_PROTECTIVE), ">999M", "right");
        assertThat(sheet.verdict()).isEqualTo(CircuitComparison.ComparisonState.NOT_TESTED);
        assertThat(English.of(sheet.says().get(0)))
                .isEqualTo(
                        "The ends are linked the wrong way, line to protective conductor: each end to its own instead of to the"
                                + " other's. Link the line of each end to the protective conductor of the other end and read again.");
    }

    @Test
    void twoFaultsAreNotForcedIntoOneAndABadTouchIsAskedForAgain() {
        Map<Spot, OptionalDouble> both = new LinkedHashMap<>(
                reads(new Pattern.ConductorBroken(ConductorRole.LINE, 3)).ohms());
        both.put(Spot.at(EndLink.LINE_PROTECTIVE, "2"), OptionalDouble.empty());
        CircuitReadings one = new CircuitReadings(both);
        assertThat(English.all(CircuitReport.of(new Tests(RingTest.RING, one, Map.of(), Optional.empty()), SUPPLY)
                        .says()))
                .contains(
                        "One reading fits nothing, measure again: line to protective conductor at point 2, with line to protective conductor"
                                + " linked at the origin.");
        both.put(Spot.at(EndLink.LINE_NEUTRAL, "2"), OptionalDouble.empty());
        both.put(Spot.at(EndLink.LINE_PROTECTIVE, "5"), OptionalDouble.of(1.9));
        CircuitReport sheet = CircuitReport.of(
                new Tests(RingTest.RING, new CircuitReadings(both), Map.of(), Optional.empty()), SUPPLY);
        assertThat(English.of(sheet.says().get(0)))
                .startsWith(
                        "No single fault explains these readings. The nearest: The line is open between point 3 and")
                .contains("It leaves unexplained: line to neutral at point 2");
        assertThat(sheet.next()).isEmpty();
    }

    @Test
    void readingsInAnyOrderAndOnlySomeOfThemAlreadyMeanSomething() {
        Map<Spot, OptionalDouble> read = new LinkedHashMap<>();
        read.put(Spot.at(EndLink.LINE_PROTECTIVE, "5"), OptionalDouble.of(0.22));
        read.put(Spot.ends(ConductorRole.NEUTRAL), OptionalDouble.empty());
        CircuitReport sheet = CircuitReport.of(
                new Tests(RingTest.RING, new CircuitReadings(read), Map.of(), Optional.empty()), SUPPLY);
        assertThat(English.of(sheet.says().get(0))).isEqualTo("The neutral is open, somewhere in the ring.");
        assertThat(English.of(sheet.next().orElseThrow().words()))
                .isEqualTo("line to neutral at point 3, with line to neutral of end A alone linked at the origin");
    }

    private static CircuitReport shown(Circuit circuit, Pattern pattern, Circuit wall) {
        CircuitPrediction predicted = new CircuitPrediction(wall);
        Map<Spot, OptionalDouble> read = new LinkedHashMap<>();
        RecognisedPattern.steps(wall).forEach(spot -> read.put(spot, predicted.of(pattern, spot)));
        return readAlsoOf(circuit, read);
    }

    private static CircuitReport readAlsoOf(Circuit circuit, Map<Spot, OptionalDouble> read) {
        return CircuitReport.of(new Tests(circuit, new CircuitReadings(read), Map.of(), Optional.empty()), SUPPLY);
    }

    @Test
    void aCutCableIsOneFaultAndNothingIsSaidOfDisconnection() {
        CircuitReport sheet = shown(RingTest.RING, new Pattern.CableCut(2), RingTest.RING);
        assertThat(English.of(sheet.says().get(0))).contains("The whole cable is open");
        assertThat(English.all(sheet.says())).noneMatch(each -> each.contains("trips"));
        assertThat(sheet.verdict()).isEqualTo(CircuitComparison.ComparisonState.FAIL);
    }

    @Test
    void bothPairsLinkedTheWrongWayAreReadAgain() {
        CircuitReport sheet = shown(RingTest.RING, new Pattern.WrongWayTwice(), RingTest.RING);
        assertThat(English.of(sheet.says().get(0))).startsWith("The ends are linked the wrong way with either pair");
        assertThat(sheet.verdict()).isEqualTo(CircuitComparison.ComparisonState.NOT_TESTED);
    }

    @Test
    void anotherSectionAllAlongIsNoLooseJoint() {
        CircuitReport sheet = shown(RingTest.RING, new Pattern.Good(), RingTest.RING.withProtective(1.0));
        assertThat(English.of(sheet.says().get(0))).startsWith("The protective conductor reads as 1 mm² all along");
    }

    @Test
    void metalworkBesideTheRingIsToldAndNotHeldAgainstTheLinks() {
        CircuitReport sheet = shown(RingTest.RING, new Pattern.ParallelEarth(1, 5, 0.05), RingTest.RING);
        assertThat(English.of(sheet.says().get(0)))
                .startsWith("Something else joins the protective conductor of points 1 and 5 with about 0.05 Ω");
    }

    /**
     * 30 m of 25/16/10 mm²: R1 + R2 0.1284 Ω, 0.1543 Ω at 70 °C in aluminium; Zs 0.5043 Ω, 456 A, which a fuse gG 63 cuts off
     * within 5 s by its gate: 456 √5 / 76 = 13.4 mm². Of copper 0.0767 Ω, 0.0918 Ω hot, 521 A and 521 √5 / 115 = 10.1 mm².
     */
    @Test
    void theProtectiveConductorIsHeldAgainstTheHeatByItsMetal() {
        assertThat(English.of(heat(Metal.ALUMINIUM).expected())).isEqualTo("minimum 13.42 mm²");
        assertThat(English.of(heat(Metal.ALUMINIUM).source()))
                .startsWith("I √t / 76, IEC 60364-5-54, aluminium in PVC");
        assertThat(English.of(heat(Metal.COPPER).expected())).isEqualTo("minimum 10.12 mm²");
        assertThat(English.of(heat(Metal.COPPER).source())).startsWith("I √t / 115, IEC 60364-5-54, copper in PVC");
    }

    private static CircuitReport.ReportLine heat(Metal metal) {
        Circuit feeder =
                new Circuit(CircuitShape.RADIAL, List.of(new CableStretch(30, 25, 16, 10, metal)), List.of(), 20);
        CircuitPrediction predicted = new CircuitPrediction(feeder);
        Map<Spot, OptionalDouble> read = new LinkedHashMap<>();
        RecognisedPattern.steps(feeder).forEach(spot -> read.put(spot, predicted.good(spot)));
        Supply supply = new Supply(
                230,
                OptionalDouble.of(0.35),
                Optional.of(Protection.of("gG", 63)),
                OptionalDouble.empty(),
                0.05,
                OptionalDouble.empty());
        return CircuitReport.of(new Tests(feeder, new CircuitReadings(read), Map.of(), Optional.empty()), supply)
                .lines()
                .stream()
                .filter(each -> English.of(each.step()).equals("protective conductor"))
                .findFirst()
                .orElseThrow();
    }

    /** 64 m of ring of which nobody typed a length; the page draws 6 m a stretch. */
    @Test
    void aRingWithoutLengthsIsAsLongAsItsEndsSayAndItsFaultsAreFound() {
        Circuit wall = new Circuit(
                CircuitShape.RING,
                java.util.stream.Stream.of(9.0, 7.0, 12.0, 8.0, 11.0, 7.5, 9.5)
                        .map(each -> new CableStretch(each, 2.5, 1.5))
                        .toList(),
                List.of(),
                20);
        Circuit drawn = new Circuit(
                CircuitShape.RING,
                java.util.Collections.nCopies(7, new CableStretch(6, 2.5, 1.5)),
                List.of(),
                20,
                Lengths.UNKNOWN);
        CircuitReport good = shown(drawn, new Pattern.Good(), wall);
        assertThat(English.all(good.says()))
                .contains("No lengths are entered: by the readings it has about 64 m of cable.");
        assertThat(English.of(good.says().get(0))).isEqualTo("The readings agree with the ring as drawn.");
        CircuitReport missing = shown(drawn, new Pattern.Missing("4", ConductorRole.PROTECTIVE), wall);
        assertThat(English.of(missing.says().get(0))).contains("The protective conductor does not reach point 4");
        assertThat(English.all(missing.says())).noneMatch(each -> each.contains("trips"));
    }

    @Test
    void ofTwoThatReadAlikeTheDangerousOneStandsFirst() {
        Map<Spot, OptionalDouble> read =
                new LinkedHashMap<>(reads(new Pattern.Good()).ohms());
        read.put(Spot.at(EndLink.LINE_PROTECTIVE, "4"), OptionalDouble.empty());
        CircuitReport sheet = readAlsoOf(RingTest.RING, read);
        assertThat(English.of(sheet.says().get(0)))
                .startsWith("One of these: The protective conductor does not reach point 4.")
                .contains(" Or: ");
    }

    @Test
    void whatElseFailsStandsInTheHeadline() {
        CircuitReport sheet = sheet(new Pattern.Good(), "0.4M", "ok.");
        assertThat(English.all(sheet.says())).anyMatch(each -> each.startsWith("Fails: insulation (400 kΩ)"));
        assertThat(sheet.lines().stream()
                        .filter(each -> English.of(each.step()).equals("polarity"))
                        .findFirst()
                        .orElseThrow()
                        .state())
                .isEqualTo(CircuitComparison.ComparisonState.PASS);
    }
}
