package zestymarten.core.fault;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zestymarten.core.analysis.Analysis;
import zestymarten.core.analysis.AnalysisReading;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.meter.TestConditions;

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
        for (int i = 0; i < 150; i++) {
            RandomHarness cable = RandomHarness.cable(random, wires).sabotage(random.nextInt(4));
            Probe probe = new Probe(cable.unit(), CONDITIONS, random, 0);
            Analysis analysis =
                    Analysis.of(cable.design(), CONDITIONS, Bench.everyPair(cable.design(), CONDITIONS, probe));
            assertThat(Bench.told(analysis))
                    .as("unit %d: %s", i, cable.faults())
                    .containsExactlyInAnyOrderElementsOf(cable.told());
            assertThat(analysis.standing())
                    .isEqualTo(cable.told().isEmpty() ? Analysis.AnalysisState.PASS : Analysis.AnalysisState.FAIL);
        }
    }

    @ParameterizedTest
    @CsvSource({"8, 150", "30, 100", "120, 30", "500, 5", "2000, 1"})
    @Timeout(120)
    void namesExactlyTheFaultsOfHarnessesWithSplicesAndParts(int wires, int units) {
        Random random = new Random(wires);
        for (int i = 0; i < units; i++) {
            RandomHarness harness = RandomHarness.harness(random, wires).sabotage(i == 0 ? 6 : random.nextInt(7));
            Probe probe = new Probe(harness.unit(), CONDITIONS, random, 0);
            List<AnalysisReading> readings = Bench.readings(harness.design(), CONDITIONS, probe);
            Analysis analysis = Analysis.of(harness.design(), CONDITIONS, readings);
            assertThat(Bench.told(analysis))
                    .as("unit %d of %d wires: %s", i, wires, harness.faults())
                    .containsExactlyInAnyOrderElementsOf(harness.told());
            assertThat(analysis.standing())
                    .as("unit %d of %d wires, untested %s", i, wires, analysis.untested())
                    .isEqualTo(harness.told().isEmpty() ? Analysis.AnalysisState.PASS : Analysis.AnalysisState.FAIL);
        }
    }
}
