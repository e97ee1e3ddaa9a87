package zestymarten.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.CavityLayout;
import zestymarten.core.assembly.SwitchState;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.assembly.WireList;
import zestymarten.core.fault.Probe;
import zestymarten.core.fault.RandomHarness;
import zestymarten.core.finding.Priors;
import zestymarten.core.finding.Symptoms;
import zestymarten.core.judgement.Expectation;
import zestymarten.core.judgement.ResistanceJudge;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.ReadingParser;

/** What to measure next, from whatever was read, and when there is nothing more to ask. */
class MeasurementSelectorTest {
    private static final TestConditions CONDITIONS = new TestConditions(
            20,
            new MeterProfile("meter", 0.005, 0.01, 30, false, 20e6),
            OptionalDouble.of(0.25),
            LeadPolicy.FULL,
            false,
            TestConditions.JOINED_BELOW_OHM);

    /** An eleven-core pendant cable with one empty cavity at the far plug. */
    private static final Design PENDANT = pendant(",8,0.5,flexing");

    private static Design pendant(String rest) {
        StringBuilder list = new StringBuilder("wire,from,to,function,length_m,area_mm2,zone\n");
        for (int i = 1; i <= 11; i++) {
            list.append("W%d,J1.%d,J2.%d,function %d%s\n".formatted(i, i, i, i, rest));
        }
        Assembly assembly = WireList.read(list.toString())
                .assembly("Pendant", AssemblyKind.CABLE, "", Map.of("J2", CavityLayout.line(12)));
        return Design.of(assembly, 20);
    }

    private static Observation observed(Design design, int number, Terminal a, Terminal b, String typed) {
        return observed(design, number, a, b, typed, List.of());
    }

    private static Observation observed(
            Design design, int number, Terminal a, Terminal b, String typed, List<List<Terminal>> links) {
        MeterReading meaning = new ReadingParser(false).understand(typed);
        Expectation expectation = design.expectation(a, b, SwitchState.REST, links);
        return new Observation(
                number,
                a,
                b,
                SwitchState.REST,
                expectation,
                ResistanceJudge.judge(meaning, expectation, CONDITIONS),
                meaning,
                links,
                Observation.Since.NOTHING);
    }

    /** Readings given as {@code J1.4 J2.4 OL}. */
    private static UnitAnalysis having(Symptoms symptoms, String... readings) {
        List<Observation> made = new ArrayList<>();
        for (String each : readings) {
            String[] parts = each.split(" ");
            made.add(observed(PENDANT, made.size(), Terminal.of(parts[0]), Terminal.of(parts[1]), parts[2]));
        }
        return UnitAnalysis.of(PENDANT, CONDITIONS, Priors.usual(), symptoms, made);
    }

    private static Recommendation next(UnitAnalysis analysis) {
        return analysis.next(MeasurementCosts.bench(PENDANT.assembly(), false), 3);
    }

    private static Set<String> repaired(UnitAnalysis analysis) {
        Set<String> names = new TreeSet<>();
        analysis.explanations().stream()
                .limit(1)
                .flatMap(each -> each.faults().stream())
                .forEach(each -> names.addAll(each.named()));
        return names;
    }

    private static Set<String> namesOf(List<String> found) {
        Set<String> names = new TreeSet<>();
        found.forEach(each -> names.addAll(
                List.of(each.substring(each.indexOf('[') + 1, each.length() - 1).split(", "))));
        return names;
    }

    @ParameterizedTest
    @CsvSource({"5, 12", "12, 8", "20, 4"})
    void finishesWithTheFaultsThatAreThere(int wires, int units) {
        Random random = new Random(wires);
        double share = 0.25 / wires;
        Priors priors = new Priors(share, share, share, share, share, share, 0.002, 0.015, 3, 1, 0.001);
        int right = 0;
        for (int i = 0; i < units; i++) {
            RandomHarness cable = RandomHarness.cable(random, wires).sabotage(i % 3);
            Probe probe = new Probe(cable.unit(), CONDITIONS, random, 0);
            List<Observation> made = new ArrayList<>();
            UnitAnalysis analysis = UnitAnalysis.of(cable.design(), CONDITIONS, priors, Symptoms.NONE, made);
            Recommendation next = analysis.next(MeasurementCosts.bench(cable.assembly(), false), 1);
            while (next.status() == Recommendation.Status.GO_ON) {
                assertThat(made).as("%s never ends", cable.faults()).hasSizeLessThan(20 * wires);
                Recommendation.RecommendedMeasurement best = next.measurements().get(0);
                String shown = probe.shows(best.black(), best.red(), best.state(), best.links());
                made.add(observed(cable.design(), made.size(), best.black(), best.red(), shown));
                analysis = UnitAnalysis.of(cable.design(), CONDITIONS, priors, Symptoms.NONE, made);
                next = analysis.next(MeasurementCosts.bench(cable.assembly(), false), 1);
            }
            right += repaired(analysis).equals(namesOf(cable.truth())) ? 1 : 0;
        }
        assertThat(right).as("right of %d", units).isGreaterThanOrEqualTo(units - 1);
    }

