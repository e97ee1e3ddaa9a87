package zestymarten.core.scan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.assembly.WireList;
import zestymarten.core.judgement.Quantity;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.English;
import zestymarten.core.quantity.Problem;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testrun.TestRun;

class ScanProgramTest {
    private static final String THREE_CORES =
            "wire,from,to,length_m,area_mm2\nW1,J1.1,J2.1,8,0.5\nW2,J1.2,J2.2,8,0.5\n" + "W3,J1.3,J2.3,8,0.5\n";
    private static final TestConditions CONDITIONS = new TestConditions(
            20,
            new MeterProfile("scanner", 0.005, 0.01, 30, false, 20e6),
            OptionalDouble.empty(),
            LeadPolicy.FULL,
            false,
            TestConditions.JOINED_BELOW_OHM);

    private static Design design(String list) {
        return Design.of(WireList.read(list).assembly("Cable", AssemblyKind.CABLE, "", Map.of()), 20);
    }

    private static ScanProgram program(TestMethod method, OptionalDouble testV) {
        TestOptions approach = new TestOptions(method, false, true, testV);
        return ScanProgram.of(TestRun.of(design(THREE_CORES), approach, CONDITIONS, List.of()), 1);
    }

    private static ScanProgram read(String lines) {
        List<Problem> problems = new ArrayList<>();
        Optional<ScanProgram> program =
                ProgramText.read("action,contacts,quantity,low_ohm,high_ohm,test_v,dwell_s,state\n" + lines, problems);
        assertThat(problems).isEmpty();
        return program.orElseThrow();
    }

    private static List<String> problems(ScanProgram program) {
        return ProgramReview.of(program, design(THREE_CORES), ProgramReview.ScanPace.USUAL).problems().stream()
                .map(each -> English.of(each.message()))
                .toList();
    }

    private static List<String> refused(String text) {
        List<Problem> problems = new ArrayList<>();
        assertThat(ProgramText.read(text, problems)).isEmpty();
        return problems.stream().map(each -> English.of(each.message())).toList();
    }

    @Test
    void pointsFollowTheConnectorsAndTheFrameIsLast() {
        Points points = Points.of(design(THREE_CORES).assembly());
        assertThat(points.terminals().stream().map(Terminal::name))
                .containsExactly("J1.1", "J1.2", "J1.3", "J2.1", "J2.2", "J2.3", "FRAME");
        assertThat(points.of(Terminal.of("J2.1"))).contains(4);
        assertThat(points.terminal(8)).isEmpty();
    }

    @Test
    void everythingIsConnectedBeforeItIsMeasuredAndNothingIsMissed() {
        ProgramReview review = ProgramReview.of(
                program(TestMethod.BOTH_ENDS, OptionalDouble.empty()),
                design(THREE_CORES),
                ProgramReview.ScanPace.USUAL);
        assertThat(review.problems()).isEmpty();
        assertThat(English.all(review.never())).isEmpty();
        assertThat(review.unrung()).isEmpty();
        assertThat(review.measurements()).as("3 wires, 3 pairs, 3 to the frame").isEqualTo(9);
    }

    @Test
    void onlyWhatDiffersIsSwitchedAndTheNearestComesNext() {
        ScanProgram program = program(TestMethod.BOTH_ENDS, OptionalDouble.empty());
        ProgramReview review = ProgramReview.of(program, design(THREE_CORES), ProgramReview.ScanPace.USUAL);
        assertThat(review.relays())
                .as("all opened after each of 9 would be 36, less the last")
                .isLessThanOrEqualTo(20);
        assertThat(ProgramText.write(program)).startsWith("""
                        action,contacts,quantity,low_ohm,high_ohm,max_a,test_v,hz,ramp_s,dwell_s,state
                        close,A!1 B!4,,,,,,,,,
                        measure,,resistance,""");
    }

