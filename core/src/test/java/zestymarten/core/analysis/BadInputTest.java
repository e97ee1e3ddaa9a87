package zestymarten.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyReader;
import zestymarten.core.assembly.JsonMembers;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.English;
import zestymarten.core.quantity.Problem;

/** What is odd, wrong or hostile gets a defined result or a problem with its path, never a stack trace. */
class BadInputTest {
    private static final TestConditions CONDITIONS = new TestConditions(
            20,
            new MeterProfile("meter", 0.005, 0.01, 30, false, 20e6),
            OptionalDouble.of(0.2),
            LeadPolicy.FULL,
            false,
            TestConditions.JOINED_BELOW_OHM);

    private static String assembly(String members) {
        return "{\"format\": \"zesty-marten/assembly\", \"version\": 1, \"name\": \"Odd\"" + members + "}";
    }

    private static Assembly sound(String members) {
        List<Problem> problems = new ArrayList<>();
        return AssemblyReader.read(assembly(members), problems).orElseThrow(() -> new AssertionError(problems));
    }

    private static List<String> problems(String members) {
        List<Problem> problems = new ArrayList<>();
        assertThat(AssemblyReader.read(assembly(members), problems)).isEmpty();
        return problems.stream().map(each -> English.of(each.message())).toList();
    }

    private static AnalysisReading reading(String a, String b, String typed) {
        return new AnalysisReading(
                Terminal.of(a), Terminal.of(b), typed, SwitchState.REST, List.of(), OptionalDouble.empty());
    }

    private static Analysis analysis(Assembly assembly, AnalysisReading... readings) {
        return Analysis.of(Design.of(assembly, 20), CONDITIONS, List.of(readings));
    }

    @Test
    void anAssemblyWithOnePinHasOnlyItsFrameToBeTested() {
        Assembly one = sound(", \"connectors\": [{\"id\": \"J1\", \"pins\": [\"1\"]}]");
        Analysis analysis = analysis(one);
        assertThat(analysis.findings()).isEmpty();
        assertThat(analysis.state()).isEqualTo(Analysis.AnalysisState.PASS);
    }

    @Test
    void parallelWiresAreOneNetAndABreakInOneIsBelowWhatOhmsTell() {
        Assembly parallel =
                sound(", \"conductors\": [{\"id\": \"W1\", \"from\": \"J1.1\", \"to\": \"J2.1\", \"max_ohm\": 1},"
                        + "{\"id\": \"W2\", \"from\": \"J1.1\", \"to\": \"J2.1\", \"max_ohm\": 1}]");
        assertThat(Design.of(parallel, 20).nets().all()).hasSize(1);
        Analysis open = analysis(parallel, reading("J1.1", "J2.1", "OL"), reading("J1.1", "FRAME", "OL"));
        assertThat(open.state()).isEqualTo(Analysis.AnalysisState.FAIL);
        assertThat(analysis(parallel, reading("J1.1", "J2.1", "0.6"))
                        .judgements()
                        .get(0)
                        .judgement()
                        .verdict()
                        .code())
                .isIn("pass", "marginal");
    }

    @Test
    void aLoopOfWiresWithoutOhmsIsOnePoint() {
        Assembly loop = sound(", \"conductors\": [{\"id\": \"A\", \"from\": \"J1.1\", \"to\": \"S1\"},"
                + "{\"id\": \"B\", \"from\": \"S1\", \"to\": \"S2\"}, {\"id\": \"C\", \"from\": \"S2\", \"to\": \"S1\"},"
                + "{\"id\": \"D\", \"from\": \"S2\", \"to\": \"J2.1\"}]");
        Analysis analysis = analysis(loop, reading("J1.1", "J2.1", "0.3"), reading("J1.1", "FRAME", "OL"));
        assertThat(analysis.state()).isEqualTo(Analysis.AnalysisState.PASS);
    }

