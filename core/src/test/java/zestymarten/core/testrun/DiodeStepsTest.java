package zestymarten.core.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zestymarten.core.analysis.Analysis;
import zestymarten.core.analysis.AnalysisReading;
import zestymarten.core.analysis.Design;
import zestymarten.core.analysis.Observation;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyReader;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.fault.FaultyUnit;
import zestymarten.core.fault.GoodUnit;
import zestymarten.core.fault.SeededFault;
import zestymarten.core.judgement.Quantity;
import zestymarten.core.quantity.Problem;
import zestymarten.core.testplan.CoverageAnalysis;
import zestymarten.core.testplan.CoverageAnalysis.PossibleFault;
import zestymarten.core.testplan.Stage;
import zestymarten.core.testplan.TestOptions;
import zestymarten.core.testplan.TestStep;

/** Diodes are read on the diode range, both ways: nothing passes before. */
class DiodeStepsTest {
    private static final String DIODE = part("D1", "diode", "J2.1", "J2.2", "");

    private static String part(String id, String kind, String a, String b, String more) {
        return "{\"id\": \"" + id + "\", \"kind\": \"" + kind + "\", \"a\": \"" + a + "\", \"b\": \"" + b + "\"" + more
                + "}";
    }

    private static Assembly cable(String... parts) {
        String text = "{\"format\": \"zesty-marten/assembly\", \"version\": 1, \"name\": \"Gong lead\","
                + " \"kind\": \"lead\", \"conductors\": ["
                + "{\"id\": \"W1\", \"from\": \"J1.1\", \"to\": \"J2.1\", \"function\": \"gong\"},"
                + "{\"id\": \"W2\", \"from\": \"J1.2\", \"to\": \"J2.2\"}],"
                + "\"components\": [" + String.join(",", parts) + "]}";
        List<Problem> problems = new ArrayList<>();
        Optional<Assembly> read = AssemblyReader.read(text, problems);
        assertThat(problems).isEmpty();
        return read.orElseThrow();
    }

    /** At the diodes, everything before as it should be. */
    private static Bench atTheDiodes(Assembly assembly) {
        Bench bench = Bench.of(assembly, TestOptions.QUICK).type("b", "0.30", "0.50", "0.50");
        while (bench.step().stage() != Stage.DIODES) {
            bench.type("OL");
        }
        return bench;
    }

    private static String steps(Assembly assembly) {
        return Bench.of(assembly, TestOptions.QUICK)
                .test()
                .steps(Stage.DIODES)
                .map(Bench::say)
                .collect(Collectors.joining(", "));
    }

    private static List<String> kinds(TestRun test) {
        return test.findings().stream()
                .map(each -> each.finding().kind() + " " + each.finding().named())
                .toList();
    }

    @Test
    void redIsFirstWhereTheDiodeConductsFromThenWhereItBlocks() {
        assertThat(steps(cable(DIODE))).isEqualTo("DIODES J2.2 J2.1, DIODES J2.1 J2.2");
    }

    @Test
    void whatLiesBesideADiodeMakesItsReadingWorthless() {
        String back = part("D2", "diode", "J2.2", "J2.1", "");
        String coil = part("K1", "coil", "J2.1", "J2.2", ", \"ohm\": 90");
        assertThat(steps(cable(DIODE, coil))).isEmpty();
        assertThat(steps(cable(DIODE, back))).as("one for each way").isEmpty();
        String there = part("D2", "diode", "J2.1", "J3.1", "");
        String on = part("D3", "diode", "J3.1", "J2.2", "");
        assertThat(steps(cable(DIODE, there, on)))
                .as("the two in a row conduct beside the first one")
                .isEqualTo("DIODES J3.1 J2.1, DIODES J2.1 J3.1, DIODES J2.2 J3.1, DIODES J3.1 J2.2");
    }

    @Test
    void nothingPassesBeforeTheDiodeWasReadBothWays() {
        Bench bench = atTheDiodes(cable(DIODE));
        assertThat(bench.test().outcome()).isEqualTo(RunOutcome.INCOMPLETE);
        bench.type("0.58");
        assertThat(bench.test().outcome()).isEqualTo(RunOutcome.INCOMPLETE);
        bench.type("OL");
        assertThat(bench.test().outcome()).isEqualTo(RunOutcome.PASS);
        assertThat(bench.test().current()).isEmpty();
        assertThat(bench.test().coverage().counts())
                .containsEntry(PossibleFault.PART_OPEN, new CoverageAnalysis.Count(1, 1));
    }

