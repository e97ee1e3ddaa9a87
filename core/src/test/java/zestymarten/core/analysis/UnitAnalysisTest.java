package zestymarten.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zestymarten.core.analysis.Analysis.AnalysisState;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyReader;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Finding;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.quantity.Trials;

/** Complete evidence names exactly what is wrong, whatever the unit is made of; what it cannot tell it says. */
class UnitAnalysisTest {
    private static final int UNITS = Trials.of(70);

    private static String name(Finding finding) {
        return finding.kind() + " " + new TreeSet<>(finding.named());
    }

    private static List<String> names(Analysis analysis) {
        return analysis.findings().stream()
                .map(each -> name(each.finding()))
                .sorted()
                .toList();
    }

    @ParameterizedTest
    @EnumSource(RandomUnit.Family.class)
    void namesTheTrueFaultsOfUnitsOfEveryKindOrHasThemAmongTheEqualAlternatives(RandomUnit.Family family) {
        Random random = new Random(family.name().hashCode());
        for (int i = 0; i < UNITS; i++) {
            RandomUnit unit = RandomUnit.of(random, family).broken(random.nextInt(5));
            Analysis analysis = Analysis.of(Design.of(unit.assembly(), 20), RandomUnit.CONDITIONS, unit.everyPair());
            List<String> named = new ArrayList<>(names(analysis));
            analysis.findings().forEach(each -> each.alternatives().forEach(other -> named.add(name(other))));
            assertThat(analysis.findings())
                    .as("unit %d: %s", i, unit.truth())
                    .hasSizeLessThanOrEqualTo(unit.truth().size());
            assertThat(named).as("unit %d", i).containsAll(unit.truth());
            assertThat(analysis.state())
                    .as("unit %d: %s, untested %s", i, unit.truth(), analysis.untested())
                    .isEqualTo(unit.truth().isEmpty() ? AnalysisState.PASS : AnalysisState.FAIL);
        }
    }

    @ParameterizedTest
    @EnumSource(
            value = RandomUnit.Family.class,
            names = {"PLAIN", "LENGTHS"})
    void namesAPlugThatIsTurnedOrBesideItselfWithWhatElseIsWrong(RandomUnit.Family family) {
        Random random = new Random(7 + family.name().hashCode());
        for (int i = 0; i < UNITS; i++) {
            RandomUnit unit = RandomUnit.of(random, family).patterned();
            Analysis analysis = Analysis.of(Design.of(unit.assembly(), 20), RandomUnit.CONDITIONS, unit.everyPair());
            List<String> named = new ArrayList<>(names(analysis));
            analysis.findings().forEach(each -> each.alternatives().forEach(other -> named.add(name(other))));
            assertThat(analysis.findings())
                    .as("unit %d: %s", i, unit.truth())
                    .hasSize(unit.truth().size());
            assertThat(named).as("unit %d", i).containsAll(unit.truth());
        }
    }

    /** Either plug may be the one that is turned, and each of them makes another wire the bad one: both are said. */
    @Test
    void aTurnedPlugWithABadWireMayBeEitherPlugAndEitherWire() {
        Assembly cable = read(wires(
                wire("A", "J1.1", "J2.1", ""),
                wire("B", "J1.2", "J2.2", ""),
                wire("C", "J1.3", "J2.3", ""),
                wire("D", "J1.4", "J2.4", "")));
        List<String> pairs = new ArrayList<>(List.of("J1.1-J2.4=0.4", "J1.2-J2.3=0.4", "J1.3-J2.2=0.4", "J1.4-J2.1=7"));
        for (int i = 1; i <= 4; i++) {
            pairs.add("J1.%d-J2.%d=OL".formatted(i, i));
            for (int j = i + 1; j <= 4; j++) {
                pairs.add("J1.%d-J1.%d=OL".formatted(i, j));
            }
        }
        Analysis turned = analysis(cable, pairs.toArray(String[]::new));
        assertThat(turned.findings()).hasSize(2).allSatisfy(each -> {
            assertThat(each.probability()).isBetween(0.4, 0.6);
            assertThat(each.certain()).isFalse();
            assertThat(each.alternatives().stream().map(UnitAnalysisTest::name))
                    .contains("mirrored [A, B, C, D]", "high_resistance [A]");
        });
        assertThat(turned.next().status()).isNotEqualTo(Recommendation.Status.FINISHED);
    }

    private static Assembly read(String members) {
        return AssemblyReader.read(
                        "{\"format\": \"zesty-marten/assembly\", \"version\": 1, \"name\": \"Unit\","
                                + " \"kind\": \"harness\", " + members + "}",
                        new ArrayList<>())
                .orElseThrow();
    }

    private static String wire(String id, String from, String to, String more) {
        return "{\"id\": \"" + id + "\", \"from\": \"" + from + "\", \"to\": \"" + to + "\"" + more + "}";
    }

    private static String wires(String... wires) {
        return "\"conductors\": [" + String.join(", ", wires) + "]";
    }

    private static Analysis analysis(Assembly assembly, String... readings) {
        List<AnalysisReading> all = TypedReadings.of(readings);
        return Analysis.of(Design.of(assembly, 20), RandomUnit.CONDITIONS, all);
    }