    @Test
    void aWireToTheFrameMustReadAndAMissingOneIsOpen() {
        Assembly earthed = sound(", \"conductors\": [{\"id\": \"PE\", \"from\": \"J1.1\", \"to\": \"FRAME\"}]");
        assertThat(analysis(earthed, reading("J1.1", "FRAME", "0.4")).state()).isEqualTo(Analysis.AnalysisState.PASS);
        assertThat(analysis(earthed, reading("J1.1", "FRAME", "OL"))
                        .findings()
                        .get(0)
                        .finding()
                        .kind())
                .isEqualTo("open");
    }

    @Test
    void readingsThatContradictEachOtherNeverPass() {
        Assembly wire = sound(", \"conductors\": [{\"id\": \"W1\", \"from\": \"J1.1\", \"to\": \"J2.1\"}]");
        Analysis analysis = analysis(
                wire, reading("J1.1", "J2.1", "OL"), reading("J2.1", "J1.1", "0.5"), reading("J1.1", "FRAME", "OL"));
        assertThat(analysis.state()).isEqualTo(Analysis.AnalysisState.FAIL);
        assertThat(analysis.findings().get(0).finding().kind()).isEqualTo("intermittent");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"states\": [{\"id\": \"a\", \"closed\": []}, {\"id\": \"a\", \"closed\": []}] | State 'a' is named twice.",
                "\"states\": [{\"id\": \"a\", \"closed\": [\"a\"]}] | State 'a' closes 'a', which is no switch, relay contact or breaker of the assembly.",
                "\"conductors\": [{\"id\": \"W\", \"from\": \"J1.1\", \"to\": \"J1.1\"}] | conductors[0]: Conductor 'W' runs from J1.1 to itself.",
                "\"conductors\": [{\"id\": \"W\", \"from\": \"J1.1\", \"to\": \"J1.2\", \"length_m\": -3}] | conductors[0]: Conductor 'W': length (-3 m) must be above 0 and at most 100 km. Leave it empty if it is not known.",
                "\"connectors\": [{\"id\": \"J1\", \"access\": {\"minutes\": -1}}] | connectors[0].access: Access takes 0 to 1440 minutes, not -1.",
                "\"connectors\": [{\"id\": \"J1\", \"probing\": \"side\"}] | connectors[0].probing: “side” is not accepted; expected one of back, front, screw."
            })
    void whatCannotBeIsAProblemWithItsPath(String member, String problem) {
        assertThat(problems(", " + member)).containsExactly(problem);
    }

    @ParameterizedTest
    @CsvSource({"NaN", "Infinity", "-Infinity", "1e400", "0x10"})
    void figuresThatAreNoneAreRefused(String figure) {
        List<String> problems = problems(", \"conductors\": [{\"id\": \"W\", \"from\": \"J1.1\", \"to\": \"J1.2\","
                + " \"length_m\": " + figure + "}]");
        assertThat(problems).hasSize(1);
    }

    @Test
    void readingsOnTerminalsThatAreNotThereAreProblems() {
        Assembly wire = sound(", \"conductors\": [{\"id\": \"W1\", \"from\": \"J1.1\", \"to\": \"J2.1\"}]");
        List<Problem> problems = new ArrayList<>();
        String document = "{\"readings\": [{\"a\": \"J1.9\", \"b\": \"J2.1\", \"as_typed\": \"1\"},"
                + "{\"a\": \"J1.1\", \"b\": \"J2.1\", \"as_typed\": \"1\", \"quantity\": \"insulation\"},"
                + "{\"a\": \"J1.1\", \"b\": \"J2.1\", \"as_typed\": \"1\", \"state\": \"up\"}]}";
        List<AnalysisReading> readings =
                AnalysisReader.readings(JsonMembers.read(document, problems).orElseThrow(), wire);
        assertThat(readings).isEmpty();
        assertThat(problems.stream().map(each -> English.of(each.message())))
                .containsExactly(
                        "readings[0].a: “J1.9” is no terminal of the assembly.",
                        "readings[1].test_v: Expected the test voltage of a reading of insulation, above 0 V.",
                        "readings[2].state: “up” is not accepted; expected one of rest.");
    }
}