    @Test
    void aBrokenReferenceIsToldFromAllBroken() {
        List<Terminal> farEnds = new ArrayList<>();
        for (int i = 1; i <= 11; i++) {
            farEnds.add(Terminal.of("J2." + i));
        }
        List<Observation> made = new ArrayList<>();
        for (int i = 2; i <= 5; i++) {
            made.add(observed(
                    PENDANT, i, Terminal.of("J1.1"), Terminal.of("J1." + i), "OL", List.of(List.copyOf(farEnds))));
        }
        UnitAnalysis analysis = UnitAnalysis.of(PENDANT, CONDITIONS, Priors.usual(), Symptoms.NONE, made);
        assertThat(repaired(analysis)).containsExactly("W1");
    }

    @Test
    void twoOpensAreMoreProbablyCrossedAndTheNextMeasurementAsksThat() {
        UnitAnalysis two = having(Symptoms.NONE, "J1.4 J2.4 OL", "J1.4 J2.4 OL", "J1.7 J2.7 OL", "J1.7 J2.7 OL");
        Recommendation.RecommendedMeasurement next = next(two).measurements().get(0);
        assertThat(Set.of(next.black().name(), next.red().name())).isIn(Set.of("J1.4", "J2.7"), Set.of("J1.7", "J2.4"));
        UnitAnalysis found = having(
                Symptoms.NONE,
                "J1.4 J2.4 OL",
                "J1.4 J2.4 OL",
                "J1.7 J2.7 OL",
                "J1.7 J2.7 OL",
                next.black() + " " + next.red() + " 0.55");
        assertThat(found.findings()).singleElement().satisfies(each -> {
            assertThat(each.finding().kind()).isEqualTo("crossed");
            assertThat(each.finding().conductors()).containsExactly("W4", "W7");
        });
    }

    @Test
    void onePathBetweenTwoWiresIsAShortOrACrossingUntilMoreIsRead() {
        UnitAnalysis one = having(Symptoms.NONE, "J1.4 J2.7 0.55");
        ExplainedFinding found = one.findings().get(0);
        assertThat(found.probability()).isLessThan(0.95);
        assertThat(found.certain()).isFalse();
        assertThat(one.explanations()).hasSizeGreaterThan(1);
        assertThat(next(one).status()).isEqualTo(Recommendation.Status.GO_ON);
    }

    @Test
    void whatIsDeadIsMeasuredFirst() {
        Symptoms symptoms =
                new Symptoms(Map.of("function 4", Symptoms.Behaviour.DEAD, "function 5", Symptoms.Behaviour.WORKS));
        UnitAnalysis analysis = having(symptoms);
        assertThat(analysis.findings()).as("nothing was read").isEmpty();
        assertThat(analysis.explanations().get(0).faults().get(0).conductors()).containsExactly("W4");
        assertThat(next(analysis).measurements().get(0).black()).isEqualTo(Terminal.of("J1.4"));
    }

    @Test
    void aJumpingReadingIsIntermittent() {
        assertThat(having(Symptoms.NONE, "J1.4 J2.4 ~0.5..OL").findings())
                .singleElement()
                .satisfies(each -> assertThat(each.finding().kind()).isEqualTo("intermittent"));
    }

    @Test
    void whereNoLengthIsKnownAnyResistanceUpToTheLimitIsGoodAndItEnds() {
        Design design = pendant(",,,");
        List<Observation> made = new ArrayList<>();
        Recommendation next;
        do {
            UnitAnalysis analysis = UnitAnalysis.of(design, CONDITIONS, Priors.usual(), Symptoms.NONE, made);
            assertThat(analysis.findings()).isEmpty();
            next = analysis.next(MeasurementCosts.bench(design.assembly(), false), 1);
            for (Recommendation.RecommendedMeasurement each : next.measurements()) {
                boolean wire = each.black().pin().equals(each.red().pin())
                        && !each.red().isFrame();
                made.add(observed(design, made.size(), each.black(), each.red(), wire ? "0.35" : "OL"));
            }
        } while (next.status() == Recommendation.Status.GO_ON && made.size() < 200);
        assertThat(made).hasSizeLessThan(90);
        assertThat(made.stream().map(Observation::key).distinct())
                .as("nothing twice")
                .hasSameSizeAs(made);
        assertThat(next.status()).isEqualTo(Recommendation.Status.FINISHED);
        assertThat(Optional.of(next.certainty()).get()).isGreaterThan(0.95);
    }
}