    @Test
    void oneAgainstTheTiedRestPutsTheRestOnTheOtherBus() {
        ScanProgram program = program(TestMethod.EACH_TO_REST, OptionalDouble.empty());
        List<ScanMeasurement> taken =
                program.taken(Points.of(design(THREE_CORES).assembly()));
        assertThat(taken.stream().map(ScanMeasurement::sides)).contains("J1.1 | J1.2 J1.3", "J1.2 | J1.3");
        ProgramReview review = ProgramReview.of(program, design(THREE_CORES), ProgramReview.ScanPace.USUAL);
        assertThat(English.all(review.never())).isEmpty();
    }

    @Test
    void aProgramSurvivesItsFile() {
        ScanProgram program = program(TestMethod.BOTH_ENDS, OptionalDouble.empty());
        List<Problem> none = new ArrayList<>();
        ScanProgram again = ProgramText.read(ProgramText.write(program), none).orElseThrow();
        assertThat(again.actions()).hasSameSizeAs(program.actions());
        assertThat(ProgramText.write(again)).isEqualTo(ProgramText.write(program));
    }

    @Test
    void aForgottenConnectionIsNamed() {
        assertThat(problems(read("close,A!1,,,,,,\nmeasure,,resistance,,0.312,,,\n")))
                .containsExactly("line 3: Nothing is connected to bus B: a connection is forgotten before this.");
    }

    @Test
    void aDoubledConnectionAndAPointOnBothBusesAreNamed() {
        assertThat(problems(read("close,A!1 B!4,,,,,,\nclose,A!1,,,,,,\nclose,B!1,,,,,,\n")))
                .containsExactly(
                        "line 3: A!1 is closed already: the connection is made twice.",
                        "line 4: B!1: the point is on bus A too, which joins the two sides.");
        assertThat(problems(read("open,A!1,,,,,,\nclose,A!9,,,,,,\n")))
                .containsExactly("line 2: A!1 is open already.", "line 3: Point 9 is wired to nothing; there are 7.");
    }

    @Test
    void otherPinsOfTheSameNetsAreElectricallyTheSame() {
        String lines = "close,A!1 B!2,,,,,,\nmeasure,,resistance,10000,,,,\nopen,A!1 B!2,,,,,,\n"
                + "close,A!5 B!4,,,,,,\nmeasure,,resistance,10000,,,,\n";
        assertThat(problems(read(lines))).containsExactly("line 6: Electrically the same as line 3.");
    }

    @Test
    void aLimitWithTheWrongPrefixIsNotPlausible() {
        assertThat(problems(read("close,A!1 B!4,,,,,,\nmeasure,,resistance,,312,,,\n")))
                .containsExactly(
                        "line 3: Maximum 312 Ω is set; a good unit may have 0.312 Ω. A factor of 1000 would fit: a"
                                + " prefix is wrong.");
        assertThat(problems(read("close,A!1 B!4,,,,,,\nmeasure,,resistance,,0.4,,,\n")))
                .isEmpty();
        assertThat(problems(read("close,A!1 B!4,,,,,,\nmeasure,,resistance,10000,,,,\n")))
                .containsExactly("line 3: J1.1 and J2.1 are joined in a good unit, and no maximum is set.");
        assertThat(problems(read("close,A!1 B!5,,,,,,\nmeasure,,resistance,,1,,,\n")))
                .containsExactly("line 3: J1.1 and J2.2 are apart in a good unit, and continuity is expected.");
    }

    @Test
    void whatIsNeverTestedIsCounted() {
        String lines = "close,A!1 B!4,,,,,,\nmeasure,,resistance,,0.4,,,\nopen,B!4,,,,,,\n"
                + "close,B!2,,,,,,\nmeasure,,resistance,10000,,,,\n";
        ProgramReview review = ProgramReview.of(read(lines), design(THREE_CORES), ProgramReview.ScanPace.USUAL);
        assertThat(English.all(review.never()))
                .containsExactly("W1 and W3", "W1 and the frame", "W2 and W3", "W2 and the frame", "W3 and the frame");
        assertThat(review.neverCount()).isEqualTo(5);
        assertThat(review.unrung()).containsExactly("W2", "W3");
    }