    @ParameterizedTest
    @CsvSource({
        "0.58, OL, PASS, ''",
        "0.21, OL, PASS, ''",
        "OL, OL, FAIL, component_open [D1]",
        "0.02, 0.02, FAIL, component_short [D1]",
        "OL, 0.58, FAIL, component_value [D1]",
        "0.58, 0.61, FAIL, component_value [D1]",
        "1.9, OL, FAIL, component_value [D1]",
        "~0.2..OL, OL, FAIL, component_value [D1]"
    })
    void bothReadingsTogetherSayWhatIsWrong(String forward, String backward, RunOutcome outcome, String kind) {
        Bench bench = atTheDiodes(cable(DIODE)).type(forward, backward);
        assertThat(bench.test().outcome()).isEqualTo(outcome);
        assertThat(String.join(", ", kinds(bench.test()))).isEqualTo(kind);
        assertThat(bench.test().findings())
                .allSatisfy(each -> assertThat(each.evidence()).hasSize(2))
                .allSatisfy(each -> assertThat(each.functionsLost()).containsExactly("gong"));
        Analysis same = analysis(bench.test());
        assertThat(same.state().name()).isEqualTo(outcome.name());
        assertThat(same.findings().stream()
                        .map(each ->
                                each.finding().kind() + " " + each.finding().named())
                        .toList())
                .isEqualTo(kinds(bench.test()));
    }

    /** The same readings, as a program would send them. */
    private static Analysis analysis(TestRun test) {
        List<AnalysisReading> readings = test.entries().stream()
                .filter(entry -> entry.step() instanceof TestStep.Measurement)
                .map(entry -> reading(test, entry))
                .toList();
        return Analysis.of(test.design(), Bench.CONDITIONS.withLeads(0.3), readings);
    }

    private static AnalysisReading reading(TestRun test, Entry entry) {
        TestStep.Measurement measurement = (TestStep.Measurement) entry.step();
        return new AnalysisReading(
                measurement.black(),
                measurement.red(),
                ((Entry.Content.Reading) entry.content()).asTyped(),
                SwitchState.REST,
                measurement.links(),
                OptionalDouble.empty(),
                test.quantity(measurement),
                OptionalDouble.empty(),
                Observation.Since.NOTHING);
    }

    @Test
    void aProgramThatReadNoDiodeIsToldSo() {
        TestRun test = atTheDiodes(cable(DIODE)).test();
        Analysis analysis = analysis(test);
        assertThat(analysis.state()).isEqualTo(Analysis.AnalysisState.INCOMPLETE);
        assertThat(analysis.untested().toString()).contains("J2.2").contains("J2.1");
    }

    @Test
    void aDeclaredForwardVoltageIsItsLimit() {
        Assembly lamp = cable(part("D1", "diode", "J2.1", "J2.2", ", \"forward_v\": 1.9"));
        assertThat(kinds(atTheDiodes(lamp).type("1.7", "OL").test())).isEmpty();
        assertThat(kinds(atTheDiodes(lamp).type("0.6", "OL").test())).containsExactly("component_value [D1]");
    }

    @ParameterizedTest
    @CsvSource({"b", "n", "12k", "0.5A", "58"})
    void whatIsNoVoltageIsRefusedWithAnExample(String typed) {
        assertThat(atTheDiodes(cable(DIODE)).understood(typed)).contains("such as 0.58, or OL");
    }

    @Test
    void aNewDiodeIsReadAgain() {
        Bench bench = atTheDiodes(cable(DIODE)).type("OL", "OL");
        String subject =
                String.join(" ", bench.test().findings().get(0).finding().named());
        bench.repair(subject, Entry.Way.REPLACE);
        assertThat(bench.test().undone().map(Bench::say).toList()).contains("DIODES J2.2 J2.1", "DIODES J2.1 J2.2");
    }

    @Test
    void aSimulatedUnitShowsWhatADiodeRangeWould() {
        Assembly cable = cable(DIODE);
        GoodUnit good = GoodUnit.nominal(Design.of(cable, 20));
        assertThat(volts(good)).isEqualTo("0.58 none");
        assertThat(volts(good, new SeededFault.PartOpen("D1"))).isEqualTo("none none");
        assertThat(volts(good, new SeededFault.PartShort("D1"))).isEqualTo("0.00 0.00");
        assertThat(volts(good, new SeededFault.Shorted(Terminal.of("J1.1"), Terminal.of("J1.2"), 1)))
                .isEqualTo("0.00 0.00");
    }

    private static String volts(GoodUnit good, SeededFault... faults) {
        FaultyUnit unit = FaultyUnit.of(good, List.of(faults));
        return IntStream.of(1, 2)
                .mapToObj(red ->
                        unit.forwardV(Terminal.of("J2." + (3 - red)), Terminal.of("J2." + red), SwitchState.REST))
                .map(shown -> shown.isPresent() ? String.format(Locale.ROOT, "%.2f", shown.getAsDouble()) : "none")
                .collect(Collectors.joining(" "));
    }

    @Test
    void quantitiesHaveTheirCodes() {
        assertThat(Quantity.of("forward_voltage")).contains(Quantity.FORWARD_VOLTAGE);
        assertThat(Quantity.FORWARD_VOLTAGE.needsTestVoltage()).isFalse();
    }
}