    @Test
    void oneOfTwoParallelCoresOpenIsNoPassAndNobodyKnowsWhich() {
        String core = ", \"length_m\": 15, \"area_mm2\": 1";
        Assembly feeder = read(wires(wire("A", "J1.1", "J2.1", core), wire("B", "J1.1", "J2.1", core)));
        assertThat(analysis(feeder, "J1.1-J2.1=0.34", "J1.1-FRAME=OL").state()).isEqualTo(AnalysisState.PASS);
        Analysis open = analysis(feeder, "J1.1-J2.1=0.47", "J1.1-FRAME=OL");
        assertThat(open.state()).isEqualTo(AnalysisState.FAIL);
        ExplainedFinding found = open.findings().get(0);
        assertThat(found.finding().kind()).isEqualTo("open");
        assertThat(found.certain()).isFalse();
        assertThat(found.probability()).isLessThan(0.6);
        assertThat(found.alternatives().stream().map(UnitAnalysisTest::name)).contains("open [B]");
    }

    @Test
    void anOpenLegOfARingIsSeenByTheNetworksBound() {
        String core = ", \"area_mm2\": 1, \"length_m\": ";
        Assembly ring = read(wires(
                wire("A", "J1.1", "J2.1", core + "12"),
                wire("B", "J2.1", "J3.1", core + "9"),
                wire("C", "J3.1", "J1.1", core + "80")));
        Analysis open = analysis(ring, "J1.1-J2.1=0.41", "J1.1-J3.1=0.57", "J2.1-J3.1=0.36", "J1.1-FRAME=OL");
        assertThat(names(open)).containsExactly("open [C]");
    }

    @Test
    void aProbedJointSaysOnWhichSideTheBreakIs() {
        Assembly joint = read("\"joints\": [{\"id\": \"S1\", \"kind\": \"splice\", \"probe\": true}], "
                + wires(wire("A", "J1.1", "S1", ""), wire("B", "S1", "J2.1", "")));
        Analysis open = analysis(joint, "J1.1-S1=0.5", "S1-J2.1=OL", "J1.1-J2.1=OL", "J1.1-FRAME=OL", "J2.1-FRAME=OL");
        assertThat(names(open)).containsExactly("open [B]");
    }

    @Test
    void minimaAlongAPathAddUp() {
        String minimum = ", \"max_ohm\": 2, \"min_ohm\": 0.8";
        Assembly path = read(wires(wire("A", "J1.1", "S1", minimum), wire("B", "S1", "J2.1", minimum)));
        Analysis low = analysis(path, "J1.1-J2.1=0.45", "J1.1-FRAME=OL");
        assertThat(names(low)).containsExactly("low_resistance [A, B]");
        assertThat(analysis(path, "J1.1-J2.1=2.5", "J1.1-FRAME=OL").state()).isEqualTo(AnalysisState.PASS);
    }

    @Test
    void twoOfThreeLegsThatReadOpenAreNamedWithTheThird() {
        Assembly splice =
                read(wires(wire("A", "J1.1", "S1", ""), wire("B", "J2.1", "S1", ""), wire("C", "J3.1", "S1", "")));
        Analysis open = analysis(
                splice,
                "J1.1-J2.1=OL",
                "J1.1-J3.1=OL",
                "J2.1-J3.1=OL",
                "J1.1-FRAME=OL",
                "J2.1-FRAME=OL",
                "J3.1-FRAME=OL");
        assertThat(open.findings()).hasSize(2).allSatisfy(each -> {
            assertThat(each.certain()).isFalse();
            assertThat(each.alternatives()).isNotEmpty();
        });
    }

    @Test
    void anEndInTheWrongCavityIsNamedAtTheSideWhereItIs() {
        Assembly cable = read("\"connectors\": [{\"id\": \"J1\", \"pins\": [\"1\", \"2\", \"3\"]},"
                + " {\"id\": \"J2\", \"pins\": [\"1\", \"2\"]}], "
                + wires(wire("A", "J1.1", "J2.1", ""), wire("B", "J1.2", "J2.2", "")));
        Analysis moved = analysis(
                cable,
                "J1.1-J2.1=0.5",
                "J1.2-J2.2=OL",
                "J1.3-J2.2=0.5",
                "J1.1-J1.2=OL",
                "J1.1-J1.3=OL",
                "J1.2-J1.3=OL");
        assertThat(moved.findings().get(0).finding())
                .isEqualTo(new Finding.Misplaced(new Finding.Move("B", Terminal.of("J1.2"), Terminal.of("J1.3"))));
    }

    @Test
    void besideADiodeOnlyWhatItCannotFakeCounts() {
        Assembly relay = read("\"components\": [{\"id\": \"K\", \"kind\": \"coil\", \"a\": \"J1.1\", \"b\": \"J1.2\","
                + " \"ohm\": 90, \"tolerance\": 0.1}, {\"id\": \"D\", \"kind\": \"diode\", \"a\": \"J1.2\", \"b\": \"J1.1\"}], "
                + wires(wire("A", "J1.1", "J2.1", ""), wire("B", "J1.2", "J2.2", "")));
        assertThat(names(analysis(relay, "J2.1-J2.2=OL"))).contains("component_open [K]");
        assertThat(analysis(relay, "J2.1-J2.2=91").findings()).isEmpty();
        Analysis conducting = analysis(relay, "J2.1-J2.2=55");
        assertThat(conducting.findings()).isEmpty();
        assertThat(conducting.judgements().get(0).judgement().code()).isEqualTo(Judgement.Reason.DIODE);
    }

    @Test
    void readingsThatContradictEachOtherAreNamed() {
        Assembly cable = read(
                wires(wire("A", "J1.1", "J2.1", ""), wire("B", "J1.2", "J2.2", ""), wire("C", "J1.3", "J2.3", "")));
        Analysis odd =
                analysis(cable, "J1.1-J2.1=0.5", "J1.2-J2.2=0.5", "J1.3-J2.3=0.5", "J1.1-J1.2=0.4", "J2.1-J2.2=OL");
        assertThat(odd.state()).isEqualTo(AnalysisState.FAIL);
        assertThat(odd.contradictions()).isNotEmpty();
    }
}