    @Test
    void highVoltageComesAfterContinuity() {
        String lines = "close,A!1 B!2 B!3 B!7,,,,,,\nmeasure,,insulation,1000000,,500,1,\nopen,B!2 B!3 B!7,,,,,,\n"
                + "close,B!4,,,,,,\nmeasure,,resistance,,0.4,,,\n";
        assertThat(problems(read(lines)))
                .containsExactly(
                        "line 6: Continuity after the test voltage of line 3: high voltage comes after continuity has"
                                + " passed.");
        assertThat(program(TestMethod.BOTH_ENDS, OptionalDouble.of(500)).actions())
                .as("not before continuity has passed in this test")
                .noneMatch(each -> each instanceof ScanAction.MeasureContacts measure
                        && measure.quantity() == Quantity.INSULATION);
    }

    private static final ScanAction.MeasureContacts WITHSTAND =
            ScanAction.MeasureContacts.withstand(0.005, new ScanVoltage(1500, 50, 2, 60));
    private static final ScanAction.MeasureContacts INSULATION =
            ScanAction.MeasureContacts.insulation(1e8, new ScanVoltage(500, 0, 1, 60));

    private static ScanProgram template(ScanAction.MeasureContacts... voltages) {
        return ScanProgram.of(design(THREE_CORES), CONDITIONS, List.of(voltages));
    }

    /** 3 wires, 2 of 3 cores each to the rest, 3 to the frame; then a proof and a voltage for each core, twice. */
    @Test
    void aProgramBeforeAnyTestHasContinuityWithstandAndInsulationInTheOrderThatIsWanted() {
        ScanProgram program = template(WITHSTAND, INSULATION);
        ProgramReview review = ProgramReview.of(program, design(THREE_CORES), ProgramReview.ScanPace.USUAL);
        assertThat(review.problems()).isEmpty();
        assertThat(English.all(review.never())).isEmpty();
        assertThat(review.unrung()).isEmpty();
        List<ScanMeasurement> taken =
                program.taken(Points.of(design(THREE_CORES).assembly()));
        assertThat(taken.stream()
                        .filter(each -> each.measure().voltage().isPresent())
                        .map(each -> each.measure().quantity() + " " + each.sides()))
                .containsExactly(
                        "LEAKAGE FRAME J1.2 J1.3 | J1.1",
                        "LEAKAGE FRAME J1.1 J1.3 | J1.2",
                        "LEAKAGE FRAME J1.1 J1.2 | J1.3",
                        "INSULATION FRAME J1.2 J1.3 | J1.1",
                        "INSULATION FRAME J1.1 J1.3 | J1.2",
                        "INSULATION FRAME J1.1 J1.2 | J1.3");
        assertThat(review.seconds())
                .as("three times 62 s and 61 s, discharged for four times as long")
                .isBetween(3 * 5 * (62.0 + 61.0), 3 * 5 * (62.0 + 61.0) + 10);
    }

    @Test
    void withstandSurvivesItsFileWithRampFrequencyAndMaximum() {
        String text = ProgramText.write(template(WITHSTAND));
        assertThat(text).contains("measure,,withstand,,,0.005,1500,50,2,60,");
        List<Problem> none = new ArrayList<>();
        ScanProgram again = ProgramText.read(text, none).orElseThrow();
        assertThat(again)
                .isEqualTo(ProgramText.read(ProgramText.write(again), none).orElseThrow());
        assertThat(again.actions()).contains(WITHSTAND);
        assertThat(none).isEmpty();
    }

