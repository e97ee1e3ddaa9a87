package zestymarten.core.fault;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zestymarten.core.analysis.Analysis;
import zestymarten.core.analysis.AnalysisReading;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.Trials;

/** Whatever is wrong with a unit, complete evidence names exactly that. */
class CompleteEvidenceTest {
    private static final TestConditions CONDITIONS = new TestConditions(
            20,
            new MeterProfile("meter", 0.005, 0.01, 30, false, 20e6),
            OptionalDouble.of(0.25),
            LeadPolicy.FULL,
            false,
            TestConditions.JOINED_BELOW_OHM);

    @ParameterizedTest
    @CsvSource({"4", "7", "12", "25"})
    void namesExactlyTheFaultsOfCablesOfWhichEveryPairIsRead(int wires) {
        Random random = new Random(wires);
        for (int i = 0; i < Trials.of(100); i++) {
            RandomHarness cable = RandomHarness.cable(random, wires).sabotage(random.nextInt(4));
            Probe probe = new Probe(cable.unit(), CONDITIONS, random, 0);
            Analysis analysis =
                    Analysis.of(cable.design(), CONDITIONS, Bench.everyPair(cable.design(), CONDITIONS, probe));
            assertThat(Bench.found(analysis))
                    .as("unit %d: %s", i, cable.faults())
                    .containsExactlyInAnyOrderElementsOf(cable.truth());
            assertThat(analysis.state())
                    .isEqualTo(cable.truth().isEmpty() ? Analysis.AnalysisState.PASS : Analysis.AnalysisState.FAIL);
        }
    }

    @ParameterizedTest
    @CsvSource({"8, 100", "30, 60", "120, 15", "500, 2", "2000, 1"})
    @Timeout(120)
    void namesExactlyTheFaultsOfHarnessesWithSplicesAndParts(int wires, int units) {
        assumeThat(wires <= 500 || Trials.ALL)
                .as("the largest takes half a minute")
                .isTrue();
        Random random = new Random(wires);
        for (int i = 0; i < Trials.of(units); i++) {
            RandomHarness harness = RandomHarness.harness(random, wires).sabotage(i == 0 ? 6 : random.nextInt(7));
            Probe probe = new Probe(harness.unit(), CONDITIONS, random, 0);
            List<AnalysisReading> readings = Bench.readings(harness.design(), CONDITIONS, probe);
            Analysis analysis = Analysis.of(harness.design(), CONDITIONS, readings);
            assertThat(Bench.found(analysis))
                    .as("unit %d of %d wires: %s", i, wires, harness.faults())
                    .containsExactlyInAnyOrderElementsOf(harness.truth());
            assertThat(analysis.state())
                    .as("unit %d of %d wires, untested %s", i, wires, analysis.untested())
                    .isEqualTo(harness.truth().isEmpty() ? Analysis.AnalysisState.PASS : Analysis.AnalysisState.FAIL);
        }
    }

    private static Analysis analysisOf(RandomHarness cable, List<SeededFault> faults) {
        FaultyUnit unit = FaultyUnit.of(GoodUnit.spread(cable.design(), any -> 1), faults);
        Probe probe = new Probe(unit, CONDITIONS, new Random(1), 0);
        return Analysis.of(cable.design(), CONDITIONS, Bench.everyPair(cable.design(), CONDITIONS, probe));
    }

    private static SeededFault joined(String a, String b, double ohm) {
        return new SeededFault.Shorted(Terminal.of(a), Terminal.of(b), ohm);
    }

    @Test
    void wiresJoinedOneToAnotherAndToTheFrameAreOneFaultAndNoneOfThemIsBad() {
        RandomHarness cable = RandomHarness.cable(new Random(1), 8);
        Analysis analysis = analysisOf(
                cable, List.of(joined("J1.6", "FRAME", 1.8), joined("J1.7", "FRAME", 2.6), joined("J1.7", "J1.3", 3)));
        assertThat(Bench.found(analysis)).containsExactly("frame_short [W3, W6, W7]");
    }

    @Test
    void twoCrossedWiresThatTouchAreNotTwoBadOnes() {
        RandomHarness cable = RandomHarness.cable(new Random(1), 5);
        SeededFault crossed = new SeededFault.Moved(Map.of("W1", Terminal.of("J2.2"), "W2", Terminal.of("J2.1")));
        Analysis analysis = analysisOf(cable, List.of(crossed, joined("J1.1", "J1.2", 1.5)));
        assertThat(Bench.found(analysis)).containsExactly("crossed [W1, W2]", "short [W1, W2]");
    }

    /** Several on one wire among them; of those that read alike every one is named. */
    @Test
    void faultsThatComeOneByOneAreNamedOrAreAmongTheAlternatives() {
        Map<String, List<String>> missed = new LinkedHashMap<>();
        for (int i = 0; i < Trials.of(300); i++) {
            Random random = new Random(i);
            int wires = 4 + random.nextInt(8);
            RandomHarness cable = RandomHarness.cable(random, wires).strike(0.25 / wires);
            Probe probe = new Probe(cable.unit(), CONDITIONS, random, 0);
            Analysis analysis =
                    Analysis.of(cable.design(), CONDITIONS, Bench.everyPair(cable.design(), CONDITIONS, probe));
            Set<String> named = new TreeSet<>(Bench.found(analysis));
            analysis.findings().forEach(each -> each.alternatives().forEach(other -> named.add(Bench.found(other))));
            if (!named.containsAll(cable.truth())) {
                missed.put(i + ": " + named, cable.truth());
            }
        }
        assertThat(missed).isEmpty();
    }
}