    @Test
    void theSamePointsUnderAnotherTestAreNotTheSame() {
        String header = "action,contacts,quantity,low_ohm,high_ohm,max_a,test_v,hz,ramp_s,dwell_s,state\n";
        List<Problem> none = new ArrayList<>();
        String lines = "close,A!1 B!2,,,,,,,,,\nmeasure,,insulation,1e8,,,500,,,60,\n"
                + "measure,,withstand,,,0.005,1500,50,,60,\nmeasure,,withstand,,,0.005,2121,,,60,\n";
        assertThat(problems(ProgramText.read(header + lines, none).orElseThrow()))
                .isEmpty();
        assertThat(problems(ProgramText.read(header + lines + "measure,,withstand,,,0.001,1000,60,,5,\n", none)
                        .orElseThrow()))
                .containsExactly("line 6: Electrically the same as line 4.");
    }

    @Test
    void aVoltageWithoutItsLimitIsRefused() {
        String header = "action,contacts,quantity,low_ohm,high_ohm,max_a,test_v,hz,ramp_s,dwell_s,state\n";
        assertThat(refused(header + "measure,,withstand,,,,1500,50,2,60,\nmeasure,,withstand,,,0.005,,,,60,\n"
                        + "measure,,insulation,1e8,,,500,50,1,60,\nmeasure,,resistance,,1,,12,,,,\n"
                        + "measure,,withstand,,,0.005,1500,900,2,60,\n"))
                .containsExactly(
                        "line 2: Withstand has a maximum leakage in amperes and no limit of resistance, the others the other"
                                + " way round.",
                        "line 3: Insulation and withstand are measured under a test voltage, and none is given.",
                        "line 4: Insulation is measured with DC of at most 5 kV.",
                        "line 5: Resistance is measured without a test voltage, and one is given.",
                        "line 6: Its frequency (900 Hz) must be from 0 to 400 Hz.");
    }

    @Test
    void timeIsReckonedWithTheDischarge() {
        ScanProgram program = read("close,A!1 B!2,,,,,,\nmeasure,,insulation,1000000,,500,60,\n");
        assertThat(ProgramReview.of(program, design(THREE_CORES), new ProgramReview.ScanPace(0.02, 0.1))
                        .seconds())
                .as("a row of relays, 61 s under voltage and four times that to discharge, a reading")
                .isEqualTo(0.02 + 61 * 5 + 0.1);
    }

    @Test
    void badLinesAreRefusedWithWhatIsExpected() {
        assertThat(refused("go,A!1\n"))
                .containsExactly("line 1: “go,A!1” is not accepted; expected the columns"
                        + " action,contacts,quantity,low_ohm,high_ohm,max_a,test_v,hz,ramp_s,dwell_s,state.");
        String header = "action,contacts,quantity,low_ohm,high_ohm,test_v,dwell_s,state\n";
        assertThat(refused(header))
                .containsExactly("There is no line in it. Expected the columns"
                        + " action,contacts,quantity,low_ohm,high_ohm,max_a,test_v,hz,ramp_s,dwell_s,state.");
        assertThat(refused(header + "jump,A!1,,,,,,\nclose,A1,,,,,,\nmeasure,,volts,,,,,\nmeasure,,resistance,,1k,,,\n"
                        + "measure,,resistance,5,1,,,\nmeasure,,insulation,1,,9000,1,\n"))
                .containsExactly(
                        "line 2: The action “jump” is not accepted; expected open, close, await or measure.",
                        "line 3: The contact “A1” is not accepted; expected a bus and a point, such as A!3 or B!12.",
                        "line 4: The quantity “volts” is not accepted; expected resistance, insulation or withstand.",
                        "line 5: “1k” as high_ohm; expected a figure without a prefix, such as 0.33.",
                        "line 6: Limits (5 Ω to 1 Ω) must begin at 0 or above and end above where they begin.",
                        "line 7: Insulation is measured with DC of at most 5 kV.");
        assertThat(refused(header + "close,\"A!1,,,,,,\n"))
                .containsExactly("That is no CSV: a quote is open at its end, or stands inside a cell.");
    }
}
